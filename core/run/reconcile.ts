import type { RunState } from './fold.ts';
import { placeOf } from './places.ts';
import type { Run, RunAct, RunEvent } from './schema.ts';

/** Done towards a cut, and undone with it. */
const TOWARDS: ReadonlySet<RunEvent['kind']> = new Set([
  'turn',
  'heeded',
  'stroke',
  'step',
  'landing',
  'checked',
]);
const isClosing = (event: RunEvent): boolean => event.kind === 'heeded' && event.closing === true;

/**
 * What a screen has to add so that exactly the first `cutsDone` cuts of the run stand as done, after a person
 * has looked at the gear. Nothing is removed: counts beyond are taken back by name, missing ones are added,
 * and counts made on two screens at once are agreed on.
 * @param cutsDone whole, 0 … number of cuts
 * @returns the acts, in order; none when the count is already so and nothing is in doubt
 */
export function reconcile({
  run,
  events,
  state,
  cutsDone,
}: {
  readonly run: Run;
  readonly events: readonly RunEvent[];
  readonly state: RunState;
  readonly cutsDone: number;
}): RunAct[] {
  const acts: RunAct[] = [];
  const place = (event: { round: number; index: number }) => placeOf(run, event) + 1;
  const takenBack = new Set(events.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
  const beyond = events.filter(
    (event) =>
      !takenBack.has(event.id) &&
      ((event.kind === 'done' && place(event) > cutsDone) ||
        (TOWARDS.has(event.kind) && 'round' in event && !isClosing(event) && place(event) > cutsDone) ||
        ((event.kind === 'closed' || isClosing(event)) && cutsDone < run.cuts.length)),
  );
  const ids = [...new Set(beyond.map(({ id }) => id))];
  if (ids.length > 0) acts.push({ kind: 'take-back', ids });
  for (const [i, { round, index }] of run.cuts.slice(0, cutsDone).entries()) {
    if (!state.doneCuts[i]) acts.push({ kind: 'done', round, index });
  }
  for (const doubt of state.doubts) {
    if (doubt.kind === 'two-screens') acts.push({ kind: 'agreed', ids: doubt.ids });
  }
  return acts;
}
