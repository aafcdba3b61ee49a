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

/** Every circle on a head's plates, in the order the plates are listed. */
export function circlesOf(plates: readonly Plate[]): Circle[] {
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
 * Every simple indexing of a count: a circle serves when R/N of a turn is a whole number of its spaces.
 * @param ratio R, turns of the crank for one turn of the spindle, exact, > 0
 * @param divisions N, whole, ≥ 1
 * @param circles those on hand
 * @returns one move for each circle that serves, in the order given; empty when none does
 * Source: R/N = turns + spaces/circle; docs/sources.md#simple-indexing
 */
export function findSimpleIndexings(
  ratio: Exact,
  divisions: number,
  circles: readonly Circle[],
): SimpleMove[] {
  const over = Number(ratio.n);
  const under = Number(ratio.d) * divisions;
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

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/**
 * A circle serves for simple indexing when its hole count is a multiple of this.
 * @returns whole, ≥ 1: the denominator of R/N in lowest terms
 */
export function circleNeeded(ratio: Exact, divisions: number): number {
  const under = Number(ratio.d) * divisions;
  return under / greatestCommon(Number(ratio.n), under);
}

/** The nearest counts below and above that do index simply. @returns null where there is none within reach */
export function nearestSimpleCounts(
  ratio: Exact,
  divisions: number,
  circles: readonly Circle[],
): { readonly below: number | null; readonly above: number | null } {
  const serves = (n: number) => {
    const needed = circleNeeded(ratio, n);
    return circles.some((circle) => circle.holes % needed === 0);
  };
  const look = (step: 1 | -1): number | null => {
    for (let n = divisions + step, tried = 0; n >= 2 && tried < 500; n += step, tried += 1)
      if (serves(n)) return n;
    return null;
  };
  return { below: look(-1), above: look(1) };
}
