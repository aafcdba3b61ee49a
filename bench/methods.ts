import {
  circlesOf,
  findCompounds,
  findDifferentials,
  findDirects,
  findSimpleIndexings,
  reachOfCounts,
} from '../core/dividing/index.ts';
import { findTrains, tableOfGears, TWELVE_GEARS } from '../core/gearing/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS, THREE_PLATES } from '../core/shop/index.ts';
import { exact } from '../core/units/index.ts';
import { compare, inMicroseconds, report } from './measure.ts';

const RATIO = 40;
const MOST = 1000;
const [head] = STOCK_HEADS;
const circles = circlesOf(THREE_PLATES);
const rings = head!.rings.map(({ holes }) => holes);
const twelve = tableOfGears(TWELVE_GEARS);
const wall = TWELVE_GEARS.flatMap(({ teeth, count }) => Array.from({ length: count }, () => teeth));
type Tell = (way: () => string) => void;

/** A train by its gears alone: drivers over drivens, each side rising. */
const named = (drivers: readonly number[], drivens: readonly number[]): string =>
  `${[...drivers].sort((a, b) => a - b).join('·')}/${[...drivens].sort((a, b) => a - b).join('·')}`;

/** Every way of every method, as the searches find them. */
function bySearch(tell: Tell): void {
  const R = exact(RATIO);
  for (let n = 2; n <= MOST; n += 1) {
    for (const { ring, spaces } of findDirects(exact(1, n), head!.rings))
      tell(() => `direct ${n} ${ring.holes} ${spaces}`);
    for (const { turns, spaces, circle } of findSimpleIndexings(R, n, circles))
      tell(() => `simple ${n} ${circle.holes} ${turns} ${spaces}`);
    for (const { pin, back } of findCompounds(exact(RATIO, n), circles))
      tell(
        () =>
          `compound ${n} ${pin.circle.holes} ${pin.turns} ${pin.spaces} ${back.circle.holes} ${back.spaces}`,
      );
    for (const { near, move, train } of findDifferentials({
      ratio: R,
      divisions: n,
      circles,
      gears: twelve,
    })) {
      const { driver, driven, second } = train;
      const gears = () =>
        second ? named([driver, second.driver], [driven, second.driven]) : named([driver], [driven]);
      tell(() => `differential ${n} ${near} ${move.circle.holes} ${gears()}`);
    }
  }
}

/** Every two and every four single gears from the wall that have this ratio, each choice tried in turn. */
function loopTrains(over: number, under: number, tell: (gears: () => string) => void): void {
  for (let i = 0; i < wall.length; i += 1) {
    for (let j = 0; j < wall.length; j += 1) {
      if (i === j) continue;
      if (wall[i]! * under === wall[j]! * over) tell(() => named([wall[i]!], [wall[j]!]));
      for (let k = i + 1; k < wall.length; k += 1) {
        if (k === j) continue;
        for (let l = j + 1; l < wall.length; l += 1) {
          if (l === i || l === k) continue;
          if (wall[i]! * wall[k]! * under !== wall[j]! * wall[l]! * over) continue;
          const drivers = [wall[i]!, wall[k]!];
          const drivens = [wall[j]!, wall[l]!];
          if (!drivers.some((teeth) => drivens.includes(teeth))) tell(() => named(drivers, drivens));
        }
      }
    }
  }
}

/** Both circles of every pair, every hole of either. */
function loopCompounds(n: number, tell: Tell): void {
  for (const { sides } of THREE_PLATES) {
    const holes = sides[0]!.circles;
    for (const A of holes) {
      for (const B of holes) {
        if (A === B) continue;
        for (let a = 1; a < A; a += 1) {
          for (let b = 1 - B; b < B; b += 1) {
            if (b === 0) continue;
            const rest = RATIO * A * B - n * (a * B + b * A);
            if (rest >= 0 && rest % (n * A * B) === 0)
              tell(() => `compound ${n} ${A} ${rest / (n * A * B)} ${a} ${B} ${b}`);
          }
        }
      }
    }
  }
}

/**
 * As a person with patience would: every ring, circle, pair, near count and choice of gears, tried in turn.
 */
function byLoops(tell: Tell): void {
  for (let n = 2; n <= MOST; n += 1) {
    for (const holes of rings)
      for (let spaces = 1; spaces <= holes; spaces += 1)
        if (spaces * n === holes) tell(() => `direct ${n} ${holes} ${spaces}`);
    for (const { holes } of circles)
      for (let turns = 0; turns <= RATIO; turns += 1)
        for (let spaces = 0; spaces < holes; spaces += 1)
          if ((turns * holes + spaces) * n === RATIO * holes)
            tell(() => `simple ${n} ${holes} ${turns} ${spaces}`);
    loopCompounds(n, tell);
    // farther off the plate would have to turn as fast as no train of these gears drives it
    for (let near = Math.ceil(n / 2); near <= 2 * n; near += 1) {
      if (near === n) continue;
      for (const { holes } of circles) {
        if ((RATIO * holes) % near !== 0) continue;
        loopTrains(RATIO * Math.abs(near - n), near, (gears) =>
          tell(() => `differential ${n} ${near} ${holes} ${gears()}`),
        );
      }
    }
  }
}

/**
 * How the search for trains grows with the gears owned. @returns microseconds for a ratio that no train has,
 * and for one that many have
 */
function growth(many: number): { readonly none: number; readonly some: number; readonly trains: number } {
  const gears = tableOfGears(Array.from({ length: many }, (_, i) => ({ teeth: 20 + i * 2, count: 1 })));
  const search = (over: number, under: number) => () =>
    findTrains({ table: gears, over, under, trainSearch: { compound: true } });
  const { work, yardstick } = compare({
    name: `trains of ${many}`,
    work: search(127, 113),
    yardstick: search(7, 5),
    rounds: 7,
  });
  return { none: work * 1000, some: yardstick * 1000, trains: search(7, 5)().length };
}

/**
 * Every method for every count beside nested loops; growth with the gears owned; the strip. @returns were all
 * limits kept?
 */
export function benchMethods(): boolean {
  const [found, looped] = [new Set<string>(), new Set<string>()];
  bySearch((way) => found.add(way()));
  byLoops((way) => looped.add(way()));
  const quiet = () => undefined;
  const same = found.size === looped.size && [...found].every((way) => looped.has(way));
  console.log(
    `${same ? 'kept ' : 'MISSED'}  the searches and nested loops give the same ${found.size} direct, simple, compound and differential ways of the counts 2–${MOST}`,
  );
  const all = compare({
    name: 'all',
    work: () => byLoops(quiet),
    yardstick: () => bySearch(quiet),
    rounds: 3,
  });
  const quicker = report(
    `nested loops for every way of every method, 2–${MOST}, beside the searches`,
    all.work / all.yardstick,
    { atLeast: 50 },
    inMicroseconds(all),
  );
  const strip = compare({
    name: 'strip',
    work: () => reachOfCounts(STOCK_HEADS, STOCK_EQUIPMENT, { from: 2, to: MOST }),
    yardstick: () => bySearch(quiet),
    rounds: 3,
  });
  const cheap = report(
    `the strip of counts 2–${MOST} beside finding every way of them`,
    strip.work / strip.yardstick,
    { atMost: 2 },
    inMicroseconds(strip),
  );
  for (const many of [12, 24, 48]) {
    const { none, some, trains } = growth(many);
    const pairs = (many * (many - 1)) / 2;
    console.log(
      `       trains from ${many} gears, ${pairs} pairs: 127 : 113 has none, ${none.toFixed(1)} µs, ${((none * 1000) / pairs).toFixed(0)} ns a pair; 7 : 5 has ${trains}, ${some.toFixed(0)} µs`,
    );
  }
  return same && quicker && cheap;
}
