import { mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pino } from 'pino';
import { drawnSpurJob, type Job } from '../core/job/index.ts';
import { calls, type Call, type StoredJob } from '../core/wire/index.ts';
import type { Config } from './config.ts';
import { scratchFolder } from './scratch.ts';
import { startServer, type Running } from './start.ts';

/** The shape of a good answer; undefined where a file is sent, or none is described. */
const shapeOfAnswer = (method: string, address: string) =>
  Object.values<Call>(calls).find(
    (made) =>
      made.method === method.toLowerCase() &&
      new RegExp(`^${made.path.replace(/\{\w+\}/g, '[^/]+')}$`).test(address.replace(/\?.*$/, '')),
  )?.answers;

interface Answer<T> {
  readonly status: number;
  readonly type: string;
  readonly body: T;
}

/** A server of its own on a folder of its own, for tests. */
export class Trial {
  readonly folder: string;
  readonly config: Config;
  #running: Running | null = null;

  constructor(name: string) {
    this.folder = mkdtempSync(path.join(scratchFolder(), `vuelta-${name}-`));
    this.config = {
      host: '127.0.0.1',
      port: 0,
      dataFolder: this.folder,
      workshop: 'own',
      webFolder: path.join(this.folder, 'none'),
      version: '0.0.0',
      copies: { keep: 0, hours: 24 },
      certificate: null,
      takeCopy: false,
    };
  }

  async start(): Promise<void> {
    this.#running = await startServer(this.config, pino({ level: process.env['TRIAL_LOG'] ?? 'silent' }));
  }

  get address(): string {
    return this.#running!.address;
  }

  async stop(): Promise<void> {
    await this.#running?.stop();
    this.#running = null;
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** @param body sent as it is when it is text, as JSON when it is not */
  async ask<T>(method: string, address: string, body?: unknown): Promise<Answer<T>> {
    const sent =
      method === 'GET'
        ? {}
        : {
            body: typeof body === 'string' ? body : JSON.stringify(body ?? {}),
            headers: { 'content-type': 'application/json' },
          };
    const response = await fetch(`${this.#running!.address}/api${address}`, { method, ...sent });
    const answer: unknown = await response.json();
    // every good answer of every test is held against what the API’s description says of it
    if (response.ok) shapeOfAnswer(method, address)?.parse(answer);
    return {
      status: response.status,
      type: response.headers.get('content-type') ?? '',
      body: answer as T,
    };
  }

  /** The job, stored for the first time. */
  async keep(job: Job): Promise<StoredJob> {
    return (await this.ask<StoredJob>('PUT', `/jobs/${job.id}`, { revision: 0, job })).body;
  }
}

/** A spur gear that indexes on the stock plates at 58 and at 20 teeth, and not simply at 53. */
export const jobNamed = (id: string, teeth = 58): Job =>
  drawnSpurJob({ id, name: `Job ${id}`, pitch: '1.25', teeth, face: '12', bore: '10' });
