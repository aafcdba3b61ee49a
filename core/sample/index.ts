export {
  identify,
  type Bare,
  type Contradiction,
  type Deciding,
  type Fit,
  type Identification,
  type Identified,
} from './identify.ts';
export { readSample } from './read.ts';
export { ANY_COUNT, type ReadingName, type Readings } from './readings.ts';
export { emptySample, sampleSchema, type SampleInput } from './schema.ts';
export { search, searchPlainly, type Candidate } from './search.ts';
export { sayAngle, sayContradiction, sayDeciding, sayFit, sayGear, sayVerdict } from './words.ts';
