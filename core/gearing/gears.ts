/** Change gears on hand: how many of each tooth count. */
export interface OwnedGear {
  /** Teeth, whole, ≥ 2. */
  readonly teeth: number;
  /** How many of them, whole, ≥ 0. */
  readonly count: number;
}

/**
 * The twelve change gears that belong to a usual head, as data.
 * Source: Machinery’s Handbook, gears for differential indexing and helical milling.
 */
export const TWELVE_GEARS: readonly OwnedGear[] = [24, 28, 32, 40, 44, 48, 56, 64, 72, 86, 100].map(
  (teeth) => ({
    teeth,
    count: teeth === 24 ? 2 : 1,
  }),
);

/** Two gears with their product, the smaller first. */
export interface GearPair {
  readonly low: number;
  readonly high: number;
  readonly product: number;
}

/**
 * The owned gears made ready for searching: every pair that can be taken at once, and the pairs of each
 * product.
 */
export interface GearTable {
  readonly counts: ReadonlyMap<number, number>;
  /** Tooth counts owned, rising. */
  readonly teeth: readonly number[];
  /** By rising product. */
  readonly pairs: readonly GearPair[];
  /** The product of each pair, in the same order: what a search runs over. */
  readonly products: Int32Array;
  readonly largestProduct: number;
  readonly byProduct: ReadonlyMap<number, readonly GearPair[]>;
}

/** The pairs of each product; put together only when an exact product is asked for. */
function pairsByProduct(pairs: readonly GearPair[]): ReadonlyMap<number, readonly GearPair[]> {
  const byProduct = new Map<number, GearPair[]>();
  for (const pair of pairs) {
    const same = byProduct.get(pair.product);
    if (same) same.push(pair);
    else byProduct.set(pair.product, [pair]);
  }
  return byProduct;
}

/** Makes owned gears ready for searching. Rows of one tooth count add up; rows with none are passed over. */
export function tableOfGears(owned: readonly OwnedGear[]): GearTable {
  const counts = new Map<number, number>();
  for (const { teeth, count } of owned) if (count > 0) counts.set(teeth, (counts.get(teeth) ?? 0) + count);
  const teeth = [...counts.keys()].sort((a, b) => a - b);
  const pairs: GearPair[] = [];
  for (const [i, low] of teeth.entries()) {
    for (let j = i; j < teeth.length; j += 1) {
      const high = teeth[j]!;
      if (low === high && counts.get(low)! < 2) continue;
      pairs.push({ low, high, product: low * high });
    }
  }
  pairs.sort((a, b) => a.product - b.product || a.low - b.low);
  const products = Int32Array.from(pairs, ({ product }) => product);
  let byProduct: ReadonlyMap<number, readonly GearPair[]> | null = null;
  return {
    counts,
    teeth,
    pairs,
    products,
    largestProduct: products.at(-1) ?? 0,
    get byProduct() {
      return (byProduct ??= pairsByProduct(pairs));
    },
  };
}
