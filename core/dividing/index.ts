export { angleAim, countAim, countOf, movesOf, spaceAt, type Aim } from './aim.ts';
export {
  checkChart,
  type ChartCheck,
  type ChartGears,
  type ChartLetters,
  type ChartPosition,
  type ChartRow,
  type Misprint,
} from './chart.ts';
export { findCompounds, findNearCompounds, type CompoundMove } from './compound.ts';
export { findDifferentials, plateRatioFor, usualIdlers, type DifferentialMove } from './differential.ts';
export { findDirects } from './direct.ts';
export { indexingTable, type IndexingRow } from './indexingTable.ts';
export { holeRows, planMadePlate, type DrillHole, type MadePlate } from './madePlate.ts';
export { bestWay, MOST_WAYS, searchMethods, searchMethodsInSteps, type LongSearch } from './longSearch.ts';
export { choiceOfRow } from './rowChoice.ts';
export { quickMethods, rankMethods, simpleWays } from './methods.ts';
export { choiceFromV2, dividingFromV2, landingFromV2 } from './migrate.ts';
export {
  landingOf,
  plateRatioBy,
  plateRatioOf,
  runChoice,
  runMoves,
  type CrankMove,
  type HeadMechanism,
  type HeadMotion,
  type HeadState,
} from './motion.ts';
export { errorsOfChoice, errorsOfHole, errorsOfRunout, judgeErrors, type HoleError } from './pitchError.ts';
export { preparationOf, standingFor, type Preparation } from './preparation.ts';
export { proveDivision, type Proof } from './proof.ts';
export {
  dividingChoiceSchema,
  dividingSchema,
  emptyDividing,
  emptyMadePlate,
  landingSchema,
  type ChoiceOf,
  type DividingChoice,
  type DividingInput,
  type Landing,
  type MadeInput,
} from './schema.ts';
export {
  circleNeeded,
  circlesOf,
  findSimpleIndexings,
  nearestSimpleCounts,
  type Circle,
  type SimpleMove,
} from './simple.ts';
export type { DividingDetail, DividingFacts, PlateDrawing } from './detail.ts';
export { planDividing, type DividingGround } from './station.ts';
export { REACHES, reachOfCounts, type Reach } from './strip.ts';
export { lineAim } from './table.ts';
export { aimData, aimFrom, readStride, type AimData, type Target } from './target.ts';
export { plateTurnsOf, stepsPerTurn, wayOfChoice } from './ways.ts';
export {
  armsText,
  backText,
  choiceText,
  crankTurnsText,
  errorText,
  landingGround,
  landingText,
  landsText,
  markText,
  moveText,
  rimText,
  smallAngleText,
  type LandingGround,
} from './words.ts';
export type { Geared, Ground, LeadGearing, Method, MethodAnswer, Way } from './way.ts';
