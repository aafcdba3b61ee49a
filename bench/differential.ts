import { circlesOf, findDifferentials } from '../core/dividing/index.ts';
import { findTrains, tableOfGears, TWELVE_GEARS } from '../core/gearing/index.ts';
import { THREE_PLATES } from '../core/shop/index.ts';
import { exact } from '../core/units/index.ts';
import { compare, inMicroseconds, report } from './measure.ts';

const RATIO = 40;
const MOST = 1000;
const circles = circlesOf(THREE_PLATES);
const twelve = tableOfGears(TWELVE_GEARS);
const wall = TWELVE_GEARS.flatMap(({ teeth, count }) => Array.from({ length: count }, () => teeth));

/** A train by its gears alone: drivers over drivens, each side rising. */
const named = (drivers: readonly number[], drivens: readonly number[]): string =>
  `${[...drivers].sort((a, b) => a - b).join('·')}/${[...drivens].sort((a, b) => a - b).join('·')}`;

/** Every way of every count: near count, circle and train. */
function byPairs(tell: (way: () => string) => void): void {
  for (let n = 2; n <= MOST; n += 1) {
    for (const { near, move, train } of findDifferentials(exact(RATIO), n, circles, twelve)) {
      const { driver, driven, second } = train;
      const gears = () =>
        second ? named([driver, second.driver], [driven, second.driven]) : named([driver], [driven]);
      tell(() => `${n} ${near} ${move.circle.holes} ${gears()}`);
    }
  }
}

/** Every two and every four single gears from the wall that have this ratio, each choice tried in turn. */
function loopsFind(over: number, under: number, tell: (gears: () => string) => void): void {
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

/** As a person with patience would: every near count, every circle, every choice of gears. */
function byLoops(tell: (way: () => string) => void): void {
  for (let n = 2; n <= MOST; n += 1) {
    const off = Math.floor(n / 4);
    for (let near = Math.max(1, n - off); near <= n + off; near += 1) {
      if (near === n) continue;
      for (const { holes } of circles) {
        if ((RATIO * holes) % near !== 0) continue;
        loopsFind(RATIO * Math.abs(near - n), near, (gears) =>
          tell(() => `${n} ${near} ${holes} ${gears()}`),
        );
      }
    }
  }
}

/** Differential indexing beside nested loops, and how trains grow with the gears owned. @returns were all limits kept? */
export function benchDifferential(): boolean {
  const [pairs, loops] = [new Set<string>(), new Set<string>()];
  byPairs((way) => pairs.add(way()));
  byLoops((way) => loops.add(way()));
  const quiet = () => undefined;
  const same = pairs.size === loops.size && [...pairs].every((way) => loops.has(way));
  console.log(
    `${same ? 'kept ' : 'MISSED'}  trains by pairs and nested loops give the same ${pairs.size} differential ways of the counts 2–${MOST}`,
  );
  const all = compare(
    'all',
    () => byLoops(quiet),
    () => byPairs(quiet),
    3,
  );
  const quicker = report(
    `nested loops for every differential way, 2–${MOST}, beside the search`,
    all.work / all.yardstick,
    { atLeast: 50 },
    inMicroseconds(all),
  );
  const owned = (many: number) =>
    tableOfGears(Array.from({ length: many }, (_, i) => ({ teeth: 20 + i * 2, count: 1 })));
  const search = (many: number) => {
    const gears = owned(many);
    return () => findTrains(gears, 7, 5, { compound: true });
  };
  const times = [12, 24, 48].map((many) => {
    const { work } = compare(String(many), search(many), () => null, 7);
    const { pairs } = owned(many);
    return `${many} gears: ${(work * 1000).toFixed(0)} µs for ${pairs.length} pairs, ${search(many)().length} trains`;
  });
  console.log(`       all trains of 7 : 5  ${times.join('; ')}`);
  return same && quicker;
}
