import { Router } from 'express';
import { calls } from '../../core/wire/index.ts';
import type {
  BackupService,
  JobService,
  LogService,
  PictureService,
  RunService,
  ShopService,
} from '../services/index.ts';
import { jobRoutes } from './jobs.ts';
import { describeApi } from './openapi.ts';
import { logRoutes } from './logbook.ts';
import { pictureRoutes } from './pictures.ts';
import { planningRoutes } from './planning.ts';
import { mount, type Route } from './route.ts';
import { runRoutes } from './runs.ts';

export interface Services {
  readonly jobs: JobService;
  readonly runs: RunService;
  readonly shop: ShopService;
  readonly log: LogService;
  readonly backup: BackupService;
  readonly pictures: PictureService;
}

export const routesOf = ({ jobs, runs, shop, log, backup, pictures }: Services): Route[] => [
  ...planningRoutes(shop),
  ...jobRoutes(jobs),
  ...runRoutes(runs),
  ...pictureRoutes(pictures),
  ...logRoutes(log, backup),
];

/** Everything under /api. */
export function apiRouter(services: Services): Router {
  const router = Router();
  const description = describeApi(Object.values(calls));
  mount(router, routesOf(services));
  router.get('/openapi.json', (_, response) => void response.json(description));
  router.get('/health', (_, response) => void response.json({ ok: true }));
  return router;
}
