import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { createApp } from './app.ts';
import { storeFile, type Config } from './config.ts';
import { DeviceService } from './devices/index.ts';
import { seedDemo } from './demo/index.ts';
import {
  isCopyDue,
  lockStore,
  lookBeforeOpening,
  needFolder,
  takeCopy,
  thinCopies,
  type StoreLock,
} from './keeping/index.ts';
import { OwnDesk, ThreadDesk, type Desk } from './heavy/index.ts';
import type { Services } from './routes/index.ts';
import {
  BackupService,
  ClassService,
  HealthService,
  JobService,
  LogService,
  PaperService,
  PictureService,
  RunService,
  ShopService,
} from './services/index.ts';
import { addressesOf, addressOf, isLoopback, Pairing, readCertificate } from './gate/index.ts';
import { gatherStore, openStore } from './store.ts';

export interface Running {
  /** `http://127.0.0.1:4810` */
  readonly address: string;
  /** For other devices; none while only this machine can reach it. */
  readonly reachedAt: readonly string[];
  /** What lets another device in; null while only this machine can reach it. */
  readonly pairingCode: string | null;
  stop(): Promise<void>;
}

function listen(server: Server, port: number, host: string): Promise<AddressInfo> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve(server.address() as AddressInfo));
  });
}

/** Threads where the server is built; where it runs from its sources, as in tests, they cannot be had. */
function deskOf(): Desk {
  const worker = new URL('./heavy/worker.js', import.meta.url);
  return existsSync(worker) ? new ThreadDesk(worker) : new OwnDesk();
}

/** Why it cannot listen there, as a plain sentence. */
function sayWhyNot(error: NodeJS.ErrnoException, { port, host }: Config): Error {
  switch (error.code) {
    case 'EADDRINUSE':
      return new Error(`Port ${port} is taken by another program. Set PORT to a free one.`);
    case 'EACCES':
      return new Error(`This user may not listen on port ${port}. Set PORT to one above 1023.`);
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
    case 'EAI_AGAIN':
      return new Error(
        `This machine has no address “${host}”. Set HOST to one it has, or to 0.0.0.0 for all of them.`,
      );
    default:
      return error;
  }
}

const HOUR_MS = 3_600_000;

/** Looks every hour whether a copy is due, and makes it beside the server’s own thread. */
function copyByItself(config: Config, desk: Desk, log: Logger): NodeJS.Timeout {
  const store = storeFile(config);
  const look = async () => {
    const now = new Date();
    if (!isCopyDue(store, config.copies, now.getTime())) return;
    const file = await desk.ask('copy', { store, what: now.toISOString().slice(0, 10) });
    thinCopies(store, config.copies.keep);
    log.info({ file }, 'the workshop was copied');
  };
  const lookAgain = () =>
    void look().catch((error: unknown) => log.error({ err: error }, 'no copy was made'));
  const timer = setInterval(lookAgain, HOUR_MS);
  timer.unref();
  if (config.workshop === 'own') setTimeout(lookAgain, 5000).unref();
  return timer;
}

/** Opens the store, brings it up to date and serves. @throws a plain sentence when the port is taken */
export async function startServer(config: Config, log: Logger): Promise<Running> {
  needFolder(config.dataFolder);
  const file = storeFile(config);
  const lock = lockStore(`${file}.lock`);
  try {
    return await serve(config, log, lock);
  } catch (error) {
    lock.release();
    throw error;
  }
}

async function serve(config: Config, log: Logger, lock: StoreLock): Promise<Running> {
  const file = storeFile(config);
  const certificate = readCertificate(config.certificate);
  if (config.takeCopy) log.warn({ did: takeCopy(file, new Date()) }, 'a copy was taken');
  lookBeforeOpening(file);
  const store = await openStore(file);
  const desk = deskOf();
  const shop = new ShopService(store, file, desk);
  const jobs = new JobService(store, shop, desk);
  const pictures = new PictureService(store);
  const ground = { store, jobs, shop, desk };
  const runs = new RunService(ground);
  const devices = new DeviceService({ store, runs });
  const services: Services = {
    shop,
    jobs,
    runs,
    devices,
    log: new LogService(ground),
    desk,
    pictures,
    papers: new PaperService({ jobs, shop, pictures, desk }),
    classes: new ClassService(store),
    backup: new BackupService(file, desk),
    health: new HealthService(store, config),
  };
  await jobs.listOlder();
  await devices.begin();
  if (config.workshop === 'demo') await seedDemo(services);
  await gatherStore(store);

  const pairing = isLoopback(config.host) ? null : new Pairing(config.dataFolder);
  const gate = { host: config.host, certificate, pairing };
  const app = createApp({ services, log, webFolder: config.webFolder, gate });
  const server = certificate ? createSecureServer(certificate, app) : createServer(app);
  const { port } = await listen(server, config.port, config.host).catch(
    async (error: NodeJS.ErrnoException) => {
      await store.close(true);
      await desk.close();
      throw sayWhyNot(error, config);
    },
  );
  const copying = copyByItself(config, desk, log);
  const listening = { host: config.host, port, certificate };
  return {
    address: addressOf(listening),
    reachedAt: addressesOf(listening),
    pairingCode: pairing?.code ?? null,
    stop: async () => {
      clearInterval(copying);
      devices.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeIdleConnections();
        setTimeout(() => server.closeAllConnections(), 2000).unref();
      });
      await desk.close();
      await gatherStore(store);
      await store.close(true);
      lock.release();
    },
  };
}
