export { findDifferentials, plateRatioFor, usualIdlers, type DifferentialMove } from './differential.ts';
export { runMoves, type CrankMove, type HeadMechanism, type HeadMotion, type HeadState } from './motion.ts';
export { proveDivision, type Proof } from './proof.ts';
export { dividingChoiceSchema, dividingSchema, type DividingChoice, type DividingInput } from './schema.ts';
export {
  circleNeeded,
  circlesOf,
  findSimpleIndexings,
  nearestSimpleCounts,
  type Circle,
  type SimpleMove,
} from './simple.ts';
export {
  planDividing,
  type DividingDetail,
  type DividingFacts,
  type MoveDrawing,
  type PlateDrawing,
} from './station.ts';
export { crankTurnsText, isChoice, moveText, simpleWays, type Way } from './ways.ts';
