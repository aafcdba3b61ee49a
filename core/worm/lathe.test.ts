import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { approx, exact } from '../units/index.ts';
import { findLatheGears, PI_STAND_INS, type Lathe } from './index.ts';
import { compareWays, type LatheWay } from './lathe.ts';

describe('lathe gears', () => {
  const gears = [20, 30, 35, 40, 45, 50, 55, 60, 65, 66, 70, 127].map((teeth) => ({ teeth, count: 1 }));
  const lathe: Lathe = {
    leadscrew: exact('25.4').div(8),
    box: [1, 2, 3, 4, 8].map((ratio) => ({ name: `${ratio}`, ratio: exact(ratio, 2) })),
    gears,
    stud: true,
  };

  test('nothing nearer among every train and every setting (seed 12)', () => {
    const wall = gears.map(({ teeth }) => teeth);
    const ratios: number[] = [];
    for (const a of wall)
      for (const b of wall) {
        if (a === b) continue;
        ratios.push(a / b);
        for (const c of wall)
          for (const d of wall) if (new Set([a, b, c, d]).size === 4) ratios.push((a * c) / (b * d));
      }
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 5, noNaN: true }), (module) => {
        const lead = Math.PI * module;
        const [best] = findLatheGears(lathe, { lead, engaged: 20 }, { most: 10 });
        let least = Infinity;
        // the box alone, its gears one to one, is a way as well
        for (const { ratio } of lathe.box)
          for (const train of [1, ...ratios])
            least = Math.min(least, Math.abs((approx(lathe.leadscrew) * approx(ratio) * train) / lead - 1));
        expect(Math.abs(best!.ppm)).toBeCloseTo(least * 1e6, 3);
        expect(best!.overLength).toBeCloseTo(20 * best!.ppm * 1e-3, 9);
      }),
      { seed: 12, numRuns: 12 },
    );
  });

  // a box that offers 3 threads to the inch needs 0.9425 of it more for 10 DP: 66/70 = 0.942857
  test('10 DP from a box set to three per inch: 66 over 70', () => {
    const three: Lathe = {
      ...lathe,
      leadscrew: exact('25.4').div(3),
      box: [{ name: '3', ratio: exact(1) }],
      gears: [66, 70].map((teeth) => ({ teeth, count: 1 })),
    };
    const [best] = findLatheGears(three, { lead: (Math.PI * 25.4) / 10, engaged: 20 }, { most: 1 });
    // 3 per inch is a lead of 1/3 in; π/10 in is 0.94248 of it
    expect(best!.train).toMatchObject({ driver: 66, driven: 70 });
    expect(best!.ppm).toBeCloseTo((66 / 70 / ((3 * Math.PI) / 10) - 1) * 1e6, 6);
  });

  test('no gears and no box: nothing, said as nothing; a box alone cuts what stands on its plate', () => {
    expect(findLatheGears({ ...lathe, gears: [], box: [] }, { lead: 3, engaged: 20 }, { most: 5 })).toEqual(
      [],
    );
    // a quarter inch: 1/8 in of leadscrew twice over
    const [alone] = findLatheGears({ ...lathe, gears: [] }, { lead: 6.35, engaged: 20 }, { most: 5 });
    expect(alone).toMatchObject({ setting: '4', train: null, ppm: 0, leadText: '127/20' });
  });

  test('of two alike the plainer goes first: no gears, one pair, two pairs, then by the setting', () => {
    const way = (setting: string, ppm: number, train: LatheWay['train']): LatheWay => ({
      setting,
      train,
      leadText: '1',
      lead: 1,
      ppm,
      overLength: 0,
    });
    const pair = { driver: 40, driven: 20, second: null };
    const two = { driver: 40, driven: 20, second: { driver: 30, driven: 60 } };
    const ordered = [
      way('z', 0, null),
      way('a', 0.0001, pair),
      way('b', 0, pair),
      way('a', 0, two),
      way('a', -1, null),
      way('a', 2, null),
    ];
    for (const [i, first] of ordered.entries())
      for (const [k, second] of ordered.entries())
        expect(Math.sign(compareWays(first, second))).toBe(Math.sign(i - k));
  });

  // Source: arithmetic; 22/7 is 402 parts in a million long, 355/113 0.08
  test('what stands for π, and what it is off', () => {
    const ppm = Object.fromEntries(PI_STAND_INS.map((one) => [one.text, one.ppm]));
    expect(ppm['22/7']).toBeCloseTo(402.5, 1);
    expect(ppm['355/113']).toBeCloseTo(0.085, 3);
    expect(ppm['157/50']).toBeCloseTo(-506.96, 1);
    expect(ppm['377/120']).toBeCloseTo(23.6, 0);
  });
});
