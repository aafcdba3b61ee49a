import type { Exact } from '../units/index.ts';
import type { Plate } from '../shop/index.ts';

/** A circle of holes, and where it is. */
export interface Circle {
  readonly plateId: string;
  readonly plateName: string;
  readonly side: 0 | 1;
  /** Does the plate have a second side? */
  readonly twoSided: boolean;
  readonly holes: number;
}

/** One way of simple indexing: whole turns, then spaces on a circle. */
export interface SimpleMove {
  readonly turns: number;
  /** Spaces, not holes: never counting the hole the pin is in. 0 ≤ spaces < circle. */
  readonly spaces: number;
  readonly circle: Circle;
}

const known = new WeakMap<readonly Plate[], readonly Circle[]>();

/** Every circle on a head's plates, in the order the plates are listed; listed once for the same plates. */
export function circlesOf(plates: readonly Plate[]): readonly Circle[] {
  const listed = known.get(plates) ?? listCircles(plates);
  known.set(plates, listed);
  return listed;
}

function listCircles(plates: readonly Plate[]): Circle[] {
  return plates.flatMap((plate) =>
    plate.sides.flatMap((side, i) =>
      side.circles.map((holes) => ({
        plateId: plate.id,
        plateName: plate.name,
        side: i as 0 | 1,
        twoSided: plate.sides.length === 2,
        holes,
      })),
    ),
  );
}

/**
 * Every way to turn the crank by an exact amount: a circle serves when the amount is a whole number of its
 * spaces.
 * @param over, under turns of the crank as whole numbers, both > 0; they need not be in lowest terms
 * @param circles those on hand
 * @returns one move for each circle that serves, in the order given; empty when none does
 */
export function findCrankMoves(over: number, under: number, circles: readonly Circle[]): SimpleMove[] {
  const moves: SimpleMove[] = [];
  for (const circle of circles) {
    const inSpaces = over * circle.holes;
    if (inSpaces % under !== 0) continue;
    const all = inSpaces / under;
    const spaces = all % circle.holes;
    moves.push({ turns: (all - spaces) / circle.holes, spaces, circle });
  }
  return moves;
}

/**
 * Every simple indexing of a count.
 * @param ratio R, turns of the crank for one turn of the spindle, exact, > 0
 * @param divisions N, whole, ≥ 1
 * Source: R/N = turns + spaces/circle; docs/sources.md#simple-indexing
 */
export function findSimpleIndexings(
  ratio: Exact,
  divisions: number,
  circles: readonly Circle[],
): SimpleMove[] {
  return findCrankMoves(Number(ratio.n), Number(ratio.d) * divisions, circles);
}

/**
 * The move nearest to an amount on each circle, for those that do not reach it exactly.
 * @param turns of the crank, exact, > 0
 * @returns without circles on which the move would be nothing
 */
export function findNearMoves(turns: Exact, circles: readonly Circle[]): SimpleMove[] {
  return circles.flatMap((circle) => {
    const all = Number(turns.mul(circle.holes).round());
    if (all === 0) return [];
    const spaces = all % circle.holes;
    return [{ turns: (all - spaces) / circle.holes, spaces, circle }];
  });
}

/**
 * A circle serves for a turn of the crank when its hole count is a multiple of this.
 * @param turns of the crank, exact @returns whole, ≥ 1: the denominator in lowest terms
 */
export const circleNeeded = (turns: Exact): number => Number(turns.d);

/** The nearest counts below and above that do index simply. @returns null where there is none within reach */
export function nearestSimpleCounts(
  ratio: Exact,
  divisions: number,
  circles: readonly Circle[],
): { readonly below: number | null; readonly above: number | null } {
  const serves = (n: number) => {
    const needed = circleNeeded(ratio.div(n));
    return circles.some((circle) => circle.holes % needed === 0);
  };
  const look = (step: 1 | -1): number | null => {
    for (let n = divisions + step, tried = 0; n >= 2 && tried < 500; n += step, tried += 1)
      if (serves(n)) return n;
    return null;
  };
  return { below: look(-1), above: look(1) };
}
