import { Router } from 'express';
import { z } from 'zod';
import { shapes } from '../../core/wire/index.ts';
import type { BackupService, JobService, LogService, RunService, ShopService } from '../services/index.ts';
import { jobRoutes } from './jobs.ts';
import { describeApi } from './openapi.ts';
import { logRoutes } from './logbook.ts';
import { planningRoutes } from './planning.ts';
import { mount, type Described, type Route } from './route.ts';
import { runRoutes } from './runs.ts';

export interface Services {
  readonly jobs: JobService;
  readonly runs: RunService;
  readonly shop: ShopService;
  readonly log: LogService;
  readonly backup: BackupService;
}

/** Answered before the rest, by who lets devices in. */
const ANSWERED_BEFORE: readonly Described[] = [
  {
    method: 'get',
    path: '/pairing',
    summary: 'Is this device let in? On the server’s own machine, also the code for others.',
    answers: shapes.pairingShape,
  },
  {
    method: 'post',
    path: '/pair',
    summary: 'Lets this device in by the code that stands on the server’s own screen; a cookie keeps it.',
    body: z.object({ code: z.string() }),
    answers: shapes.pairedShape,
    refusals: [403, 429],
  },
];

/** The shape of a good answer; null where a file is sent, or none is described. */
export function shapeOfAnswer(
  routes: readonly Described[],
  method: string,
  address: string,
): z.ZodType | null {
  const path = address.replace(/\?.*$/, '');
  const found = routes.find(
    (made) =>
      made.method === method.toLowerCase() &&
      new RegExp(`^${made.path.replace(/\{\w+\}/g, '[^/]+')}$`).test(path),
  );
  return found?.answers ?? null;
}

export const routesOf = ({ jobs, runs, shop, log, backup }: Services): Route[] => [
  ...planningRoutes(shop),
  ...jobRoutes(jobs),
  ...runRoutes(runs),
  ...logRoutes(log, backup),
];

/** Everything under /api. */
export function apiRouter(services: Services): Router {
  const router = Router();
  const routes = routesOf(services);
  const description = describeApi([...routes, ...ANSWERED_BEFORE]);
  mount(router, routes);
  router.get('/openapi.json', (_, response) => void response.json(description));
  router.get('/health', (_, response) => void response.json({ ok: true }));
  return router;
}
