export { atOnce, hadSeen, inOrder, lastSeenOf } from './causality.ts';
export { checkEvent } from './check.ts';
export { foldRun, summarise, type Doubt, type RunState, type RunSummary } from './fold.ts';
export { freezeRun, spacesFrom } from './freeze.ts';
export { readRun } from './read.ts';
export { reconcile } from './reconcile.ts';
export { runEventSchema, runSchema, type Cut, type Run, type RunAct, type RunEvent } from './schema.ts';
