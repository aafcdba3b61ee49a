import { differentialGears } from './ways.ts';
import { findCompounds } from './compound.ts';
import { findDifferentials } from './differential.ts';
import { circlesOf, type Circle } from './simple.ts';
import type { GearTable } from '../gearing/index.ts';
import type { Equipment, Head } from '../shop/index.ts';
import { exact, type Exact } from '../units/index.ts';

/** How a count is best had in a shop, the least trouble first. */
export const REACHES = ['direct', 'simple', 'differential', 'compound', 'handwheel', 'none'] as const;
export type Reach = (typeof REACHES)[number];
const HANDWHEEL = REACHES.indexOf('handwheel');
const NONE = REACHES.indexOf('none');

interface HeadReady {
  readonly ratio: Exact;
  readonly over: number;
  readonly under: number;
  readonly circles: readonly Circle[];
  readonly rings: readonly number[];
  readonly gears: GearTable | null;
  readonly simpleOnly: boolean;
  /** Least readings of its handwheel in one turn of it; null without one. */
  readonly readings: number | null;
  /** Only the crank’s own pin, and rings between spindle and work. */
  readonly leadGeared: boolean;
}

/** What the shop has besides its heads, and whether the work is geared to the table while it is cut. */
export interface ReachGround extends Pick<Equipment, 'gearSets'> {
  readonly leadGeared?: boolean;
}

function ready(head: Head, { gearSets, leadGeared = false }: ReachGround): HeadReady {
  const ratio = exact(head.ratio);
  return {
    ratio,
    over: Number(ratio.n),
    under: Number(ratio.d),
    circles: circlesOf(head.plates),
    rings: head.rings.filter(({ onWork }) => onWork || !leadGeared).map(({ holes }) => holes),
    gears: head.plateLock && !leadGeared ? differentialGears(head, gearSets) : null,
    simpleOnly: head.differential?.stud === false,
    readings: head.handwheel && !leadGeared ? head.handwheel.marks * head.handwheel.vernier : null,
    leadGeared,
  };
}

/** @returns place in REACHES */
function reachOf(head: HeadReady, count: number): number {
  const { over, under, circles, rings, gears, simpleOnly, readings, leadGeared } = head;
  if (rings.some((holes) => holes % count === 0)) return 0;
  if (circles.some(({ holes }) => (over * holes) % (under * count) === 0)) return 1;
  const search = { any: true, simpleOnly };
  if (gears && findDifferentials({ ratio: head.ratio, divisions: count, circles, gears, search }).length > 0)
    return 2;
  if (leadGeared) return NONE;
  if (findCompounds(exact(over, under * count), circles, true).length > 0) return 3;
  return readings !== null && (over * readings) % (under * count) === 0 ? HANDWHEEL : NONE;
}

/**
 * How each count is best had exactly with these heads: on a handwheel only where each setting falls on a
 * reading of it. Approximate ways and motors reach every count and say nothing here.
 * @param heads of the shop that may be used @param from, to counts, whole, ≥ 2
 * @returns for each count from `from` to `to` its place in REACHES
 */
export function reachOfCounts(
  heads: readonly Head[],
  equipment: ReachGround,
  { from, to }: { readonly from: number; readonly to: number },
): Uint8Array {
  const made = heads.map((head) => ready(head, equipment));
  return Uint8Array.from({ length: Math.max(0, to - from + 1) }, (_, i) =>
    made.reduce((best, head) => (best === 0 ? 0 : Math.min(best, reachOf(head, from + i))), NONE),
  );
}
