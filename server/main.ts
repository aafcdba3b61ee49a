import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { readConfig, storeFile } from './config.ts';
import { startServer } from './start.ts';

/** dist/node/server → the project's root. */
const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../../..');
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' }, pino.destination(2));

try {
  const config = readConfig(process.env, process.argv.slice(2), root);
  const running = await startServer(config, log);
  log.info({ address: running.address, store: storeFile(config) }, 'serving');
  console.log(
    `\nVuelta, ${config.workshop === 'demo' ? 'demo workshop' : 'your workshop'}: ${running.address}\nStored in ${storeFile(config)}. Stop with Ctrl-C.\n`,
  );
  if (running.pairingCode)
    console.log(
      `Other devices on this network: ${running.reachedAt.join(' or ')}. They are let in with the code ${running.pairingCode}, which changes at each start.\n`,
    );
  if (running.pairingCode)
    log.warn({ host: config.host }, 'listening beyond this machine: other devices are let in with a code');

  let stopping = false;
  const stop = (why: string) => {
    if (stopping) return;
    stopping = true;
    log.info({ why }, 'stopping');
    void running.stop().then(() => process.exit(0));
  };
  process.on('SIGINT', () => stop('SIGINT'));
  process.on('SIGTERM', () => stop('SIGTERM'));
  // a signal to npm does not reach its grandchild: stop when the parent is gone
  const parent = process.ppid;
  if (process.env['VUELTA_WATCH_PARENT'])
    setInterval(() => process.ppid !== parent && stop('parent gone'), 500).unref();
} catch (error) {
  console.error(`\nVuelta cannot start: ${error instanceof Error ? error.message : String(error)}\n`);
  log.debug({ err: error as Error }, 'start failed');
  process.exit(1);
}
