export {
  duplicateJob,
  headWithMade,
  indexedParts,
  madeFor,
  newDivideJob,
  newDriveJob,
  newSpurJob,
  withDividing,
  withHead,
  withLathe,
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
export { agreeOnDrive, drivesDiffer, partnerOf, withDrive } from './drive.ts';
export { drawnDriveJob, drawnHelicalJob, drawnSpurJob } from './sampleJob.ts';
export { jobFileText, readJob, readJobFile, shapeIssues } from './read.ts';
export {
  idSchema,
  JOB_FORMAT,
  JOB_VERSION,
  jobSchema,
  partSchema,
  type Job,
  type CutterPart,
  type DividePart,
  type DrivePart,
  type IndexedPart,
  type Part,
  type SpurPart,
  type WheelPart,
  type WormPart,
} from './schema.ts';
