import { createReadStream, rmSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { calls } from '../../core/wire/index.ts';
import type { BackupService, LogService } from '../services/index.ts';
import { answer, answerFile, goneOf, type Route } from './route.ts';

/** Bytes; some thousand jobs and a thousand pictures. One text holds no more than a fifth more. */
const RESTORE_LIMIT = 400 * 1024 ** 2;

const today = (): string => new Date().toISOString().slice(0, 10);

/** @param restored called when a backup was put back, or as much of it as was wanted */
export const logRoutes = (log: LogService, backup: BackupService, restored: () => Promise<void>): Route[] => [
  answer(calls.listLog, ({ query }) => log.list(query)),
  answer(calls.readLog, ({ params }) => log.page(params.id)),
  answer(calls.backup, async (_, response) => {
    const file = await backup.write(goneOf(response));
    response.attachment(`vuelta-workshop-${today()}.json`).type('application/json');
    try {
      await pipeline(createReadStream(file), response);
    } finally {
      rmSync(file, { force: true });
    }
  }),
  answerFile(calls.restore, { most: RESTORE_LIMIT, file: () => backup.passingFile() }, async (file) => {
    const done = await backup.restore(file);
    await restored();
    return done;
  }),
  answer(calls.readRestore, () => ({ under: backup.under })),
  answer(calls.stopRestore, () => {
    backup.stop();
    return { under: backup.under };
  }),
];
