import { inOrder } from './causality.ts';
import type { RunState } from './fold.ts';
import type { Run, RunEvent } from './schema.ts';

/** How quickly spaces are cut, and what is left of the time. */
export interface Pace {
  /** Seconds for one space; null while nothing tells it. */
  readonly perCut: number | null;
  readonly by: 'counted' | 'set-up' | null;
  readonly minutesLeft: number | null;
}

/** Longer between two counts than this is an interruption, or a clock that was put right. Seconds */
const LONGEST = 45 * 60;
const LATEST = 15;
const ENOUGH = 3;

/**
 * Seconds between counts that stand, by the clocks of the screens: only where one follows another on one
 * screen, with no pause between, and the clock did not go back. A clock that jumps spoils the one interval it
 * falls in.
 */
export function intervals(events: readonly RunEvent[]): number[] {
  const takenBack = new Set(events.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
  const found: number[] = [];
  let before: RunEvent | null = null;
  for (const event of inOrder(events)) {
    if (event.kind === 'pause' || event.kind === 'resume') before = null;
    if (event.kind !== 'done' || takenBack.has(event.id)) continue;
    if (before?.device === event.device) {
      const seconds = (Date.parse(event.clientTime) - Date.parse(before.clientTime)) / 1000;
      if (seconds > 0 && seconds < LONGEST) found.push(seconds);
    }
    before = event;
  }
  return found;
}

export function median(values: readonly number[]): number | null {
  const rising = [...values].sort((a, b) => a - b);
  const middle = Math.floor(rising.length / 2);
  if (rising.length === 0) return null;
  return rising.length % 2 === 1 ? rising[middle]! : (rising[middle - 1]! + rising[middle]!) / 2;
}

/** By the last spaces cut, else by the set-up. */
export function paceOf(run: Run, events: readonly RunEvent[], state: Pick<RunState, 'done' | 'total'>): Pace {
  const latest = intervals(events).slice(-LATEST);
  const counted = latest.length >= ENOUGH ? median(latest) : null;
  const perCut = counted ?? (run.minutesPerCut === null ? null : run.minutesPerCut * 60);
  return {
    perCut,
    by: counted !== null ? 'counted' : perCut === null ? null : 'set-up',
    minutesLeft: perCut === null ? null : ((state.total - state.done) * perCut) / 60,
  };
}
