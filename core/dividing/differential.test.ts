import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { findTrains, tableOfGears, trainRatio, TWELVE_GEARS } from '../gearing/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS, THREE_PLATES } from '../shop/index.ts';
import { exact, exactText } from '../units/index.ts';
import {
  circlesOf,
  countAim,
  findDifferentials,
  findSimpleIndexings,
  plateRatioFor,
  proveDivision,
  searchMethods,
  usualIdlers,
} from './index.ts';

const R = exact(40);
const circles = circlesOf(THREE_PLATES);
const twelve = tableOfGears(TWELVE_GEARS);

/**
 * A differential head as metal: step the crank pin over the plate hole by hole while the plate creeps with
 * the spindle.
 */
function spindleAfter(moves: number, pinTurns: number, plateRatio: number): number {
  // crank = pin + plate, plate = g · spindle, crank = 40 · spindle: solved by going round in small steps
  let spindle = 0;
  const steps = 2000;
  for (let i = 0; i < steps; i += 1) spindle += (moves * pinTurns) / steps / (40 - plateRatio);
  return spindle;
}

describe('differential indexing', () => {
  // Source: Machinery's Handbook, chart entries N = 53 and N = 127 (from memory)
  test('the chart rows of 53 and 127 are among the ways, with their idlers', () => {
    const of53 = findDifferentials({ ratio: R, divisions: 53, circles, gears: twelve }).find(
      ({ near, move, train }) =>
        near === 56 &&
        move.circle.holes === 49 &&
        move.spaces === 35 &&
        train.second &&
        [train.driver, train.second.driver].sort().join() === '40,72',
    );
    expect(of53).toMatchObject({ idlers: 0 });
    expect(exactText(of53!.plateRatio)).toBe('15/7');
    const of127 = findDifferentials({ ratio: R, divisions: 127, circles, gears: twelve }).find(
      ({ move, train }) => move.circle.holes === 39 && move.spaces === 13 && !train.second,
    );
    expect(of127).toMatchObject({ near: 120, idlers: 2, train: { driver: 56, driven: 24 } });
  });

  test('every way closes when it is run through the motion of the head, and the train has the ratio it needs', () => {
    for (const n of [51, 53, 59, 61, 67, 71, 83, 97, 101, 113, 121, 127, 131, 149, 199, 211, 251, 331, 382]) {
      const ways = findDifferentials({ ratio: R, divisions: n, circles, gears: twelve });
      expect(ways.length).toBeGreaterThan(0);
      for (const { near, move, plateRatio, train } of ways.slice(0, 40)) {
        expect(trainRatio(train).equals(plateRatio.abs())).toBe(true);
        expect(plateRatio.equals(plateRatioFor(R, near, n))).toBe(true);
        expect(plateRatio.gt(0)).toBe(near > n);
        const { turns, spaces, circle } = move;
        const proof = proveDivision({ ratio: R, plateRatio }, { turns, spaces, circle: circle.holes }, n);
        expect([n, proof.everySpaceTrue, proof.closes]).toEqual([n, true, true]);
      }
      const [first] = ways;
      const pinTurns = first!.move.turns + first!.move.spaces / first!.move.circle.holes;
      expect(spindleAfter(n, pinTurns, first!.plateRatio.valueOf())).toBeCloseTo(1, 9);
    }
  });

  // Source: the handbook's chart ends at 382 (published); confirmed here by exhaustion
  test('three plates and twelve gears reach every count to 382, and not 383', () => {
    const reached = (n: number) =>
      findSimpleIndexings(R, n, circles).length > 0 ||
      findDifferentials({ ratio: R, divisions: n, circles, gears: twelve, search: { any: true } }).length > 0;
    const missed = Array.from({ length: 382 }, (_, i) => i + 1).filter((n) => n > 1 && !reached(n));
    expect(missed).toEqual([]);
    expect(reached(383)).toBe(false);
  });

  test('on a head of 5 turns the gears reach far: 21 is had by 35, 7 on 49, 48 : 24', () => {
    // R/A = 5/35 = 7/49, and 5·(35 - 21)/35 = 2
    const plateC = circles.filter(({ plateName }) => plateName === 'C');
    const of21 = findDifferentials({ ratio: exact(5), divisions: 21, circles: plateC, gears: twelve });
    expect(
      of21.some(
        ({ near, move, train }) =>
          near === 35 &&
          move.circle.holes === 49 &&
          move.turns === 0 &&
          move.spaces === 7 &&
          !train.second &&
          train.driver === 48 &&
          train.driven === 24,
      ),
    ).toBe(true);
  });

  test('no near count that these gears reach is passed over, whatever the ratio: against every count to 2 000', () => {
    for (const [ratio, from, to] of [
      [5, 19, 44],
      [40, 383, 392],
    ] as const)
      for (let n = from; n <= to; n += 1) {
        const reached = new Set(
          findDifferentials({ ratio: exact(ratio), divisions: n, circles, gears: twelve }).map(
            ({ near }) => near,
          ),
        );
        const every = Array.from({ length: 2000 }, (_, i) => i + 1).filter(
          (near) =>
            near !== n &&
            findSimpleIndexings(exact(ratio), near, circles).length > 0 &&
            findTrains({
              table: twelve,
              over: ratio * Math.abs(near - n),
              under: near,
              trainSearch: { compound: true, any: true },
            }).length > 0,
        );
        expect([n, [...reached].sort((a, b) => a - b)]).toEqual([n, every]);
      }
  });

  test('in block order the crank goes on by k spaces at once, under the same gears', () => {
    const aim = countAim(53, null, 5);
    const found = searchMethods(
      { head: STOCK_HEADS[0]!, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [] },
      aim,
    ).methods.find(({ method }) => method === 'differential')!;
    expect(found.ways.length).toBeGreaterThan(0);
    for (const { proof } of found.ways)
      expect(proof).toMatchObject({ moves: 53, everySpaceTrue: true, closes: true });
    // five times 35 on 49, as for 56, with the chart's gears: 3 turns and 28 on 49
    expect(
      found.ways.some(
        ({ choice }) =>
          choice.method === 'differential' &&
          choice.near === 56 &&
          choice.circle === 49 &&
          choice.turns === 3 &&
          choice.spaces === 28,
      ),
    ).toBe(true);
  });

  test('with the crank or against it: idlers by the custom rule', () => {
    const simple = { driver: 24, driven: 48, second: null };
    const compound = { driver: 72, driven: 24, second: { driver: 40, driven: 56 } };
    expect(
      [exact(1), exact(-1)].flatMap((g) => [simple, compound].map((train) => usualIdlers(g, train))),
    ).toEqual([1, 0, 2, 1]);
  });

  test('no gears, no plates: none', () => {
    expect(findDifferentials({ ratio: R, divisions: 53, circles, gears: tableOfGears([]) })).toEqual([]);
    expect(findDifferentials({ ratio: R, divisions: 53, circles: [], gears: twelve })).toEqual([]);
  });

  test('whatever shop and count: what is found closes (seed 127)', () => {
    const shop = fc.record({
      ratio: fc.constantFrom(5, 30, 40, 60, 90),
      holes: fc.uniqueArray(fc.integer({ min: 10, max: 66 }), { minLength: 1, maxLength: 6 }),
      gears: fc.array(
        fc.record({ teeth: fc.integer({ min: 18, max: 100 }), count: fc.constantFrom(1, 1, 2) }),
        { minLength: 2, maxLength: 8 },
      ),
      n: fc.integer({ min: 4, max: 300 }),
    });
    fc.assert(
      fc.property(shop, ({ ratio, holes, gears, n }) => {
        const plates = circlesOf([{ id: 'p', name: 'P', sides: [{ circles: holes }], made: false }]);
        for (const { move, plateRatio } of findDifferentials({
          ratio: exact(ratio),
          divisions: n,
          circles: plates,
          gears: tableOfGears(gears),
        }).slice(0, 20)) {
          const { turns, spaces, circle } = move;
          expect(
            proveDivision({ ratio: exact(ratio), plateRatio }, { turns, spaces, circle: circle.holes }, n),
          ).toMatchObject({ everySpaceTrue: true, closes: true });
        }
      }),
      { seed: 127, numRuns: 120 },
    );
  });
});
