import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, exactText } from '../units/index.ts';
import {
  clearsStud,
  countTrains,
  findNearTrains,
  findNearTrainsOfSix,
  findTrains,
  tableOfGears,
  trainsBetween,
  trainRatio,
  trainText,
  TWELVE_GEARS,
  type OwnedGear,
  type Train,
} from './index.ts';

const twelve = tableOfGears(TWELVE_GEARS);
const wheels = ({ driver, driven, second }: Train) => [
  driver,
  driven,
  ...(second ? [second.driver, second.driven] : []),
];

/** All single gears, one entry each, as they hang on the wall. */
const onTheWall = (owned: readonly OwnedGear[]) =>
  owned.flatMap(({ teeth, count }) => Array.from({ length: count }, () => teeth));

/** Plain nested loops over every pair and every four of single gears. */
function enumerate(owned: readonly OwnedGear[], over: number, under: number): Set<string> {
  const wall = onTheWall(owned);
  const found = new Set<string>();
  const n = wall.length;
  for (let a = 0; a < n; a += 1) {
    for (let b = 0; b < n; b += 1) {
      if (a === b) continue;
      if (wall[a]! * under === wall[b]! * over) found.add(`${wall[a]}/${wall[b]}`);
      for (let c = a + 1; c < n; c += 1) {
        if (c === b) continue;
        for (let d = b + 1; d < n; d += 1) {
          if (d === a || d === c) continue;
          if (wall[a]! * wall[c]! * under !== wall[b]! * wall[d]! * over) continue;
          const drivers = [wall[a]!, wall[c]!].sort((x, y) => x - y);
          const drivens = [wall[b]!, wall[d]!].sort((x, y) => x - y);
          if (drivers.some((teeth) => drivens.includes(teeth))) continue;
          found.add(`${drivers.join('·')}/${drivens.join('·')}`);
        }
      }
    }
  }
  return found;
}
const named = (trains: readonly Train[]) =>
  new Set(
    trains.map(({ driver, driven, second }) =>
      second
        ? `${[driver, second.driver].sort((x, y) => x - y).join('·')}/${[driven, second.driven].sort((x, y) => x - y).join('·')}`
        : `${driver}/${driven}`,
    ),
  );

describe('exact trains', () => {
  // Source: Machinery's Handbook, differential indexing chart, N = 53 and N = 127 (from memory)
  test('the trains of two chart rows are among those found', () => {
    const of53 = findTrains({ table: twelve, over: 40 * 3, under: 56, trainSearch: { compound: true } });
    expect(named(of53)).toContain('40·72/24·56');
    expect(
      named(findTrains({ table: twelve, over: 56, under: 24, trainSearch: { compound: true } })),
    ).toContain('56/24');
  });

  test('plainest first: two gears before four; every train has the ratio; none uses a gear more often than owned', () => {
    const trains = findTrains({ table: twelve, over: 2, under: 3, trainSearch: { compound: true } });
    expect(trains[0]!.second).toBeNull();
    for (const train of trains) {
      expect(exactText(trainRatio(train))).toBe('2/3');
      for (const teeth of wheels(train))
        expect(wheels(train).filter((other) => other === teeth).length).toBeLessThanOrEqual(
          teeth === 24 ? 2 : 1,
        );
    }
    expect(findTrains({ table: twelve, over: 1, under: 1, trainSearch: { compound: false } })).toEqual([
      { driver: 24, driven: 24, second: null },
    ]);
  });

  test('none owned, one owned, an empty row, a ratio out of reach', () => {
    const none = tableOfGears([]);
    expect(findTrains({ table: none, over: 1, under: 1, trainSearch: { compound: true } })).toEqual([]);
    const one = tableOfGears([
      { teeth: 40, count: 1 },
      { teeth: 24, count: 0 },
    ]);
    expect(findTrains({ table: one, over: 1, under: 1, trainSearch: { compound: true } })).toEqual([]);
    expect(findTrains({ table: twelve, over: 1, under: 1009, trainSearch: { compound: true } })).toEqual([]);
  });

  test('the same trains as plain nested loops, for random walls of gears (seed 40)', () => {
    const wall = fc.array(
      fc.record({ teeth: fc.integer({ min: 12, max: 60 }), count: fc.integer({ min: 0, max: 2 }) }),
      { minLength: 2, maxLength: 9 },
    );
    fc.assert(
      fc.property(wall, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }), (gears, p, q) => {
        const ratio = exact(p, q);
        const trains = findTrains({
          table: tableOfGears(gears),
          over: p,
          under: q,
          trainSearch: { compound: true },
        });
        expect(named(trains)).toEqual(enumerate(gears, Number(ratio.n), Number(ratio.d)));
        expect(named(trains).size).toBe(trains.length);
        expect(
          findTrains({
            table: tableOfGears(gears),
            over: p,
            under: q,
            trainSearch: { compound: true, any: true },
          }).length > 0,
        ).toBe(trains.length > 0);
      }),
      { seed: 40, numRuns: 300 },
    );
  });
});

test('a compound stud: the placing that clears is taken where there is one', () => {
  expect(clearsStud({ driver: 72, driven: 24, second: { driver: 40, driven: 56 } })).toBe(true);
  expect(clearsStud({ driver: 24, driven: 24, second: { driver: 100, driven: 28 } })).toBe(false);
  for (const train of findTrains({
    table: twelve,
    over: 40 * 3,
    under: 56,
    trainSearch: { compound: true },
  })) {
    const { driver, driven, second } = train;
    if (!second || clearsStud(train)) continue;
    const others = [
      { driver, driven: second.driven, second: { driver: second.driver, driven } },
      { driver: second.driver, driven, second: { driver, driven: second.driven } },
      { driver: second.driver, driven: second.driven, second: { driver, driven } },
    ];
    expect(others.some(clearsStud)).toBe(false);
  }
});

describe('trains that come near a ratio', () => {
  /** Every ratio that the gears on the wall can make, tried in turn. */
  function allRatios(owned: readonly OwnedGear[], compound: boolean): number[] {
    const wall = onTheWall(owned);
    const ratios: number[] = [];
    for (const [i, a] of wall.entries()) {
      for (const [j, b] of wall.entries()) {
        if (i === j) continue;
        ratios.push(a / b);
        if (!compound) continue;
        for (const [k, c] of wall.entries())
          for (const [l, d] of wall.entries())
            if (new Set([i, j, k, l]).size === 4) ratios.push((a * c) / (b * d));
      }
    }
    return ratios;
  }

  test.each([true, false])(
    'the nearest is as near as any that can be put together (compound: %s)',
    (compound) => {
      const ratios = allRatios(TWELVE_GEARS, compound);
      for (const wanted of [0.137, 0.5, 0.9999, 1.618, 2.2, 3.14159, 4.2, 9.7]) {
        const [best] = findNearTrains(twelve, wanted, { compound, most: 5 });
        const off = Math.abs(trainRatio(best!).valueOf() - wanted);
        const least = Math.min(...ratios.map((ratio) => Math.abs(ratio - wanted)));
        expect(off).toBeCloseTo(least, 12);
      }
    },
  );

  test('nearest first, each gear used only as often as owned, no more than asked for', () => {
    const trains = findNearTrains(twelve, 1.7, { compound: true, most: 20 });
    const off = trains.map((train) => Math.abs(trainRatio(train).valueOf() - 1.7));
    expect(trains).toHaveLength(20);
    expect([...off].sort((a, b) => a - b)).toEqual(off);
    for (const train of trains) {
      for (const teeth of wheels(train)) {
        const used = wheels(train).filter((other) => other === teeth).length;
        expect(used).toBeLessThanOrEqual(twelve.counts.get(teeth)!);
      }
    }
    expect(findNearTrains(tableOfGears([]), 1, { compound: true, most: 3 })).toEqual([]);
  });

  test('the best so many are those that plain enumeration finds, and the number of all is theirs', () => {
    const plain = [2, 4].flatMap((size) => {
      const seen = new Map<string, number>();
      const wall = onTheWall(TWELVE_GEARS);
      for (const [i, a] of wall.entries())
        for (const [j, b] of wall.entries()) {
          if (i === j) continue;
          if (size === 2) seen.set(`${a}/${b}`, a / b);
          else
            for (let k = i + 1; k < wall.length; k += 1)
              for (let l = j + 1; l < wall.length; l += 1) {
                if (new Set([i, j, k, l]).size < 4) continue;
                const [over, under] = [
                  [a, wall[k]!],
                  [b, wall[l]!],
                ];
                if (over.some((teeth) => under.includes(teeth))) continue;
                seen.set(
                  `${over.sort((x, y) => x - y).join('·')}/${under.sort((x, y) => x - y).join('·')}`,
                  (over[0]! * over[1]!) / (under[0]! * under[1]!),
                );
              }
        }
      return [...seen.values()];
    });
    expect(countTrains(twelve, true)).toBe(plain.length);
    for (const wanted of [0.31, 0.9937, 1.75, 3.3]) {
      const off = (ratio: number) => Math.abs(ratio - wanted);
      const best = plain
        .map(off)
        .sort((a, b) => a - b)
        .slice(0, 30);
      const found = findNearTrains(twelve, wanted, { compound: true, most: 30 }).map((train) =>
        off(trainRatio(train).valueOf()),
      );
      expect(found.map((value) => value.toFixed(12))).toEqual(best.map((value) => value.toFixed(12)));
    }
  });

  test('every ratio in a stretch once, by its plainest train', () => {
    const between = trainsBetween({ table: twelve, low: 0.95, high: 1.05, compound: true });
    const ratios = between.map((train) => exactText(trainRatio(train)));
    expect(new Set(ratios).size).toBe(ratios.length);
    const all = new Set(
      allRatios(TWELVE_GEARS, true)
        .filter((ratio) => ratio >= 0.95 && ratio <= 1.05 && ratio !== 1)
        .map((ratio) => ratio.toFixed(12)),
    );
    expect(between.filter((train) => exactText(trainRatio(train)) !== '1')).toHaveLength(all.size);
  });

  test('trains of six gears: the nearest of all, each gear used as often as owned', () => {
    const owned = [20, 25, 30, 32, 36, 40, 45, 50, 57, 64].map((teeth) => ({
      teeth,
      count: teeth === 20 ? 3 : 1,
    }));
    const wall = onTheWall(owned);
    const threes: number[][] = [];
    for (let i = 0; i < wall.length; i += 1)
      for (let j = i + 1; j < wall.length; j += 1)
        for (let k = j + 1; k < wall.length; k += 1) threes.push([wall[i]!, wall[j]!, wall[k]!]);
    const product = (three: readonly number[]) => three.reduce((sum, teeth) => sum * teeth, 1);
    const table = tableOfGears(owned);
    for (const wanted of [0.2, 0.7213, 1, 3.14159]) {
      let least = Infinity;
      for (const over of threes)
        for (const under of threes)
          if (!over.some((teeth) => under.includes(teeth)))
            least = Math.min(least, Math.abs(product(over) / product(under) - wanted));
      const found = findNearTrainsOfSix(table, wanted, 12);
      expect(Math.abs(trainRatio(found[0]!).valueOf() - wanted)).toBeCloseTo(least, 13);
      expect(found).toHaveLength(12);
      for (const { driver, driven, second, third } of found) {
        const used = [driver, driven, second!.driver, second!.driven, third!.driver, third!.driven];
        for (const teeth of used)
          expect(used.filter((other) => other === teeth).length).toBeLessThanOrEqual(teeth === 20 ? 3 : 1);
      }
    }
    expect(findNearTrainsOfSix(tableOfGears(owned.slice(5)), 1, 3)).toEqual([]);
    const six = {
      driver: 20,
      driven: 50,
      second: { driver: 30, driven: 40 },
      third: { driver: 45, driven: 64 },
    };
    expect(trainText(six)).toBe('20 : 50, 30 : 40, 45 : 64');
    expect(exactText(trainRatio(six))).toBe('27/128');
  });
});
