import { circlesOf, findSimpleIndexings } from '../dividing/index.ts';
import type { Head } from '../shop/index.ts';
import { approx, exact, type Exact } from '../units/index.ts';

/** A tooth count a piece of metal has room for. Lengths mm. */
export interface CountFromStock {
  readonly teeth: number;
  /** To be turned to. */
  readonly tipDiameter: number;
  /** To come off the stock, on the diameter. */
  readonly remove: number;
  /**
   * How the head has it without gears: by its own ring, on the plate that stands on it, on another plate, or
   * not.
   */
  readonly indexes: 'ring' | 'mounted' | 'plate' | 'no';
}

export interface StockAnswer {
  /** From the largest down. */
  readonly counts: readonly CountFromStock[];
  /** Place of the one recommended; null when none is. */
  readonly recommended: number | null;
  /** The largest the metal has room for; 0 when there is not enough for a gear. */
  readonly largest: number;
}

/** Counts shown from the largest down. */
const SHOWN = 24;
const LEAST = 6;

/**
 * The largest tooth count a piece has room for: floor((D − clean-up)/m − 2·ha/m).
 * @param stock mm @param cleanUp mm on the diameter @param addendum mm
 * @returns whole, may be 0 or less
 */
export function largestCount({
  stock,
  cleanUp,
  module,
  addendum,
}: {
  readonly stock: Exact;
  readonly cleanUp: Exact;
  readonly module: Exact;
  readonly addendum: Exact;
}): number {
  return approx(stock.sub(cleanUp).sub(addendum.mul(2)).div(module).floor());
}

/**
 * What gears a piece of metal on hand can become, the largest first, and the one to take: the largest that
 * the head indexes without gears, its own plate before another.
 * @param head that will divide; null when none is chosen
 * Source: da = m·z + 2·ha, turned round; the recommendation: common practice
 */
export function gearsFromStock(
  given: { stock: Exact; cleanUp: Exact; module: Exact; addendum: Exact },
  head: Head | null,
): StockAnswer {
  const { stock, cleanUp, module, addendum } = given;
  const largest = largestCount({ stock, cleanUp, module, addendum });
  const counts: CountFromStock[] = [];
  for (let teeth = largest; teeth >= LEAST && counts.length < SHOWN; teeth -= 1) {
    const tip = module.mul(teeth).add(addendum.mul(2));
    counts.push({
      teeth,
      tipDiameter: approx(tip),
      remove: approx(stock.sub(tip)),
      indexes: indexing(teeth, head),
    });
  }
  // worth a little metal, not a different gear
  const near = counts.slice(0, 12);
  const first = (...how: CountFromStock['indexes'][]) =>
    near.findIndex(({ indexes }) => how.includes(indexes));
  const easy = first('mounted', 'ring', 'plate');
  const mounted = first('mounted', 'ring');
  // a plate change is cheaper than two teeth less
  const place = mounted >= 0 && mounted <= easy + 1 ? mounted : easy;
  return {
    counts,
    recommended: place >= 0 ? place : counts.length > 0 ? 0 : null,
    largest: Math.max(0, largest),
  };
}

function indexing(teeth: number, head: Head | null): CountFromStock['indexes'] {
  if (!head) return 'no';
  if (head.rings.some(({ holes }) => holes % teeth === 0)) return 'ring';
  const found = findSimpleIndexings(exact(head.ratio), teeth, circlesOf(head.plates));
  const { mounted } = head;
  if (
    mounted &&
    found.some(({ circle }) => circle.plateId === mounted.plateId && circle.side === mounted.side)
  )
    return 'mounted';
  return found.length > 0 ? 'plate' : 'no';
}
