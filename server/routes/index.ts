import { Router, type Request } from 'express';
import { calls } from '../../core/wire/index.ts';
import type { DeviceService } from '../devices/index.ts';
import type { Desk } from '../heavy/index.ts';
import type {
  BackupService,
  ClassService,
  HealthService,
  JobService,
  LogService,
  PaperService,
  PictureService,
  RunService,
  ShopService,
} from '../services/index.ts';
import { classRoutes } from './classes.ts';
import { deviceRoutes } from './devices.ts';
import { fileRoutes } from './files.ts';
import { jobRoutes } from './jobs.ts';
import { describeApi } from './openapi.ts';
import { logRoutes } from './logbook.ts';
import { pictureRoutes } from './pictures.ts';
import { planningRoutes } from './planning.ts';
import { answer, mount, type Route } from './route.ts';
import { runRoutes } from './runs.ts';
import { schemaRoutes } from './schemas.ts';

export interface Services {
  readonly jobs: JobService;
  readonly runs: RunService;
  readonly shop: ShopService;
  readonly log: LogService;
  readonly backup: BackupService;
  readonly pictures: PictureService;
  readonly papers: PaperService;
  readonly classes: ClassService;
  readonly devices: DeviceService;
  readonly desk: Desk;
  readonly health: HealthService;
}

/** Where others reach what is asked for by this request; null where they do not. */
export type AddressFor = (request: Request) => string | null;

export const routesOf = (
  { jobs, runs, shop, log, backup, pictures, papers, classes, devices, desk, health }: Services,
  addressFor: AddressFor = () => null,
): Route[] => [
  ...planningRoutes(shop, desk),
  ...jobRoutes(jobs),
  ...fileRoutes(papers, addressFor),
  ...schemaRoutes(),
  ...runRoutes(runs),
  ...pictureRoutes(pictures),
  ...logRoutes(log, backup, () => devices.begin()),
  ...classRoutes(classes),
  ...deviceRoutes(devices),
  answer(calls.health, () => health.look()),
];

/** Everything under /api. */
export function apiRouter(services: Services, addressFor: AddressFor): Router {
  const router = Router();
  const description = describeApi(Object.values(calls));
  mount(router, routesOf(services, addressFor));
  router.get('/openapi.json', (_, response) => void response.json(description));
  return router;
}
