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
export {
  addressOf,
  type AnswerOf,
  type Asked,
  type BodyOf,
  type Call,
  type ParamsOf,
  type QueryOf,
} from './call.ts';
export { calls } from './calls.ts';
