import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  gearOutline,
  involute,
  toothHalfAngle,
  toothOutline,
  type GearDrawing,
  type Point,
} from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const gear = (teeth: number, angle = 20, module = 2): GearDrawing => {
  const pitchDiameter = module * teeth;
  return {
    teeth,
    pitchDiameter,
    tipDiameter: pitchDiameter + 2 * module,
    rootDiameter: pitchDiameter - 2.5 * module,
    baseDiameter: pitchDiameter * Math.cos(rad(angle)),
    pressureAngle: rad(angle),
    toothThickness: (Math.PI * module) / 2,
  };
};
const radius = ({ x, y }: Point) => Math.hypot(x, y);
const angleOf = ({ x, y }: Point) => Math.atan2(x, y);

describe('the involute function', () => {
  // Source: Machinery's Handbook, table of involute functions; values from memory
  test.each([
    [14.5, 0.0055448],
    [20, 0.0149044],
    [25, 0.0299753],
    [30, 0.0537515],
  ])('inv %d° is %d', (degrees, value) => {
    expect(involute(rad(degrees))).toBeCloseTo(value, 7);
  });
  test('is nothing at the base circle', () => expect(involute(0)).toBe(0));
});

describe('half a tooth', () => {
  const { pitchDiameter, baseDiameter, pressureAngle, toothThickness } = gear(30);
  const half = (r: number) =>
    toothHalfAngle({
      radius: r,
      baseRadius: baseDiameter / 2,
      pitchRadius: pitchDiameter / 2,
      pressureAngle,
      toothThickness,
    });
  test('at the pitch circle is half the thickness', () => {
    expect(half(pitchDiameter / 2) * pitchDiameter).toBeCloseTo(toothThickness, 12);
  });
  test('is widest at the base circle, by inv α, and within it stays so', () => {
    expect(half(baseDiameter / 2)).toBeCloseTo(toothThickness / pitchDiameter + involute(pressureAngle), 12);
    expect(half(baseDiameter / 2 - 1)).toBe(half(baseDiameter / 2));
  });
  test('by a string unwound from the base circle: every point of it stands on the flank', () => {
    const rb = baseDiameter / 2;
    for (let roll = 0.05; roll < 0.7; roll += 0.05) {
      // the free end, seen from where the string leaves the circle
      const [x, y] = [
        rb * (Math.cos(roll) + roll * Math.sin(roll)),
        rb * (Math.sin(roll) - roll * Math.cos(roll)),
      ];
      expect(half(rb) - half(Math.hypot(x, y))).toBeCloseTo(Math.atan2(y, x), 12);
    }
  });
});

describe('a tooth drawn', () => {
  test('is the same on both sides and reaches from one space’s middle to the next', () => {
    const outline = toothOutline(gear(30));
    const mirrored = [...outline].reverse().map(({ x, y }) => ({ x: -x, y }));
    outline.forEach((point, i) => {
      expect(point.x).toBeCloseTo(mirrored[i]!.x, 12);
      expect(point.y).toBeCloseTo(mirrored[i]!.y, 12);
    });
    expect(angleOf(outline.at(-1)!)).toBeCloseTo(Math.PI / 30, 12);
    expect(Math.max(...outline.map(radius))).toBeCloseTo(32, 12);
    expect(Math.min(...outline.map(radius))).toBeCloseTo(27.5, 12);
  });
  test.each([
    [12, 20],
    [30, 20],
    [60, 14.5],
  ])('%d teeth, %d°: the normals of its flank touch the base circle', (teeth, angle) => {
    const drawing = gear(teeth, angle);
    const rb = drawing.baseDiameter / 2;
    const flank = toothOutline(drawing, 4000).filter(
      (point) => point.x > 0 && radius(point) > rb * 1.01 && radius(point) < drawing.tipDiameter / 2 - 1e-6,
    );
    expect(flank.length).toBeGreaterThan(500);
    for (let i = 100; i < flank.length; i += 200) {
      const [a, b] = [flank[i - 1]!, flank[i]!];
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
      // the normal stands square on the chord; how far it passes from the centre
      const passes = Math.abs(middle.x * dx + middle.y * dy) / Math.hypot(dx, dy);
      expect(passes).toBeCloseTo(rb, 4);
    }
  });
  test('below the base circle the flank goes on along a radius', () => {
    const drawing = gear(12, 14.5);
    const inside = toothOutline(drawing).filter(
      (point) => point.x > 0 && radius(point) < drawing.baseDiameter / 2 + 1e-9,
    );
    const angles = inside.map(angleOf).sort((a, b) => a - b);
    expect(angles[1]! - angles[0]!).toBeCloseTo(0, 12);
  });
  test('that comes to a point ends there, and never turns inside out', () => {
    const thin = { ...gear(20), toothThickness: 1.2 };
    const outline = toothOutline(thin);
    const highest = Math.max(...outline.map(radius));
    expect(highest).toBeLessThan(thin.tipDiameter / 2);
    expect(
      outline.filter((point) => radius(point) > highest - 1e-9).every(({ x }) => Math.abs(x) < 1e-6),
    ).toBe(true);
    expect(outline.slice(0, outline.length / 2).every(({ x }) => x <= 1e-9)).toBe(true);
  });
  test('a root at or within the centre is drawn at the centre', () => {
    const outline = toothOutline({ ...gear(3), rootDiameter: -1 });
    expect(outline.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
    expect(Math.min(...outline.map(radius))).toBe(0);
  });
});

describe('the whole gear', () => {
  test('goes once round and never runs back (seed 7)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 400 }), fc.constantFrom(14.5, 20, 25), (teeth, angle) => {
        const points = gearOutline(gear(teeth, angle, 1), 6);
        const steps = points.map((a, i) => {
          const b = points[(i + 1) % points.length]!;
          return Math.atan2(a.y * b.x - a.x * b.y, a.x * b.x + a.y * b.y);
        });
        expect(steps.reduce((sum, step) => sum + step, 0)).toBeCloseTo(2 * Math.PI, 6);
        expect(Math.min(...steps)).toBeGreaterThan(-1e-9);
      }),
      { seed: 7, numRuns: 60 },
    );
  });
  test.each([2, 7, 62])('%d teeth meet without a gap and close', (teeth) => {
    const points = gearOutline(gear(teeth), 6);
    expect(points).toHaveLength(teeth * toothOutline(gear(teeth), 6).length);
    const each = points.length / teeth;
    for (let k = 0; k < teeth; k += 1) {
      const [end, next] = [points[(k + 1) * each - 1]!, points[((k + 1) * each) % points.length]!];
      expect(Math.hypot(end.x - next.x, end.y - next.y)).toBeLessThan(1e-9);
    }
  });
  test('its area lies between the circles of root and tip, near the pitch circle’s', () => {
    const points = gearOutline(gear(40), 40);
    const area = points.reduce((sum, { x, y }, i) => {
      const next = points[(i + 1) % points.length]!;
      return sum + (next.x * y - x * next.y) / 2;
    }, 0);
    const disk = (diameter: number) => (Math.PI * diameter * diameter) / 4;
    expect(area).toBeGreaterThan(disk(75));
    expect(area).toBeLessThan(disk(84));
    expect(area / disk(80)).toBeGreaterThan(0.97);
    expect(area / disk(80)).toBeLessThan(1.01);
  });
});
