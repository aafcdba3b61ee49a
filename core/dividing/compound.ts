import { MOST_HOLES } from '../shop/index.ts';
import type { Exact } from '../units/index.ts';
import type { Circle } from './simple.ts';

/**
 * Compound indexing: the pin moves on one circle, then plate and crank together on another, held by the back
 * pin.
 */
export interface CompoundMove {
  readonly pin: { readonly circle: Circle; readonly turns: number; readonly spaces: number };
  /** Spaces < 0 turn the plate back, against the clock. */
  readonly back: { readonly circle: Circle; readonly spaces: number };
}

/** The greatest common divisor with the factors that make it: g = a·x + b·y. */
function bezout(a: number, b: number): { readonly g: number; readonly x: number } {
  let [r0, r1, x0, x1] = [a, b, 1, 0];
  while (r1 !== 0) {
    const q = Math.floor(r0 / r1);
    [r0, r1, x0, x1] = [r1, r0 - q * r1, x1, x0 - q * x1];
  }
  return { g: r0, x: x0 };
}

/**
 * Every a > 0 and b, with b less than a whole turn of the plate either way, for which a/A + b/B is an amount:
 * solved as a·B + b·A = amount·A·B in whole numbers. Neither may be whole turns alone: that would be simple
 * indexing.
 * @param amount times A·B, whole
 */
function solve(A: number, B: number, amount: number): { readonly a: number; readonly b: number }[] {
  const { g, x } = bezout(A, B);
  if (amount % g !== 0) return [];
  const [rowA, rowB, m] = [A / g, B / g, amount / g];
  // b·rowA ≡ m (mod rowB), and x·rowA ≡ 1
  const first = (((((m % rowB) * (x % rowB)) % rowB) + rowB) % rowB) - B;
  const found: { a: number; b: number }[] = [];
  for (let b = first; b < B; b += rowB) {
    const a = (m - b * rowA) / rowB;
    if (b > -B && b !== 0 && a > 0 && a % A !== 0) found.push({ a, b });
  }
  return found;
}

/** Pairs of circles of one side of a plate: the back pin needs holes in the very plate the pin is in. */
function pairsOf(circles: readonly Circle[]): [Circle, Circle][] {
  const sides = new Map<string, Circle[]>();
  for (const circle of circles) {
    const side = `${circle.plateId} ${circle.side}`;
    const own = sides.get(side);
    if (own) own.push(circle);
    else sides.set(side, [circle]);
  }
  return circles.flatMap((pin) =>
    sides
      .get(`${pin.plateId} ${pin.side}`)!
      .filter(({ holes }) => holes !== pin.holes)
      .map((back): [Circle, Circle] => [pin, back]),
  );
}

const moveOf = (pin: Circle, back: Circle, { a, b }: { a: number; b: number }): CompoundMove => ({
  pin: { circle: pin, turns: Math.floor(a / pin.holes), spaces: a % pin.holes },
  back: { circle: back, spaces: b },
});

/** Fewest holes to count first; the order is total for circles that differ. */
const toCount = ({ pin, back }: CompoundMove): number => pin.spaces + Math.abs(back.spaces) + pin.turns;

/**
 * What only goes forward before what goes back and has its slack taken up each time; then the fewest holes to
 * count.
 */
const byTrouble = (a: CompoundMove, b: CompoundMove): number =>
  Number(a.back.spaces < 0) - Number(b.back.spaces < 0) || toCount(a) - toCount(b);

/**
 * Every compound indexing of a turn of the crank.
 * @param turns of the crank, exact, > 0 @param any stop at the first
 * @returns those that only go forward first, of them the fewest holes to count; empty when none reaches it
 * Source: Machinery’s Handbook, compound indexing
 */
export function findCompounds(turns: Exact, circles: readonly Circle[], any = false): CompoundMove[] {
  const found: CompoundMove[] = [];
  // finer than any two circles; beyond that whole numbers would outgrow a float
  if (turns.d > BigInt(MOST_HOLES * MOST_HOLES)) return found;
  const [over, under] = [Number(turns.n), Number(turns.d)];
  for (const [pin, back] of pairsOf(circles)) {
    const amount = (over * pin.holes * back.holes) / under;
    if (!Number.isInteger(amount)) continue;
    for (const solution of solve(pin.holes, back.holes, amount)) {
      found.push(moveOf(pin, back, solution));
      if (any) return found;
    }
  }
  return found.sort(byTrouble);
}

/**
 * For each pair of circles the compound move that comes nearest to a turn of the crank.
 * @param turns of the crank, exact, > 0
 * @returns nearest first
 */
export function findNearCompounds(turns: Exact, circles: readonly Circle[]): CompoundMove[] {
  const wanted = turns.valueOf();
  const found: { readonly move: CompoundMove; readonly off: number }[] = [];
  for (const [pin, back] of pairsOf(circles)) {
    const { g } = bezout(pin.holes, back.holes);
    const finest = (pin.holes * back.holes) / g;
    const near = Math.round(wanted * finest);
    const [best] = solve(pin.holes, back.holes, near * g)
      .map((solution) => moveOf(pin, back, solution))
      .sort(byTrouble);
    if (best) found.push({ move: best, off: Math.abs(near / finest - wanted) });
  }
  return found.sort((a, b) => a.off - b.off || byTrouble(a.move, b.move)).map(({ move }) => move);
}
