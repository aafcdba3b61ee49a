export { JobService, type JobListing, type StoredJob } from './jobs.ts';
export { RunService, type EventsPage, type StoredRun } from './runs.ts';
export { ShopService, type StoredShop } from './shop.ts';
