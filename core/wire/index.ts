export type {
  Appended,
  EventsPage,
  JobListing,
  JobMarks,
  JobsPage,
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
export type { JobQuery } from './bodies.ts';
export { calls, type Calls } from './calls.ts';
export { MOST_PICTURE, MOST_PICTURES } from './limits.ts';
export { pictureShape, type Picture, type PictureBody } from './pictures.ts';
export { PLACES } from './places.ts';
