export { JobService } from './jobs.ts';
export { RunService } from './runs.ts';
export { ShopService } from './shop.ts';
