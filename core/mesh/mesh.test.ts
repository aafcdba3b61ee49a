import { describe, expect, test } from '@jest/globals';
import { toothHalfAngle } from '../involute/index.ts';
import { centreForBacklash, deeperForThinning, meshAt, thinningFromDeeper, type Pair } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const pairOf = (z1: number, z2: number, angle = 20, module = 1): Pair => ({
  module,
  pressureAngle: rad(angle),
  gears: [z1, z2].map((teeth) => ({
    teeth,
    addendum: module,
    wholeDepth: 2.157 * module,
    thinning: 0,
  })) as never,
});
const nominal = (z1: number, z2: number, angle = 20) => meshAt(pairOf(z1, z2, angle), (z1 + z2) / 2);

describe('a pair at its nominal centres', () => {
  test('contact ratio with each path capped at the base tangent', () => {
    // 12 with 12 at 14½°: the tips reach far beyond the base tangents, and what lies beyond is interference
    expect(nominal(12, 12, 14.5).contactRatio).toBeCloseTo(0.99, 2);
    expect(nominal(12, 12, 14.5).tipInterference![0]).toBeGreaterThan(0);
    // a common pair at 20°
    expect(nominal(20, 60).contactRatio).toBeCloseTo(1.67, 2);
    expect(nominal(20, 60).tipInterference![1]).toBeLessThan(0);
  });

  test('17 teeth with a large wheel just interfere at 20°, 18 do not: the rack limit of 17.1', () => {
    expect(nominal(17, 2000).tipInterference![1]).toBeGreaterThan(0);
    expect(nominal(18, 2000).tipInterference![1]).toBeLessThan(0);
  });

  test('no backlash, and the clearance of the depth rule', () => {
    expect(nominal(20, 60).backlash).toBeCloseTo(0, 12);
    expect(nominal(20, 60).tipClearance).toEqual([expect.closeTo(0.157, 9), expect.closeTo(0.157, 9)]);
    expect(nominal(20, 60).operatingAngle).toBeCloseTo(rad(20), 9);
  });
});

test('spread shafts: the gap left between flanks on the line of centres is the backlash told', () => {
  // witness by geometry: space minus tooth where the operating pitch circles touch
  const pair = pairOf(24, 40, 20, 2);
  for (const spread of [0.05, 0.2, 0.6]) {
    const centre = 64 + spread;
    const report = meshAt(pair, centre);
    const wide = (teeth: number) => {
      const at = (centre * teeth) / 64;
      return (
        2 *
        at *
        toothHalfAngle({
          radius: at,
          baseRadius: teeth * Math.cos(rad(20)),
          pitchRadius: teeth,
          pressureAngle: rad(20),
          toothThickness: Math.PI,
        })
      );
    };
    const pitch = (2 * Math.PI * centre) / 64;
    expect(report.backlash).toBeCloseTo(pitch - wide(24) - wide(40), 9);
    expect(centreForBacklash(pair, report.backlash!)).toBeCloseTo(centre, 6);
  }
});

// Source: Machinery's Handbook, centre distance (N + n)/(2P); the figures are worked from it
test.each([
  [10, 20, 40, 3],
  [8, 18, 54, 4.5],
  [16, 30, 66, 3],
])('%d DP, %d and %d teeth stand %d in apart', (P, z1, z2, inches) => {
  expect(meshAt(pairOf(z1, z2, 20, 25.4 / P), 100).nominalCentre / 25.4).toBeCloseTo(inches, 12);
});

test('shafts too close to roll are told as such', () => {
  expect(meshAt(pairOf(20, 20), 18)).toMatchObject({ operatingAngle: null, backlash: null });
});

test('thinning one gear gives its backlash at nominal centres', () => {
  const pair = pairOf(20, 30);
  const [one, two] = pair.gears;
  expect(meshAt({ ...pair, gears: [{ ...one, thinning: 0.08 }, two] }, 25).backlash).toBeCloseTo(0.08, 9);
});

describe('deeper for thinning', () => {
  /** Shifts the whole space outline of a gear inward and reads how much wider it is on the pitch circle. */
  function widerBy(teeth: number, angle: number, deeper: number): number {
    const r = teeth / 2;
    const spaceHalf = (at: number) =>
      Math.PI / teeth -
      toothHalfAngle({
        radius: at,
        baseRadius: r * Math.cos(rad(angle)),
        pitchRadius: r,
        pressureAngle: rad(angle),
        toothThickness: Math.PI / 2,
      });
    // the point of the outline that lands on the pitch circle once shifted inward
    let [low, high] = [r, r + 3 * deeper];
    for (let i = 0; i < 80; i += 1) {
      const at = (low + high) / 2;
      const half = spaceHalf(at);
      if (Math.hypot(at * Math.sin(half), at * Math.cos(half) - deeper) > r) high = at;
      else low = at;
    }
    const half = spaceHalf(low);
    const seen = Math.atan2(low * Math.sin(half), low * Math.cos(half) - deeper);
    return 2 * r * (seen - spaceHalf(r));
  }

  test.each([
    [12, 14.5],
    [12, 20],
    [26, 20],
    [55, 14.5],
    [135, 20],
  ])(
    '%d teeth at %d°: the outline sunk by the figure told is wider by the thinning asked for',
    (teeth, angle) => {
      const thinning = 0.002;
      expect(widerBy(teeth, angle, deeperForThinning(thinning, rad(angle), teeth)) / thinning).toBeCloseTo(
        1,
        2,
      );
    },
  );

  test('the rack’s rule sinks half as deep again at 12 teeth and 14½°', () => {
    const rack = deeperForThinning(0.1, rad(14.5), Infinity);
    expect(rack / deeperForThinning(0.1, rad(14.5), 12)).toBeCloseTo(1.48, 1);
    expect(thinningFromDeeper(rack, rad(14.5), Infinity)).toBeCloseTo(0.1, 12);
  });
});
