export { newDivideJob, newDriveJob, newSpurJob } from './create.ts';
export { COPIED, withHead, withLathe, withLeadGears, withMill, withShopCopy, type Copied } from './equip.ts';
export { fileNameOf } from './fileName.ts';
export { laidLike, type LaidLike } from './habits.ts';
export { headWithMade, madeFor, ringPartFor, withRingPart } from './made.ts';
export { duplicateJob, withRunBegun } from './measured.ts';
export { indexedParts, withDividing, withPart, withSpurPart } from './parts.ts';
export {
  mateOf,
  takeBentAngle,
  takeCount,
  takePair,
  takeSample,
  usualAngle,
  withCutter,
  withHand,
  withMatePart,
  withPressureAngle,
  type BentTo,
  type MateHelix,
} from './take.ts';
export { withMatesFollowing } from './pair.ts';
export { agreeOnDrive, drivesDiffer, partnerOf, withDrive } from './drive.ts';
export { drawnDriveJob, drawnHelicalJob, drawnSpurJob } from './sampleJob.ts';
export { jobFileText, readJob, readJobFile, shapeIssues } from './read.ts';
export { JOB_VERSION, jobSchema, MOST_TAGS, personSchema, tagsSchema, type Job } from './schema.ts';
export { listingOf, plainWords, type JobListed } from './listing.ts';
