export type {
  Appended,
  EventsPage,
  JobListing,
  Problem,
  StoredJob,
  StoredRun,
  StoredShop,
} from './answers.ts';
