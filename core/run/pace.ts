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
 * @param counts which of them count: others part those beside them
 */
export function intervals(
  events: readonly RunEvent[],
  counts: (event: { readonly round: number; readonly index: number }) => boolean = () => true,
): number[] {
  const takenBack = new Set(events.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
  const found: number[] = [];
  let before: RunEvent | null = null;
  for (const event of inOrder(events)) {
    if (event.kind === 'pause' || event.kind === 'resume') before = null;
    if (event.kind !== 'done' || takenBack.has(event.id)) continue;
    if (!counts(event)) {
      before = null;
      continue;
    }
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

/** Seconds for one space of a round: as its own were counted, else by the set-up, else as any were. */
function paceOfRound(run: Run, events: readonly RunEvent[], round: number): Pick<Pace, 'perCut' | 'by'> {
  const counted = (latest: readonly number[]) => (latest.length >= ENOUGH ? median(latest) : null);
  const own = counted(intervals(events, (event) => event.round === round).slice(-LATEST));
  if (own !== null) return { perCut: own, by: 'counted' };
  if (run.minutesPerCut !== null) return { perCut: run.minutesPerCut * 60, by: 'set-up' };
  const any = counted(intervals(events).slice(-LATEST));
  return { perCut: any, by: any === null ? null : 'counted' };
}

/**
 * How quickly the round in hand goes, and what is left of the time: each round by its own pace, since a
 * scratch takes seconds where a cut takes minutes.
 */
export function paceOf(
  run: Run,
  events: readonly RunEvent[],
  { done, next }: Pick<RunState, 'done' | 'next'>,
): Pace {
  const left = new Map<number, number>();
  for (const { round } of run.cuts.slice(done)) left.set(round, (left.get(round) ?? 0) + 1);
  const here = paceOfRound(run, events, next?.round ?? run.rounds.length);
  let seconds: number | null = 0;
  for (const [round, cuts] of left) {
    const { perCut } = paceOfRound(run, events, round);
    seconds = perCut === null || seconds === null ? null : seconds + cuts * perCut;
  }
  return { ...here, minutesLeft: seconds === null ? null : seconds / 60 };
}
