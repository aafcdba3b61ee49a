export type {
  Appended,
  EventsPage,
  Health,
  JobListing,
  JobMarks,
  JobsPage,
  LogEntry,
  LogList,
  LogPage,
  Problem,
  Restored,
  StoredJob,
  RunListing,
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
export type { JobQuery, LogQuery } from './bodies.ts';
export { calls, pairingCalls, type Calls } from './calls.ts';
export type { BenchBody, ClassBoard, ClassBody, ClassListed, LearnerStands } from './classes.ts';
export { MOST_CLASSES, MOST_LEARNERS, MOST_TRIES } from './classes.ts';
export type { LiveDevice, TurnBody } from './devices.ts';
export { MOST_PICTURE, MOST_PICTURES } from './limits.ts';
export { pictureShape, type Picture, type PictureBody } from './pictures.ts';
export { PLACES } from './places.ts';
