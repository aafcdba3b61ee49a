import { calls } from '../../core/wire/index.ts';
import type { RunService } from '../services/index.ts';
import { answer, type Route } from './route.ts';

export const runRoutes = (runs: RunService): Route[] => [
  answer(calls.startRun, ({ params, body }) => runs.start(params.id, body)),
  answer(calls.runsOf, async ({ params }) => ({ runs: await runs.listOf(params.id) })),
  answer(calls.readRun, ({ params }) => runs.read(params.id)),
  answer(calls.readEvents, ({ params, query }) => runs.events(params.id, query.after)),
  answer(calls.appendEvents, ({ params, body }) => runs.append(params.id, body.events)),
];
