import { calls } from '../../core/wire/index.ts';
import type { BackupService, LogService } from '../services/index.ts';
import { answer, type Route } from './route.ts';

const today = (): string => new Date().toISOString().slice(0, 10);

export const logRoutes = (log: LogService, backup: BackupService): Route[] => [
  answer(calls.listLog, ({ query }) => log.list(query)),
  answer(calls.readLog, ({ params }) => log.page(params.id)),
  answer(calls.backup, async (_, response) => {
    const text = await backup.write();
    response.attachment(`vuelta-workshop-${today()}.json`).type('application/json').send(text);
  }),
  answer(calls.restore, ({ body }) => backup.restore(body)),
];
