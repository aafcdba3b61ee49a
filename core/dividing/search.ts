import type { GearSet, Head } from '../shop/index.ts';
import { findDifferentials } from './differential.ts';
import { circlesOf, findSimpleIndexings } from './simple.ts';
import { differentialGears, differentialWays, type Way } from './ways.ts';
import { exact } from '../units/index.ts';
import type { GearTable } from '../gearing/index.ts';

/** What a longer search has found, or why it cannot find anything. */
export interface WaysFound {
  /** The best of them, each proved by motion, best first. */
  readonly ways: readonly Way[];
  /** How many there are in all. */
  readonly total: number;
  /** Why the method is out, in words; null when it is open. */
  readonly out: string | null;
  /** Where there is none: the nearest counts that this head and its gears do reach. */
  readonly nearest: readonly number[];
}

/** Counts looked at on either side for a neighbour that can be reached. */
const LOOK = 30;

function nearestReached(head: Head, gears: GearTable, divisions: number): number[] {
  const ratio = exact(head.ratio);
  const circles = circlesOf(head.plates);
  const reached = (n: number) =>
    findSimpleIndexings(ratio, n, circles).length > 0 ||
    findDifferentials(ratio, n, circles, gears, { any: true }).length > 0;
  const look = (step: 1 | -1) => {
    for (let n = divisions + step, tried = 0; n >= 2 && tried < LOOK; n += step, tried += 1)
      if (reached(n)) return n;
    return null;
  };
  return [look(-1), look(1)].filter((n) => n !== null);
}

/**
 * The longer search of the dividing station: differential indexing with the gears of the head. Run it off the thread that
 * the screen is drawn on.
 * @param gearSets those listed with the head @param divisions N, whole, ≥ 2 @param most how many to prove and return
 */
export function searchWays(
  head: Head,
  gearSets: readonly GearSet[],
  divisions: number,
  most = 50,
): WaysFound {
  const closed = (out: string): WaysFound => ({ ways: [], total: 0, out, nearest: [] });
  const gears = differentialGears(head, gearSets);
  if (!gears)
    return closed(`${head.name} has no gears between spindle and plate, so its plate cannot be turned.`);
  if (!head.plateLock) {
    return closed(
      `The plate must be free for a differential train, and the plate of ${head.name} has no lock pin to draw.`,
    );
  }
  if (head.plates.length === 0) return closed(`${head.name} has no index plates listed.`);
  const { ways, total } = differentialWays(head, gears, divisions, most);
  return { ways, total, out: null, nearest: total === 0 ? nearestReached(head, gears, divisions) : [] };
}
