import type { Run, RunEvent } from './schema.ts';

/**
 * Runs of before prompts had names counted the stages of a return stroke, and the steps of a learner, by
 * number. `clear` names whatever comes first towards a cut.
 */
const STROKE = ['out', 'back', 'turn'] as const;

function stepsOf({ move, helix }: Pick<Run, 'move' | 'helix'>): readonly string[] {
  if (helix) return [];
  if (move.method === 'stepper') return ['clear', 'turn'];
  const arms = move.method === 'nearest-hole' || ('spaces' in move && 'circle' in move && move.spaces > 0);
  return arms ? ['clear', 'unlock', 'turn', 'arms', 'lock'] : ['clear', 'unlock', 'turn', 'lock'];
}

/** The key of the prompt that an event says is done; null where it says no such thing. */
export function promptOfEvent(run: Pick<Run, 'move' | 'helix'>, event: RunEvent): string | null {
  if (event.kind === 'heeded') return event.prompt;
  if (event.kind === 'stroke') return STROKE[event.stage - 1] ?? null;
  if (event.kind === 'step') return stepsOf(run)[event.step - 1] ?? null;
  return null;
}
