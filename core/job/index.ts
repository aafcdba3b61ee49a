export {
  duplicateJob,
  headWithMade,
  madeFor,
  newDivideJob,
  newSpurJob,
  withDividing,
  withHead,
  withLeadGears,
  withMill,
  withPart,
  withRingPart,
  withSpurPart,
} from './create.ts';
export {
  mateOf,
  takeBentAngle,
  takeCount,
  takePair,
  takeSample,
  usualAngle,
  withCutter,
  withMatePart,
  type BentTo,
  type MateHelix,
} from './take.ts';
export { drawnHelicalJob, drawnSpurJob } from './sampleJob.ts';
export { jobFileText, readJob, readJobFile, shapeIssues } from './read.ts';
export {
  idSchema,
  JOB_FORMAT,
  JOB_VERSION,
  jobSchema,
  partSchema,
  type Job,
  type DividePart,
  type Part,
  type SpurPart,
} from './schema.ts';
