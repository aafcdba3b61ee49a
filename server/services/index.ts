export { BackupService } from './backup.ts';
export { HealthService } from './health.ts';
export { LogService } from './log.ts';
export { JobService } from './jobs.ts';
export { PaperService } from './papers.ts';
export { PictureService } from './pictures.ts';
export { RunService } from './runs.ts';
export { ShopService } from './shop.ts';
