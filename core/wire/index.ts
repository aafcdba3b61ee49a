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
  type Place,
  type QueryOf,
  type Where,
} from './call.ts';
export { calls, type Calls } from './calls.ts';
export { PLACES } from './places.ts';
