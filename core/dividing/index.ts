export { checkChart, type ChartCheck, type ChartGears, type ChartRow, type Misprint } from './chart.ts';
export { findDifferentials, plateRatioFor, usualIdlers, type DifferentialMove } from './differential.ts';
export { runMoves, type CrankMove, type HeadMechanism, type HeadMotion, type HeadState } from './motion.ts';
export { proveDivision, type Proof } from './proof.ts';
export { dividingChoiceSchema, dividingSchema, type DividingChoice, type DividingInput } from './schema.ts';
export { searchWays, type WaysFound } from './search.ts';
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
  type DividingGround,
  type MoveDrawing,
  type PlateDrawing,
} from './station.ts';
export {
  choiceText,
  crankTurnsText,
  differentialGears,
  differentialWays,
  moveText,
  plateRatioOf,
  plateTurnsOf,
  simpleWays,
  trainText,
  wayOfChoice,
  type Geared,
  type Way,
} from './ways.ts';
