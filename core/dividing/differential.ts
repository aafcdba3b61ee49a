import { findNearTrains, findTrains, trainRatio, type GearTable, type Train } from '../gearing/index.ts';
import { approx, exact, type Exact } from '../units/index.ts';
import { findSimpleIndexings, type Circle, type SimpleMove } from './simple.ts';

/**
 * Differential indexing: index simply for a near count A, while gears from the spindle turn the plate by the
 * rest.
 */
export interface DifferentialMove {
  /** A, the count the crank is moved for. */
  readonly near: number;
  readonly move: SimpleMove;
  /** g, exact: plate turns for one of the spindle; > 0 with the crank, < 0 against it. */
  readonly plateRatio: Exact;
  /** From the spindle to the plate shaft. */
  readonly train: Train;
  /** By the custom rule; heads differ, so a trial of the plate's direction follows. */
  readonly idlers: number;
}

/**
 * The most that a plate can turn for one turn of the spindle with these gears: what limits how far A may lie
 * from N.
 */
function mostOf({ teeth, products, largestProduct }: GearTable, simpleOnly: boolean): number {
  const [least = 1] = teeth;
  const simple = (teeth.at(-1) ?? 0) / least;
  return simpleOnly || products.length === 0 ? simple : Math.max(simple, largestProduct / products[0]!);
}

/**
 * g = R(A − N)/A: what the plate must turn for one turn of the spindle when the crank is moved for A.
 * @param near A, whole, > 0 @param divisions N, whole, > 0
 * Source: Machinery’s Handbook, differential indexing; docs/sources.md#differential
 */
export function plateRatioFor(ratio: Exact, near: number, divisions: number): Exact {
  return ratio.mul(exact(near - divisions, near));
}

/**
 * Usual idlers: with the crank one in a simple train and none in a compound; against it two and one. Common
 * practice.
 */
export function usualIdlers(plateRatio: Exact, train: Train): number {
  const against = plateRatio.lt(0) ? 1 : 0;
  return train.second ? against : 1 + against;
}

/**
 * Near counts that index simply, the nearest first and the larger of two equally near. How far off they may
 * lie is a matter of the plate's ratio R(A − N)/A: on a head of 5 turns the gears reach eight times as far as
 * on one of 40. A circle of C holes serves A in moves of k when k·R·C/A is whole, so A is a divisor of k·R·C:
 * a handful for each circle.
 * @param most of the plate's ratio
 */
function nearCounts(
  ratio: Exact,
  { divisions, stride, most }: { readonly divisions: number; readonly stride: number; readonly most: number },
  circles: readonly Circle[],
): number[] {
  const [over, under] = [Number(ratio.n), Number(ratio.d)];
  const near = new Set<number>();
  const take = (count: number) => {
    const plate = (over * Math.abs(count - divisions)) / (under * count);
    if (count !== divisions && plate <= most) near.add(count);
  };
  for (const { holes } of circles) {
    const all = (over * holes * stride) / under;
    if (!Number.isInteger(all)) continue;
    for (let small = 1; small * small <= all; small += 1) {
      if (all % small !== 0) continue;
      take(small);
      take(all / small);
    }
  }
  return [...near].sort((a, b) => Math.abs(a - divisions) - Math.abs(b - divisions) || b - a);
}

/**
 * Every differential indexing of a count: all near counts that index simply and whose plate these gears can
 * drive, and all trains of the owned gears with the ratio each asks for. In block order the crank is moved
 * for k spaces at once, and the gears stay.
 * @param ratio R, exact @param divisions N, whole, ≥ 2
 * @param circles those on hand @param gears the owned gears made ready
 * @param search `any` stops at the first that is found; `simpleOnly` for a bracket without a stud; `stride`
 * of block order
 * @returns in order of the near count, each with its plainest trains first; empty when none reaches the count
 * Source: Machinery’s Handbook, differential indexing
 */
export function findDifferentials({
  ratio,
  divisions,
  circles,
  gears,
  search = {},
}: {
  readonly ratio: Exact;
  readonly divisions: number;
  readonly circles: readonly Circle[];
  readonly gears: GearTable;
  readonly search?:
    { readonly any?: boolean; readonly simpleOnly?: boolean; readonly stride?: number } | undefined;
}): DifferentialMove[] {
  const { any = false, simpleOnly = false, stride = 1 } = search;
  const found: DifferentialMove[] = [];
  const over = Number(ratio.n);
  const under = Number(ratio.d);
  const most = mostOf(gears, simpleOnly);
  for (const near of nearCounts(ratio, { divisions, stride, most }, circles)) {
    const apart = Math.abs(near - divisions);
    const trains = findTrains({
      table: gears,
      over: over * apart,
      under: under * near,
      trainSearch: {
        compound: !simpleOnly,
        any,
      },
    });
    // most ask for a ratio that no train has: nothing exact is made for those
    if (trains.length === 0) continue;
    const moves = findSimpleIndexings(ratio.mul(stride), near, circles);
    const plateRatio = plateRatioFor(ratio, near, divisions);
    for (const train of trains) {
      const idlers = usualIdlers(plateRatio, train);
      for (const move of moves) found.push({ near, move, plateRatio, train, idlers });
    }
    if (any) return found;
  }
  return found;
}

/** A differential indexing that comes near: its train has nearly the ratio it needs. */
export interface NearDifferential extends Omit<DifferentialMove, 'plateRatio'> {
  /** How far the last of all the moves ends from a whole turn, part of a turn. */
  readonly end: number;
}

/**
 * The differential indexings that come nearest to a count which no train reaches exactly, best first.
 * @param most how many
 */
export function findNearDifferentials(
  ratio: Exact,
  divisions: number,
  {
    circles,
    gears,
    simpleOnly = false,
    most = 20,
    stride = 1,
  }: {
    readonly circles: readonly Circle[];
    readonly gears: GearTable;
    readonly simpleOnly?: boolean;
    readonly most?: number;
    readonly stride?: number;
  },
): NearDifferential[] {
  const found: NearDifferential[] = [];
  const R = approx(ratio);
  const limit = mostOf(gears, simpleOnly);
  for (const near of nearCounts(ratio, { divisions, stride, most: limit }, circles)) {
    const wanted = plateRatioFor(ratio, near, divisions);
    for (const train of findNearTrains(gears, approx(wanted.abs()), { compound: !simpleOnly, most: 3 })) {
      const idlers = usualIdlers(wanted, train);
      const size = approx(trainRatio(train));
      const g = wanted.lt(0) ? -size : size;
      const end = (divisions * R) / near / (R - g) - 1;
      const [move] = findSimpleIndexings(ratio.mul(stride), near, circles).sort(
        (a, b) => b.circle.holes - a.circle.holes,
      );
      if (move && Number.isFinite(end)) found.push({ near, move, train, idlers, end });
    }
  }
  return found.sort((a, b) => Math.abs(a.end) - Math.abs(b.end) || a.near - b.near).slice(0, most);
}
