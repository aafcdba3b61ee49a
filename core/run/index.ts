export { inOrder, lastSeenOf } from './causality.ts';
export { checkEvent } from './check.ts';
export {
  foldRun,
  goOnWith,
  stateOf,
  summarise,
  tallyOf,
  turnsOf,
  type Doubt,
  type Ended,
  type RunState,
  type RunSummary,
} from './fold.ts';
export { freezeRun, leftToPrepare } from './freeze.ts';
export { runWouldBe } from './wouldBe.ts';
export { chordOver, chordSays, dueCheck, type ChordCheck, type ChordSays } from './halfway.ts';
export { digestOf, runDigestSchema, type RunDigest } from './digest.ts';
export { outcomeOf, OUTCOMES, type Outcome } from './outcome.ts';
export { paceOf, type Pace } from './pace.ts';
export { holesDrilled } from './drilled.ts';
export { firstMetal, placeOf, roundOf } from './places.ts';
export { toldByHole, whereInRun, type LostCount, type Whereabouts } from './lostCount.ts';
export { RUN_STANDINGS, standingOfRun, type RunStanding } from './standing.ts';
export { numberOf, type RunTally } from './tally.ts';
export { readRun } from './read.ts';
export { reconcile } from './reconcile.ts';
export { groundOfRun, sayLanding } from './saying.ts';
export {
  pieceSchema,
  RUN_VERSION,
  runEventSchema,
  runSchema,
  type Cut,
  type Mount,
  type Piece,
  type Run,
  type RunAct,
  type RunEvent,
} from './schema.ts';
