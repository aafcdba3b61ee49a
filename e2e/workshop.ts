import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request } from 'node:https';
import { createServer, type AddressInfo } from 'node:net';
import path from 'node:path';
import { scratchFolder } from '../server/scratch.ts';

/** A free port, or the one asked for by PORT. */
async function choosePort(): Promise<number> {
  if (process.env['PORT']) return Number(process.env['PORT']);
  const probe = createServer();
  await new Promise<void>((resolve) => probe.listen(0, '127.0.0.1', resolve));
  const { port } = probe.address() as AddressInfo;
  await new Promise((resolve) => probe.close(resolve));
  return port;
}

interface Opened {
  readonly kind: 'empty' | 'demo';
  /** Other devices reach it too where that is `0.0.0.0`. */
  readonly host?: string;
  readonly certificate?: { readonly cert: string; readonly key: string } | null;
}

/** Asks a server whose certificate nobody but itself vouches for. */
function askSecurely<T>({ url, method, body, cert }: Secure): Promise<T> {
  return new Promise((resolve, reject) => {
    const headers = { 'content-type': 'application/json' };
    const asked = request(url, { method, headers, ca: readFileSync(cert) }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
      response.on('end', () =>
        (response.statusCode ?? 500) < 300 ? resolve(JSON.parse(text) as T) : reject(new Error(text)),
      );
    });
    asked.on('error', reject).end(method === 'GET' ? undefined : JSON.stringify(body ?? {}));
  });
}
interface Secure {
  readonly url: string;
  readonly method: string;
  readonly body: object | undefined;
  readonly cert: string;
}

/** The built server as an owner runs it, on a store of its own, to be killed and started again. */
export class Workshop {
  private readonly host: string;
  readonly folder: string;
  private readonly port: number;
  private readonly demo: boolean;
  private readonly certificate: { readonly cert: string; readonly key: string } | null;
  private server: ChildProcess | null = null;

  private constructor(folder: string, port: number, { kind, host, certificate }: Required<Opened>) {
    this.host = host;
    this.certificate = certificate;
    this.folder = folder;
    this.port = port;
    this.demo = kind === 'demo';
  }

  static async open(kind: 'empty' | 'demo', rest: Omit<Opened, 'kind'> = {}): Promise<Workshop> {
    // never an owner's own store: always a fresh folder, inside VUELTA_DATA when that is set
    const folder = mkdtempSync(path.join(process.env['VUELTA_DATA'] ?? scratchFolder(), 'vuelta-journey-'));
    const workshop = new Workshop(folder, await choosePort(), {
      kind,
      host: process.env['HOST'] ?? '127.0.0.1',
      certificate: null,
      ...rest,
    });
    await workshop.start();
    return workshop;
  }

  get address(): string {
    return `${this.certificate ? 'https' : 'http'}://${this.host === '0.0.0.0' ? '127.0.0.1' : this.host}:${this.port}`;
  }

  async start(): Promise<void> {
    const server = spawn(process.execPath, ['dist/node/server/main.js', ...(this.demo ? ['--demo'] : [])], {
      env: {
        ...process.env,
        PORT: String(this.port),
        HOST: this.host,
        VUELTA_DATA: this.folder,
        LOG_LEVEL: 'error',
        ...(this.certificate && { VUELTA_CERT: this.certificate.cert, VUELTA_KEY: this.certificate.key }),
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.server = server;
    await new Promise<void>((resolve, reject) => {
      server.stdout.on('data', (chunk: Buffer) => String(chunk).includes(`:${this.port}`) && resolve());
      server.once('exit', (code) => reject(new Error(`the server ended with ${code} before it was ready`)));
    });
  }

  /** Asks the server as another screen would. @throws what it says, when it refuses */
  async ask<T>(method: string, address: string, body?: object): Promise<T> {
    const url = `${this.address}/api${address}`;
    if (this.certificate) return askSecurely<T>({ url, method, body, cert: this.certificate.cert });
    const response = await fetch(url, {
      method,
      ...(method === 'GET'
        ? {}
        : { body: JSON.stringify(body ?? {}), headers: { 'content-type': 'application/json' } }),
    });
    if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
    return (await response.json()) as T;
  }

  /** The first cuts of a run, counted on some other screen, so many seconds apart. */
  async countElsewhere(runId: string, cuts: number, seconds = 50): Promise<void> {
    const events = Array.from({ length: cuts }, (_, i) => ({
      id: `${runId}-${i}`,
      runId,
      device: 'other',
      deviceSeq: i + 1,
      lastSeen: {},
      clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, seconds * i)).toISOString(),
      kind: 'done',
      round: 1,
      index: i + 1,
    }));
    await this.ask('POST', `/runs/${runId}/events`, { events });
  }

  /** As a pulled plug does: no goodbye. */
  async kill(): Promise<void> {
    const { server } = this;
    if (!server) return;
    this.server = null;
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGKILL');
    await gone;
  }

  /** Lets the server hang: it takes what is asked, and answers nothing. */
  hang(): void {
    this.server?.kill('SIGSTOP');
  }

  /** Lets it go on from there. */
  wake(): void {
    this.server?.kill('SIGCONT');
  }

  async close(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
