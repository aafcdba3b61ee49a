import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { STOCK_HEADS, THREE_PLATES } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import {
  circlesOf,
  countAim,
  findCompounds,
  findNearCompounds,
  runChoice,
  searchMethods,
  type CompoundMove,
} from './index.ts';

const circles = circlesOf(THREE_PLATES);
const R = 40;

/** A compound move in words: pin turns + spaces / circle, then the back pin's. */
const said = ({ pin, back }: CompoundMove): string =>
  `${pin.circle.plateName} ${pin.turns}+${pin.spaces}/${pin.circle.holes} ${back.spaces}/${back.circle.holes}`;

/**
 * As a person with patience would: every pair of circles of a plate, every hole of either, whole turns as
 * they come.
 */
function enumerate(
  ratio: number,
  n: number,
  plates: readonly { name: string; circles: readonly number[] }[],
): string[] {
  const found: string[] = [];
  for (const plate of plates) {
    for (const A of plate.circles) {
      for (const B of plate.circles) {
        if (A === B) continue;
        for (let a = 1; a < A; a += 1) {
          for (let b = 1 - B; b < B; b += 1) {
            if (b === 0) continue;
            // turns + a/A + b/B = ratio/n
            const rest = ratio * A * B - n * (a * B + b * A);
            if (rest < 0 || rest % (n * A * B) !== 0) continue;
            found.push(`${plate.name} ${rest / (n * A * B)}+${a}/${A} ${b}/${B}`);
          }
        }
      }
    }
  }
  return found.sort();
}

test('both pins, followed as metal: the back pin never moves, the crank pin goes with the plate', () => {
  const { ways } = searchMethods(
    { head: STOCK_HEADS[0]!, gearSets: [], steppers: [] },
    countAim(69),
  ).methods.find(({ method }) => method === 'compound')!;
  for (const { choice } of ways.slice(0, 12)) {
    if (choice.method !== 'compound') throw new Error('not compound');
    const { turns, spaces, circle, back } = choice;
    let [plate, pin] = [0, 0]; // turns of the plate and of the crank pin, seen from the front, clockwise
    const motion = runChoice(exact(R), choice, 69);
    for (const { moves, hole, back: backHole, spindle } of motion.states.slice(1)) {
      pin += turns + spaces / circle;
      pin += back.spaces / back.circle;
      plate += back.spaces / back.circle;
      const near = (a: number) => Math.abs(a - Math.round(a));
      expect(near(pin - plate - hole / circle)).toBeLessThan(1e-9);
      // hole `backHole` of the plate stands where the back pin has always stood
      expect(near(plate + backHole / back.circle)).toBeLessThan(1e-9);
      expect(spindle / motion.denominator).toBeCloseTo(pin / R, 9);
      expect(spindle / motion.denominator).toBeCloseTo(moves / 69, 9);
    }
  }
});

describe('compound indexing', () => {
  // Source: Machinery's Handbook, compound indexing: 69 divisions by 21 holes on 23 forward and 11 on 33 back
  // (published)
  test('69: 21 spaces on 23 forward, 11 on 33 back', () => {
    const ways = findCompounds(exact(R, 69), circles).map(said);
    expect(ways).toContain('B 0+21/23 -11/33');
    const found = searchMethods({ head: STOCK_HEADS[0]!, gearSets: [], steppers: [] }, countAim(69));
    const way = found.methods
      .find(({ method }) => method === 'compound')!
      .ways.find(({ words }) => words === '21 spaces on 23, then 11 spaces back on 33')!;
    expect(way.proof).toMatchObject({ moves: 69, everySpaceTrue: true, closes: true });
    expect(way.because).toMatch(/a source of scrap/);
  });

  test('for every count from 2 to 120: just what plain enumeration finds', () => {
    const plates = THREE_PLATES.map(({ name, sides }) => ({ name, circles: sides[0]!.circles }));
    for (let n = 2; n <= 120; n += 1)
      expect([n, findCompounds(exact(R, n), circles).map(said).sort()]).toEqual([n, enumerate(R, n, plates)]);
  });

  test('random plates and ratios: nothing missed, nothing wrong (seed 69)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(5, 30, 40, 72, 90),
        fc.uniqueArray(fc.integer({ min: 2, max: 40 }), { minLength: 2, maxLength: 5 }),
        fc.integer({ min: 2, max: 300 }),
        (ratio, holes, n) => {
          const plate = { id: 'p', name: 'P', sides: [{ circles: holes }], made: false };
          const found = findCompounds(exact(ratio, n), circlesOf([plate]))
            .map(said)
            .sort();
          expect(found).toEqual(enumerate(ratio, n, [{ name: 'P', circles: holes }]));
        },
      ),
      { seed: 69, numRuns: 150 },
    );
  });

  test('one circle, or two of one plate’s two sides, make no pair', () => {
    const one = { id: 'p', name: 'P', sides: [{ circles: [23] }], made: false };
    expect(findCompounds(exact(R, 69), circlesOf([one]))).toEqual([]);
    const two = { ...one, sides: [{ circles: [23] }, { circles: [33] }] };
    expect(findCompounds(exact(R, 69), circlesOf([two]))).toEqual([]);
  });

  test('the nearest on each pair is as near as any hole of the pair comes', () => {
    const wanted = R / 383;
    for (const { pin, back } of findNearCompounds(exact(R, 383), circles)) {
      const [A, B] = [pin.circle.holes, back.circle.holes];
      const off = Math.abs(pin.turns + pin.spaces / A + back.spaces / B - wanted);
      let best = Infinity;
      for (let a = 0; a < A; a += 1)
        for (let b = 1 - B; b < B; b += 1)
          for (const turns of [0, 1]) best = Math.min(best, Math.abs(turns + a / A + b / B - wanted));
      // a move on one circle alone is simple indexing, so the best pair may be a hair behind it
      expect(off).toBeLessThanOrEqual(best + 1 / (A * B) + 1e-12);
    }
  });

  test('the nearest come first, each pair of circles once', () => {
    for (const n of [383, 397, 251]) {
      const found = findNearCompounds(exact(R, n), circles);
      const offs = found.map(({ pin, back }) =>
        Math.abs(pin.turns + pin.spaces / pin.circle.holes + back.spaces / back.circle.holes - R / n),
      );
      for (let i = 1; i < offs.length; i += 1) expect(offs[i]!).toBeGreaterThanOrEqual(offs[i - 1]! - 1e-12);
      expect(offs[0]!).toBeLessThan(offs.at(-1)! / 10);
      const pairs = found.map(
        ({ pin, back }) => `${pin.circle.holes} ${back.circle.holes} ${pin.circle.plateId}`,
      );
      expect(new Set(pairs).size).toBe(pairs.length);
    }
  });
});
