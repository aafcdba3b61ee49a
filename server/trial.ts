import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import type { Config } from './config.ts';
import { startServer, type Running } from './start.ts';

/** A server of its own on a folder of its own, for tests. */
export class Trial {
  readonly folder: string;
  readonly config: Config;
  #running: Running | null = null;

  constructor(name: string) {
    this.folder = mkdtempSync(path.join(os.tmpdir(), `vuelta-${name}-`));
    this.config = {
      host: '127.0.0.1',
      port: 0,
      dataFolder: this.folder,
      workshop: 'own',
      webFolder: path.join(this.folder, 'none'),
    };
  }

  async start(): Promise<void> {
    this.#running = await startServer(this.config, pino({ level: 'silent' }));
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

  async ask<T>(method: string, address: string, body?: unknown): Promise<{ status: number; body: T }> {
    const sent =
      body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
    const response = await fetch(`${this.#running!.address}/api${address}`, { method, ...sent });
    return { status: response.status, body: (await response.json()) as T };
  }
}
