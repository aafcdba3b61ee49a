import { Beat, median } from './beat.ts';
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

const LATEST = 15;
const ENOUGH = 3;

/** Seconds between counts that stand. @param counts which of them count: others part those beside them */
function intervals(
  events: readonly RunEvent[],
  counts: (event: { readonly round: number; readonly index: number }) => boolean = () => true,
): readonly number[] {
  const takenBack = new Set(events.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
  const beat = new Beat();
  for (const event of inOrder(events)) {
    if (takenBack.has(event.id)) continue;
    if (event.kind === 'done' && !counts(event)) beat.part();
    else beat.add(event);
  }
  return beat.seconds;
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
