import { exact, greatestCommon, type Exact } from '../units/index.ts';
import type { GearPair, GearTable } from './gears.ts';

/** A gear that drives and the one it drives. */
export interface Meshing {
  readonly driver: number;
  readonly driven: number;
}

/**
 * A gear train from a first shaft to a last one. In a simple train the driver turns the driven (idlers
 * between them change only the hand). In a compound one, first driven and second driver sit together on the
 * stud.
 */
export interface Train extends Meshing {
  /**
   * The second pair, when compound: its driver on the stud, its driven on the last shaft, or on a second
   * stud.
   */
  readonly second: Meshing | null;
  /** The third pair of a train of six gears: its driver on the second stud, its driven on the last shaft. */
  readonly third?: Meshing | null | undefined;
}

/** The meshes of a train from the first shaft on, idlers left aside. */
export function meshesOf({ driver, driven, second, third }: Train): readonly Meshing[] {
  const first = { driver, driven };
  return second ? (third ? [first, second, third] : [first, second]) : [first];
}

/** Drivers over drivens: turns of the last shaft for one of the first, hand left aside. */
export function trainRatio({ driver, driven, second, third }: Train): Exact {
  const over = driver * (second?.driver ?? 1) * (third?.driver ?? 1);
  return exact(over, driven * (second?.driven ?? 1) * (third?.driven ?? 1));
}

/** `56 : 24`, or with a stud `72 : 24, 40 : 56`; drivers before drivens, from the first shaft on. */
export const trainText = (train: Train): string =>
  meshesOf(train)
    .map(({ driver, driven }) => `${driver} : ${driven}`)
    .join(', ');

/** Teeth by which neighbours must be cleared on a compound stud. Rule of thumb, common practice. */
const STUD_CLEARANCE = 15;

/**
 * Does the train go together on a usual bracket? On a compound stud the first mesh must reach past the second
 * driver, and the second past the first driven. Rule of thumb, common practice.
 */
export function clearsStud({ driver, driven, second, third }: Train): boolean {
  if (!second) return true;
  const first =
    driver + driven > second.driver + STUD_CLEARANCE &&
    second.driver + second.driven > driven + STUD_CLEARANCE;
  return first && (!third || clearsStud({ ...second, second: third }));
}

/**
 * The four ways of placing two drivers and two drivens, of which the first that clears the stud is taken.
 * @param onFirst which gears may go on the first shaft @returns null where neither driver may
 */
export function placedWith(
  drivers: GearPair,
  drivens: GearPair,
  onFirst: (teeth: number) => boolean,
): Train | null {
  const train = ({
    driver,
    driven,
    last,
    lastDriven,
  }: {
    readonly driver: number;
    readonly driven: number;
    readonly last: number;
    readonly lastDriven: number;
  }): Train => ({
    driver,
    driven,
    second: { driver: last, driven: lastDriven },
  });
  const ways = [
    train({ driver: drivers.high, driven: drivens.low, last: drivers.low, lastDriven: drivens.high }),
    train({ driver: drivers.high, driven: drivens.high, last: drivers.low, lastDriven: drivens.low }),
    train({ driver: drivers.low, driven: drivens.low, last: drivers.high, lastDriven: drivens.high }),
    train({ driver: drivers.low, driven: drivens.high, last: drivers.high, lastDriven: drivens.low }),
  ];
  const allowed = ways.filter(({ driver }) => onFirst(driver));
  return allowed.find(clearsStud) ?? allowed[0] ?? null;
}

/** The same with any gear on the first shaft. */
export const placed = (drivers: GearPair, drivens: GearPair): Train =>
  placedWith(drivers, drivens, () => true)!;

/** Gears in a train, idlers left aside: 2, 4 or 6. */
export const gearsIn = ({ second, third }: Train): 2 | 4 | 6 => (second ? (third ? 6 : 4) : 2);

/**
 * Plainest first: fewest gears, then those that clear the stud, then the smallest wheels. The order is total.
 */
export function compareTrains(a: Train, b: Train): number {
  const wheels = ({ driver, driven, second, third }: Train) => [
    driver,
    driven,
    second?.driver ?? 0,
    second?.driven ?? 0,
    third?.driver ?? 0,
    third?.driven ?? 0,
  ];
  const sum = (train: Train) => wheels(train).reduce((total, teeth) => total + teeth, 0);
  const [left, right] = [wheels(a), wheels(b)];
  return (
    gearsIn(a) - gearsIn(b) ||
    Number(clearsStud(b)) - Number(clearsStud(a)) ||
    sum(a) - sum(b) ||
    left.reduce((found, teeth, i) => found || teeth - right[i]!, 0)
  );
}

export interface TrainSearch {
  /** Also trains of four gears? */
  readonly compound: boolean;
  /** Stop at the first train that is found; for questions of mere reach. */
  readonly any?: boolean;
}

/**
 * Every train of the owned gears with exactly this ratio, each gear used only as often as owned.
 * For a compound train the product of the drivers is looked up for every pair of drivens, so the work grows
 * with the number of pairs, not of fours.
 * @param over, under drivers over drivens as whole numbers, both > 0; they need not be in lowest terms
 * @returns plainest first; empty when none reaches it
 */
export function findTrains({
  table,
  over,
  under,
  trainSearch: { compound, any = false },
}: {
  readonly table: GearTable;
  readonly over: number;
  readonly under: number;
  readonly trainSearch: TrainSearch;
}): Train[] {
  const common = greatestCommon(over, under);
  const p = over / common;
  const q = under / common;
  const found: Train[] = [];
  for (const driven of table.teeth) {
    if (driven % q !== 0) continue;
    const driver = (driven / q) * p;
    const held = table.counts.get(driver) ?? 0;
    if (held > (driver === driven ? 1 : 0)) found.push({ driver, driven, second: null });
    if (any && found.length > 0) return found;
  }
  const { products, largestProduct } = table;
  if (!compound || p > largestProduct || q > largestProduct) return found.sort(compareTrains);
  // beyond this the drivers would have to be larger than any pair owned
  const most = (largestProduct / p) * q;
  for (let i = 0; i < products.length && products[i]! <= most; i += 1) {
    // p and q have no factor in common, so q must divide the drivens by itself
    if (products[i]! % q !== 0) continue;
    const drivens = table.pairs[i]!;
    for (const drivers of table.byProduct.get((drivens.product / q) * p) ?? []) {
      if (sharesGear(drivers, drivens)) continue;
      found.push(placed(drivers, drivens));
      if (any) return found;
    }
  }
  return found.sort(compareTrains);
}

/** A driver that is also a driven does nothing: the simple train it amounts to is there already. */
export const sharesGear = (a: GearPair, b: GearPair): boolean =>
  a.low === b.low || a.low === b.high || a.high === b.low || a.high === b.high;
