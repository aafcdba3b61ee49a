export { contactRatio, engagedLength, FAIR_GASH_DEG, MOST_GASH_DEG, usualWorms } from './pair.ts';
export { flatAndCrest, WORM_SCHOOLS, type WormProportions } from './proportions.ts';
export { type DriveReadings } from './read.ts';
export {
  identifyDrive,
  takeCandidate,
  type DriveCandidate,
  type SampleAnswer,
  type SampleFit,
} from './sample.ts';
export { driveSchema, emptyDrive, type DriveInput, type DriveSample } from './schema.ts';
export { parseSize } from './size.ts';
export { fromCentre, type SolvedWorm } from './solve.ts';
export { shapeOf, type DriveDetail, type DriveFacts, type DriveShape, type PairReport } from './detail.ts';
export { planDrive, ratioText, type DriveWork } from './station.ts';
export { wheelDrawing } from './wheelDrawing.ts';
export { wheelCutAs, wheelSizes, type WheelSizes } from './wheelSizes.ts';
export {
  axialFromNormal,
  likelySelfLocking,
  wormForCentre,
  wormSizes,
  type Worm,
  type WormSizes,
} from './wormSizes.ts';
