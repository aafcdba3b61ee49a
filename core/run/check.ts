import type { Issue } from '../findings/index.ts';
import { placeOf } from './places.ts';
import type { Run, RunEvent } from './schema.ts';

/**
 * Does an event belong to this run and name something it has?
 * Issues: event-from-other-run, event-names-no-cut
 */
export function checkEvent(run: Run, event: RunEvent): Issue[] {
  const issue = { path: '', severity: 'wrong', given: event.id } as const;
  if (event.runId !== run.id) return [{ ...issue, code: 'event-from-other-run' }];
  if (!('round' in event)) return [];
  if (placeOf(run, event) >= 0) return [];
  const allowed = `It has ${run.rounds.length === 1 ? '1 round' : `${run.rounds.length} rounds`} of ${run.divisions} cuts`;
  return [{ ...issue, code: 'event-names-no-cut', allowed }];
}
