import { shapes } from '../../core/wire/index.ts';
import { z } from 'zod';
import { idSchema } from '../../core/kinds/index.ts';
import { pieceSchema, runEventSchema } from '../../core/run/index.ts';
import type { RunService } from '../services/index.ts';
import { route, type Route } from './route.ts';

export function runRoutes(runs: RunService): Route[] {
  return [
    route({
      method: 'post',
      path: '/jobs/{id}/runs',
      answers: shapes.storedRunShape,
      summary: 'Starts a run: freezes the part’s plan, equipment and ordered cuts.',
      body: z
        .object({
          id: idSchema,
          partId: idSchema,
          revision: z.int().min(1),
          piece: pieceSchema.default({ kind: 'work', name: '' }),
          continues: idSchema.nullable().default(null),
          deepens: z
            .object({
              runId: idSchema,
              by: z.number().positive().max(20),
              register: z.enum(['kept', 'found']).default('found'),
            })
            .nullable()
            .default(null),
        })
        .refine(
          ({ continues, deepens }) => !continues || !deepens,
          'A run goes on with another, or sinks its gear: not both',
        ),
      status: 201,
      refusals: [404, 409, 422],
      handle: ({ params, body }) => runs.start(params['id']!, body),
    }),
    route({
      method: 'get',
      path: '/jobs/{id}/runs',
      answers: shapes.storedRunsShape,
      summary: 'The runs of a job, newest first.',
      refusals: [404],
      handle: async ({ params }) => ({ runs: await runs.listOf(params['id']!) }),
    }),
    route({
      method: 'get',
      path: '/runs/{id}',
      answers: shapes.storedRunShape,
      summary: 'A run as frozen, with the state of its count.',
      refusals: [404],
      handle: ({ params }) => runs.read(params['id']!),
    }),
    route({
      method: 'get',
      path: '/runs/{id}/events',
      answers: shapes.eventsShape,
      summary: 'The events of a run, or only those that arrived later than the last ones seen.',
      query: z.object({ after: z.coerce.number().int().min(0).default(0) }),
      refusals: [404, 422],
      handle: ({ params, query }) => runs.events(params['id']!, query.after),
    }),
    route({
      method: 'post',
      path: '/runs/{id}/events',
      answers: shapes.appendedShape,
      summary: 'Adds events to a run. Repeats are passed over; all are stored, or none.',
      body: z.object({ events: z.array(runEventSchema).min(1).max(2000) }),
      refusals: [404, 409, 422],
      handle: ({ params, body }) => runs.append(params['id']!, body.events),
    }),
  ];
}
