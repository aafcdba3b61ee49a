export { atOnce, hadSeen, inOrder, lastSeenOf } from './causality.ts';
export { checkEvent } from './check.ts';
export {
  CLEARED,
  foldRun,
  INDEXED,
  RUN_BACK,
  summarise,
  turnsOf,
  type Doubt,
  type RunState,
  type RunSummary,
} from './fold.ts';
export { freezeRun } from './freeze.ts';
export { toldByHole, whereInRun, type LostCount, type Whereabouts } from './lostCount.ts';
export { readRun } from './read.ts';
export { reconcile } from './reconcile.ts';
export { groundOfRun, sayLanding } from './saying.ts';
export { runEventSchema, runSchema, type Cut, type Run, type RunAct, type RunEvent } from './schema.ts';
