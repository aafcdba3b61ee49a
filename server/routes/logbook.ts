import { shapes } from '../../core/wire/index.ts';
import type { BackupService, LogService } from '../services/index.ts';
import { z } from 'zod';
import { route, type Route } from './route.ts';

const today = (): string => new Date().toISOString().slice(0, 10);

export function logRoutes(log: LogService, backup: BackupService): Route[] {
  return [
    route({
      method: 'get',
      path: '/log',
      answers: shapes.logShape,
      summary: 'The logbook: every run of every job, newest first, without its single counts.',
      handle: () => log.list(),
    }),
    route({
      method: 'get',
      path: '/log/{id}',
      answers: shapes.logPageShape,
      summary:
        'One run of the logbook, with what was measured on its part since and the runs linked with it.',
      refusals: [404],
      handle: ({ params }) => log.page(params['id']!),
    }),
    route({
      method: 'get',
      path: '/backup',
      summary: 'The whole workshop as one file: shop, jobs, kept versions, runs and every count.',
      handle: async (_, response) => {
        const text = await backup.write();
        response.attachment(`vuelta-workshop-${today()}.json`).type('application/json').send(text);
      },
    }),
    route({
      method: 'post',
      path: '/restore',
      answers: shapes.restoredShape,
      summary:
        'Puts a backup back, all of it or nothing. What it replaces is kept as versions, and the workshop as it stood is put aside as a file.',
      textBody: true,
      refusals: [413, 422],
      body: z.string(),
      handle: ({ body }) => backup.restore(body),
    }),
  ];
}
