export { duplicateJob, newSpurJob, withHead, withPart } from './create.ts';
export { drawnSpurJob } from './sampleJob.ts';
export { jobFileText, readJob, readJobFile, shapeIssues } from './read.ts';
export {
  idSchema,
  JOB_FORMAT,
  JOB_VERSION,
  jobSchema,
  partSchema,
  type Job,
  type Part,
  type SpurPart,
} from './schema.ts';
