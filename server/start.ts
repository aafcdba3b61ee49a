import type { Server } from 'node:http';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { createApp } from './app.ts';
import { storeFile, type Config } from './config.ts';
import { seedDemo } from './demo/index.ts';
import type { Services } from './routes/index.ts';
import {
  BackupService,
  JobService,
  LogService,
  PictureService,
  RunService,
  ShopService,
} from './services/index.ts';
import { isLoopback, Pairing } from './pairing.ts';
import { gatherStore, openStore } from './store.ts';

export interface Running {
  /** `http://127.0.0.1:4810` */
  readonly address: string;
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

/** Opens the store, brings it up to date and serves. @throws a plain sentence when the port is taken */
export async function startServer(config: Config, log: Logger): Promise<Running> {
  const store = await openStore(storeFile(config));
  const shop = new ShopService(store);
  const jobs = new JobService(store, shop);
  const services: Services = {
    shop,
    jobs,
    runs: new RunService(store, jobs, shop),
    log: new LogService(store, jobs, shop),
    pictures: new PictureService(store),
    backup: new BackupService(store, config.dataFolder),
  };
  await jobs.listOlder();
  if (config.workshop === 'demo') await seedDemo(services);
  await gatherStore(store);

  const pairing = isLoopback(config.host) ? null : new Pairing(config.dataFolder);
  const server = createServer(
    createApp({ services, log, webFolder: config.webFolder, gate: { host: config.host, pairing } }),
  );
  const { port } = await listen(server, config.port, config.host).catch(
    async (error: NodeJS.ErrnoException) => {
      await store.close(true);
      if (error.code === 'EADDRINUSE')
        throw new Error(`Port ${config.port} is taken by another program. Set PORT to a free one.`);
      throw error;
    },
  );
  const shown = config.host.includes(':') ? `[${config.host}]` : config.host;
  return {
    address: `http://${shown}:${port}`,
    pairingCode: pairing?.code ?? null,
    stop: async () => {
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeIdleConnections();
        setTimeout(() => server.closeAllConnections(), 2000).unref();
      });
      await gatherStore(store);
      await store.close(true);
    },
  };
}
