import type { GearTable } from './gears.ts';
import { clearsStud, compareTrains, placed, placedWith, sharesGear, type Train } from './trains.ts';

/**
 * Trains by how far they are from a wanted ratio, the best so many of them, the plainer of two equally near.
 */
class Nearest {
  readonly #best: { readonly train: Train; readonly off: number }[] = [];
  /** What is farther off than this is not wanted any more. */
  worst = Infinity;

  constructor(
    readonly wanted: number,
    readonly most: number,
  ) {}

  offer(ratio: number, make: () => Train | null): void {
    const off = Math.abs(ratio - this.wanted);
    if (off > this.worst) return;
    const best = this.#best;
    const train = make();
    if (!train) return;
    let at = best.length;
    while (at > 0 && (best[at - 1]!.off - off || compareTrains(best[at - 1]!.train, train)) > 0) at -= 1;
    best.splice(at, 0, { train, off });
    if (best.length > this.most) best.pop();
    if (best.length === this.most) this.worst = best.at(-1)!.off;
  }

  trains(): Train[] {
    return this.#best.map(({ train }) => train);
  }
}

/** Every train of two gears is offered. */
function offerSimple(
  { teeth, counts }: GearTable,
  nearest: Nearest,
  onFirst: (teeth: number) => boolean,
): void {
  for (const driven of teeth) {
    for (const driver of teeth) {
      if (!onFirst(driver) || (driver === driven && (counts.get(driver) ?? 0) < 2)) continue;
      nearest.offer(driver / driven, () => ({ driver, driven, second: null }));
    }
  }
}

/**
 * For each product below, the products above are gone through outwards from the wanted one, until they are
 * farther off than the worst that is kept: the work grows with the number of products, not of their pairs.
 * @param products rising @param offer whether the two go together; then they are offered
 */
function offerAround(
  products: ArrayLike<number>,
  nearest: Nearest,
  offer: (above: number, below: number) => void,
): void {
  const many = products.length;
  let start = 0;
  for (let below = 0; below < many; below += 1) {
    const under = products[below]!;
    const target = nearest.wanted * under;
    // as the products below rise, so does the place of the wanted one
    while (start < many && products[start]! < target) start += 1;
    for (
      let above = start;
      above < many && products[above]! / under - nearest.wanted <= nearest.worst;
      above += 1
    )
      offer(above, below);
    for (
      let above = start - 1;
      above >= 0 && nearest.wanted - products[above]! / under <= nearest.worst;
      above -= 1
    )
      offer(above, below);
  }
}

/**
 * The trains whose ratio lies nearest to a wanted one, nearest first and the plainer of two equally near.
 * @param wanted drivers over drivens, > 0, a float: no exact train is looked for
 * @param most how many to return, ≥ 1 @param onFirst which gears may go on the first shaft; without it any
 */
export function findNearTrains(
  table: GearTable,
  wanted: number,
  {
    compound,
    most,
    onFirst = () => true,
  }: {
    readonly compound: boolean;
    readonly most: number;
    readonly onFirst?: (teeth: number) => boolean;
  },
): Train[] {
  const nearest = new Nearest(wanted, most);
  offerSimple(table, nearest, onFirst);
  if (compound) {
    const { products, pairs } = table;
    offerAround(products, nearest, (above, below) => {
      const [drivers, drivens] = [pairs[above]!, pairs[below]!];
      if (!sharesGear(drivers, drivens))
        nearest.offer(products[above]! / products[below]!, () => placedWith(drivers, drivens, onFirst));
    });
  }
  return nearest.trains();
}

/** Three gears that can be taken at once, rising. */
type Three = readonly [number, number, number];

/** Every three that can be taken at once, by rising product. */
function threesOf({ teeth, counts }: GearTable): {
  readonly threes: readonly Three[];
  readonly products: Float64Array;
} {
  const found: { readonly three: Three; readonly product: number }[] = [];
  const held = (tooth: number) => counts.get(tooth) ?? 0;
  for (const [i, a] of teeth.entries()) {
    for (let j = i; j < teeth.length; j += 1) {
      const b = teeth[j]!;
      if (a === b && held(a) < 2) continue;
      for (let k = j; k < teeth.length; k += 1) {
        const c = teeth[k]!;
        if (b === c && held(b) < (a === b ? 3 : 2)) continue;
        found.push({ three: [a, b, c], product: a * b * c });
      }
    }
  }
  found.sort((a, b) => a.product - b.product);
  return {
    threes: found.map(({ three }) => three),
    products: Float64Array.from(found, ({ product }) => product),
  };
}

/** A gear on either side does nothing: the shorter train it amounts to is found among those of four. */
const shares = (a: Three, b: Three): boolean =>
  a[0] === b[0] ||
  a[0] === b[1] ||
  a[0] === b[2] ||
  a[1] === b[0] ||
  a[1] === b[1] ||
  a[1] === b[2] ||
  a[2] === b[0] ||
  a[2] === b[1] ||
  a[2] === b[2];

const ORDERS: readonly Three[] = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
];

/** Three drivers and three drivens in the first order that clears both studs. */
function placedThree(drivers: Three, drivens: Three): Train {
  const at = ([a, b, c]: Three, [d, e, f]: Three): Train => ({
    driver: drivers[a]!,
    driven: drivens[d]!,
    second: { driver: drivers[b]!, driven: drivens[e]! },
    third: { driver: drivers[c]!, driven: drivens[f]! },
  });
  for (const over of ORDERS) {
    for (const under of ORDERS) {
      const train = at(over, under);
      if (clearsStud(train)) return train;
    }
  }
  return at(ORDERS[0]!, ORDERS[0]!);
}

/**
 * The trains of six gears whose ratio lies nearest to a wanted one, by meeting in the middle: every three
 * drivers stand ready by product, and for every three drivens those about the wanted product are looked at.
 * @param wanted drivers over drivens, > 0 @param most how many to return, ≥ 1
 * @returns nearest first; empty where fewer than six gears are owned
 */
export function findNearTrainsOfSix(table: GearTable, wanted: number, most: number): Train[] {
  const nearest = new Nearest(wanted, most);
  const { threes, products } = threesOf(table);
  offerAround(products, nearest, (above, below) => {
    const [drivers, drivens] = [threes[above]!, threes[below]!];
    if (!shares(drivers, drivens))
      nearest.offer(products[above]! / products[below]!, () => placedThree(drivers, drivens));
  });
  return nearest.trains();
}

/** How many trains of two and of four gears can be put together, each gear used only as often as owned. */
export function countTrains({ teeth, counts, pairs }: GearTable, compound: boolean): number {
  const twice = (tooth: number) => Number((counts.get(tooth) ?? 0) > 1);
  const simple = teeth.reduce((sum, tooth) => sum + teeth.length - 1 + twice(tooth), 0);
  if (!compound) return simple;
  // pairs that have a tooth count in them
  const having = (tooth: number) => teeth.length - 1 + twice(tooth);
  const touching = ({ low, high }: { readonly low: number; readonly high: number }) =>
    low === high ? having(low) : having(low) + having(high) - 1;
  return pairs.reduce((sum, pair) => sum + pairs.length - touching(pair), simple);
}

/** Place of the first of rising figures that is not below a target; their number when all are. */
function firstAtLeast(rising: Int32Array, target: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle]! < target) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * Whole numbers that stand for one ratio in lowest terms; of trains with one ratio only the plainest is kept.
 */
function lowest(over: number, under: number): string {
  let [a, b] = [over, under];
  while (b !== 0) [a, b] = [b, a % b];
  return `${over / a}/${under / a}`;
}

/**
 * For every ratio in a stretch that the gears make, its plainest train, each gear used only as often as
 * owned.
 * @param low, high drivers over drivens, 0 < low ≤ high
 * @returns by rising ratio
 */
export function trainsBetween({
  table,
  low,
  high,
  compound,
}: {
  readonly table: GearTable;
  readonly low: number;
  readonly high: number;
  readonly compound: boolean;
}): Train[] {
  const found = new Map<string, { readonly train: Train; readonly ratio: number }>();
  const take = (over: number, under: number, make: () => Train) => {
    const key = lowest(over, under);
    const had = found.get(key);
    const train = make();
    if (!had || compareTrains(train, had.train) < 0) found.set(key, { train, ratio: over / under });
  };
  for (const driven of table.teeth) {
    for (const driver of table.teeth) {
      if (driver === driven && (table.counts.get(driver) ?? 0) < 2) continue;
      const ratio = driver / driven;
      if (ratio >= low && ratio <= high) take(driver, driven, () => ({ driver, driven, second: null }));
    }
  }
  const { products, pairs } = table;
  for (let i = 0; compound && i < products.length; i += 1) {
    const [from, to] = [low * products[i]!, high * products[i]!];
    for (let j = firstAtLeast(products, from); j < products.length && products[j]! <= to; j += 1)
      if (!sharesGear(pairs[j]!, pairs[i]!))
        take(products[j]!, products[i]!, () => placed(pairs[j]!, pairs[i]!));
  }
  return [...found.values()].sort((a, b) => a.ratio - b.ratio).map(({ train }) => train);
}
