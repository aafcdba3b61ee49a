import { Router } from 'express';
import type { BackupService, JobService, LogService, RunService, ShopService } from '../services/index.ts';
import { jobRoutes } from './jobs.ts';
import { describeApi } from './openapi.ts';
import { logRoutes } from './logbook.ts';
import { planningRoutes } from './planning.ts';
import { mount } from './route.ts';
import { runRoutes } from './runs.ts';

export interface Services {
  readonly jobs: JobService;
  readonly runs: RunService;
  readonly shop: ShopService;
  readonly log: LogService;
  readonly backup: BackupService;
}

/** Everything under /api. */
export function apiRouter({ jobs, runs, shop, log, backup }: Services): Router {
  const router = Router();
  const routes = [...planningRoutes(shop), ...jobRoutes(jobs), ...runRoutes(runs), ...logRoutes(log, backup)];
  const description = describeApi(routes);
  mount(router, routes);
  router.get('/openapi.json', (_, response) => void response.json(description));
  router.get('/health', (_, response) => void response.json({ ok: true }));
  return router;
}
