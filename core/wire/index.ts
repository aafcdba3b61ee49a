export type {
  Appended,
  EventsPage,
  JobListing,
  LogEntry,
  LogPage,
  Problem,
  Restored,
  StoredJob,
  StoredRun,
  StoredShop,
} from './answers.ts';
