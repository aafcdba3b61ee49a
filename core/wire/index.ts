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
  UnreadRun,
} from './answers.ts';
export * as shapes from './shapes.ts';
