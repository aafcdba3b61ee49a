import { describe, expect, test } from '@jest/globals';
import {
  axialFromNormal,
  flatAndCrest,
  likelySelfLocking,
  wheelCutAs,
  wheelSizes,
  wormForCentre,
  WORM_SCHOOLS,
  wormSizes,
} from './index.ts';

const DEG = Math.PI / 180;
const [imperial, metric] = WORM_SCHOOLS;

describe('the thread', () => {
  // Source: Machinery's Handbook, 29° worm threads: depth 0.6866, flat of the tool 0.310, crest 0.335,
  // outside d1 + 0.6366 of the pitch
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
