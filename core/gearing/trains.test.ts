import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exact, exactText } from '../units/index.ts';
import {
  clearsStud,
  findTrains,
  tableOfGears,
  trainRatio,
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
    const of53 = findTrains(twelve, 40 * 3, 56, { compound: true });
    expect(named(of53)).toContain('40·72/24·56');
    expect(named(findTrains(twelve, 56, 24, { compound: true }))).toContain('56/24');
  });

  test('plainest first: two gears before four; every train has the ratio; none uses a gear more often than owned', () => {
    const trains = findTrains(twelve, 2, 3, { compound: true });
    expect(trains[0]!.second).toBeNull();
    for (const train of trains) {
      expect(exactText(trainRatio(train))).toBe('2/3');
      for (const teeth of wheels(train))
        expect(wheels(train).filter((other) => other === teeth).length).toBeLessThanOrEqual(
          teeth === 24 ? 2 : 1,
        );
    }
    expect(findTrains(twelve, 1, 1, { compound: false })).toEqual([{ driver: 24, driven: 24, second: null }]);
  });

  test('none owned, one owned, an empty row, a ratio out of reach', () => {
    const none = tableOfGears([]);
    expect(findTrains(none, 1, 1, { compound: true })).toEqual([]);
    const one = tableOfGears([
      { teeth: 40, count: 1 },
      { teeth: 24, count: 0 },
    ]);
    expect(findTrains(one, 1, 1, { compound: true })).toEqual([]);
    expect(findTrains(twelve, 1, 1009, { compound: true })).toEqual([]);
  });

  test('the same trains as plain nested loops, for random walls of gears (seed 40)', () => {
    const wall = fc.array(
      fc.record({ teeth: fc.integer({ min: 12, max: 60 }), count: fc.integer({ min: 0, max: 2 }) }),
      { minLength: 2, maxLength: 9 },
    );
    fc.assert(
      fc.property(wall, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }), (gears, p, q) => {
        const ratio = exact(p, q);
        const trains = findTrains(tableOfGears(gears), p, q, { compound: true });
        expect(named(trains)).toEqual(enumerate(gears, Number(ratio.n), Number(ratio.d)));
        expect(named(trains).size).toBe(trains.length);
        expect(findTrains(tableOfGears(gears), p, q, { compound: true, any: true }).length > 0).toBe(
          trains.length > 0,
        );
      }),
      { seed: 40, numRuns: 300 },
    );
  });
});

test('a compound stud: the placing that clears is taken where there is one', () => {
  expect(clearsStud({ driver: 72, driven: 24, second: { driver: 40, driven: 56 } })).toBe(true);
  expect(clearsStud({ driver: 24, driven: 24, second: { driver: 100, driven: 28 } })).toBe(false);
  for (const train of findTrains(twelve, 40 * 3, 56, { compound: true })) {
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
