import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { standardPitches } from '../gear/index.ts';
import { meshAt } from '../mesh/index.ts';
import { STOCK_HEADS } from '../shop/index.ts';
import { approx, exact } from '../units/index.ts';
import { findPairs, gearsFromStock, largestCount, type ShaftsAsked } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;

describe('a blank on hand', () => {
  const from = (stock: string, cleanUp = '0.5', module = '1.5') =>
    gearsFromStock(
      { stock: exact(stock), cleanUp: exact(cleanUp), module: exact(module), addendum: exact(module) },
      STOCK_HEADS[0]!,
    );

  // largest z = floor(da/m − 2): 70 mm less 0.5 to clean up, module 1.5: 44.33 → 44
  test('from the largest down, with finish diameter and stock to remove', () => {
    const { counts, largest } = from('70');
    expect(largest).toBe(44);
    expect(counts[0]).toEqual({ teeth: 44, tipDiameter: 69, remove: 1, indexes: 'mounted' });
    expect(counts.map(({ teeth }) => teeth)).toEqual(Array.from({ length: 24 }, (_, i) => 44 - i));
  });
  test('stub teeth: one more may fit, da·P − 1.6', () => {
    expect(
      largestCount({ stock: exact(70), cleanUp: exact(0), module: exact('1.5'), addendum: exact('1.2') }),
    ).toBe(45);
    expect(
      largestCount({ stock: exact(70), cleanUp: exact(0), module: exact('1.5'), addendum: exact('1.5') }),
    ).toBe(44);
  });
  test('a prime that needs gears gives way to the next that a plate has', () => {
    // 55.5 mm, module 1: 53 teeth at most, a prime that no circle of the three plates has
    const { counts, recommended, largest } = from('55.6', '0.5', '1');
    expect([largest, counts[0]!.indexes]).toEqual([53, 'no']);
    expect(counts[recommended!]!.teeth).toBe(52);
  });
  test('too small for a gear', () => {
    expect(from('5')).toMatchObject({ counts: [], recommended: null });
  });
});

describe('two shafts', () => {
  const asked = (more: Partial<ShaftsAsked> = {}): ShaftsAsked => ({
    centre: 60,
    give: 0.05,
    ratio: 3,
    ratioGive: 0.02,
    pitches: 'any',
    leastTeeth: 14,
    backlash: null,
    pressureAngle: rad(20),
    addendum: 1,
    wholeDepth: 2.25,
    ...more,
  });

  test('of two sums as near, the loose one comes before the tight one: shafts cannot be brought together', () => {
    // 2·30.25/1 = 60.5: sixty teeth leave the shafts a quarter of a module too far apart, sixty-one as much
    // too near
    const module1 = standardPitches('module').find(({ pitch }) => approx(pitch.module) === 1)!.pitch;
    const { pairs } = findPairs(asked({ centre: 30.25, ratio: null, pitches: module1 }), 60);
    const sums = pairs.map(({ teeth }) => teeth[0] + teeth[1]);
    expect(new Set(sums.slice(0, 11))).toEqual(new Set([60]));
    expect(sums).toContain(61);
    expect(pairs[0]!.sits).toBe('loose');
    expect(pairs.find(({ teeth }) => teeth[0] + teeth[1] === 61)!.sits).toBe('tight');
  });

  test('a ratio that may not stray is met by the one pair that has it', () => {
    const pairs = findPairs(asked({ ratioGive: 0 }), 500).pairs;
    expect(pairs.length).toBeGreaterThan(3);
    for (const { teeth } of pairs) expect(teeth[1]).toBe(3 * teeth[0]);
    // 15 and 45 of module 2 lie on 60
    expect(pairs.some(({ teeth, module, sits }) => module === 2 && teeth[0] === 15 && sits === 'exact')).toBe(
      true,
    );
  });

  // Source of the check: a = m(z1 + z2)/2: 60 mm, 3:1, module 2: 15 and 45; module 1.5: 20 and 60
  test('exact pairs first', () => {
    const { pairs } = findPairs(asked(), 12);
    const exactly = pairs
      .filter(({ sits }) => sits === 'exact')
      .map(({ pitch, teeth }) => `${pitch} ${teeth.join('/')}`);
    expect(exactly).toContain('m 2 15/45');
    expect(exactly).toContain('m 1.5 20/60');
    expect(pairs[0]!.sits).toBe('exact');
  });

  test('plain enumeration over every pitch and both counts finds no exact pair more (seed 3)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 140, noNaN: true }),
        fc.double({ min: 1, max: 5, noNaN: true }),
        (centre, ratio) => {
          const given = asked({ centre, ratio });
          const found = findPairs(given, 2000).pairs.filter(
            ({ sits, module }) => sits === 'exact' && module >= 0.3,
          );
          const plain: string[] = [];
          for (const system of ['module', 'dp'] as const)
            for (const { pitch } of standardPitches(system)) {
              const m = approx(pitch.module);
              if (m < 0.3) continue;
              for (let one = 14; one <= 300; one += 1)
                for (let two = 14; two <= 900; two += 1) {
                  if ((m * (one + two)) / 2 > centre + 0.06) break;
                  if (Math.abs((m * (one + two)) / 2 - centre) > 0.05 + 1e-9) continue;
                  if (Math.abs(two / one / ratio - 1) <= 0.02) plain.push(`${m} ${one}/${two}`);
                }
            }
          expect(found.map(({ module, teeth }) => `${module} ${teeth.join('/')}`).sort()).toEqual(
            plain.sort(),
          );
        },
      ),
      { seed: 3, numRuns: 3 },
    );
  });

  test('near misses: what is told of them is what the mesh at that distance has', () => {
    const { pairs } = findPairs(asked({ centre: 60.4, pitches: 'module' }), 40);
    for (const { module, teeth, backlash, sits, remedies, off } of pairs) {
      const gear = (count: number) => ({
        teeth: count,
        addendum: module,
        wholeDepth: 2.25 * module,
        thinning: 0,
      });
      const pair = { module, pressureAngle: rad(20), gears: [gear(teeth[0]), gear(teeth[1])] as const };
      expect(meshAt(pair, 60.4).backlash).toBeCloseTo(backlash!, 9);
      expect(meshAt(pair, remedies.spreadTo).backlash).toBeCloseTo(0.04 * module, 6);
      if (sits === 'tight') expect(off).toBeLessThan(0);
      if (backlash! < 0.04 * module) expect(remedies.deeper[0]).toBeGreaterThan(0);
      else expect(remedies.deeper).toEqual([0, 0]);
    }
    expect(pairs.some(({ sits }) => sits === 'tight')).toBe(true);
    expect(pairs.some(({ sits }) => sits === 'loose')).toBe(true);
  });

  test('any ratio, one pitch alone, nothing that fits', () => {
    const pitch = standardPitches('dp').find(({ pitch: { figure } }) => figure.equals(20))!.pitch;
    const one = findPairs(asked({ ratio: null, pitches: pitch, centre: 50.8 }), 5);
    expect(one.pairs.every(({ pitch: text }) => text === '20 DP')).toBe(true);
    expect(one.pairs[0]!.sits).toBe('exact');
    expect(findPairs(asked({ centre: 2 }), 5)).toEqual({ pairs: [], total: 0 });
  });
});
