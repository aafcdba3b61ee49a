import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { approx, exact } from '../units/index.ts';
import {
  axialFromNormal,
  findLatheGears,
  flatAndCrest,
  likelySelfLocking,
  PI_STAND_INS,
  wheelCutAs,
  wheelSizes,
  wormForCentre,
  WORM_SCHOOLS,
  wormSizes,
  type Lathe,
} from './index.ts';

const DEG = Math.PI / 180;
const [imperial, metric] = WORM_SCHOOLS;

describe('the thread', () => {
  // Source: Machinery's Handbook, 29° worm threads: depth 0.6866, flat of the tool 0.310, crest 0.335, outside d1 + 0.6366 of the pitch
  test('the printed proportions of 29°', () => {
    const { flat, crest } = flatAndCrest(imperial!);
    expect(flat).toBeCloseTo(0.31, 3);
    expect(crest).toBeCloseTo(0.335, 3);
    const { outside, depth, axialPitch } = wormSizes({
      axialModule: 25.4 / 10,
      starts: 1,
      pitchDiameter: 30,
      proportions: imperial!,
    });
    expect(axialPitch / 25.4).toBeCloseTo(0.3142, 4);
    expect(25.4 / axialPitch).toBeCloseTo(3.183, 3);
    expect(depth / axialPitch).toBe(0.6866);
    expect((outside - 30) / axialPitch).toBeCloseTo(0.6366, 4);
  });

  test('flat and crest by laying the tool into the space: the flanks meet them at root and tip', () => {
    for (const school of WORM_SCHOOLS) {
      const { flat, crest } = flatAndCrest(school);
      // half a space is the tool's half flat and what its flank gains on the way up
      expect(flat / 2 + school.depth * Math.tan(school.pressureAngle) + crest / 2).toBeCloseTo(0.5, 12);
      // and at the pitch line thread and space are alike
      expect(crest / 2 + school.addendum * Math.tan(school.pressureAngle)).toBeCloseTo(0.25, 12);
    }
    expect(metric!.addendum * Math.PI).toBeCloseTo(1, 12);
  });

  test('lead angle by unrolling the pitch cylinder; several starts; a worm thinner than its root', () => {
    const double = wormSizes({ axialModule: 2, starts: 2, pitchDiameter: 22, proportions: metric! });
    expect(double.lead).toBeCloseTo(4 * Math.PI, 12);
    expect(Math.tan(double.leadAngle)).toBeCloseTo(double.lead / (22 * Math.PI), 12);
    expect(double.leadAngle / DEG).toBeCloseTo(10.3048, 3);
    expect(double.normalModule).toBeCloseTo(2 * Math.cos(double.leadAngle), 12);
    expect(
      wormSizes({ axialModule: 5, starts: 1, pitchDiameter: 11, proportions: metric! }).root,
    ).toBeLessThan(0);
  });

  test('a centre distance fixes the worm; a stock cutter fixes its axial module', () => {
    expect(wormForCentre(50, 2, 40)).toBe(20);
    expect(wormForCentre(38, 2, 40)).toBeLessThan(0);
    const found = axialFromNormal(2, 3, 30)!;
    const worm = wormSizes({
      axialModule: found.axialModule,
      starts: 3,
      pitchDiameter: 30,
      proportions: metric!,
    });
    expect(worm.normalModule).toBeCloseTo(2, 12);
    expect(worm.leadAngle).toBeCloseTo(found.leadAngle, 12);
    expect(axialFromNormal(2, 15, 30)).toBeNull();
  });

  test('likely self-locking under the angle of friction, as guidance', () => {
    expect(likelySelfLocking(4 * DEG, 20 * DEG)).toBe(true);
    expect(likelySelfLocking(12 * DEG, 20 * DEG)).toBe(false);
    expect(likelySelfLocking(4 * DEG, 20 * DEG, 0.05)).toBe(false);
  });
});

describe('the wheel', () => {
  test('pitch, throat, centre and ratio; corners on the circle about the worm', () => {
    const wheel = wheelSizes(40, 2, { axialModule: 2, wormDiameter: 22, addendum: 2 });
    expect(wheel).toMatchObject({
      pitchDiameter: 80,
      throatDiameter: 84,
      centre: 51,
      ratio: 20,
      throatRadius: 9,
    });
    // the middle of the throat and both corners are as far from the worm's axis
    expect(wheel.centre - wheel.throatDiameter / 2).toBeCloseTo(wheel.throatRadius, 12);
    expect(Math.hypot(wheel.centre - wheel.outsideDiameter / 2, wheel.faceWidth / 2)).toBeCloseTo(
      wheel.throatRadius,
      12,
    );
    expect(wheel.outsideDiameter).toBeGreaterThan(wheel.throatDiameter);
  });

  test('cut by its own count for one start, by z/cos³γ for several', () => {
    expect(wheelCutAs(40, 1, 0.1)).toBe(40);
    expect(wheelCutAs(40, 3, 16 * DEG)).toBeCloseTo(40 / Math.cos(16 * DEG) ** 3, 12);
  });
});

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
        const [best] = findLatheGears(lathe, lead, 20, 10);
        let least = Infinity;
        for (const { ratio } of lathe.box)
          for (const train of ratios)
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
    const [best] = findLatheGears(three, (Math.PI * 25.4) / 10, 20, 1);
    // 3 per inch is a lead of 1/3 in; π/10 in is 0.94248 of it
    expect(best!.train).toMatchObject({ driver: 66, driven: 70 });
    expect(best!.ppm).toBeCloseTo((66 / 70 / ((3 * Math.PI) / 10) - 1) * 1e6, 6);
  });

  test('no gears owned: nothing, said as nothing', () => {
    expect(findLatheGears({ ...lathe, gears: [] }, 3, 20, 5)).toEqual([]);
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
