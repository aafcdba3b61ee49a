import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { GearDrawing, Point } from '../involute/index.ts';
import { gearOutline, toothOutline } from './index.ts';

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
  test('below the base circle the flank goes on along a radius, and never cuts in', () => {
    const drawing = gear(12, 14.5);
    const inside = toothOutline(drawing, 200).filter(
      (point) => point.x > 0 && radius(point) < drawing.baseDiameter / 2 + 1e-9,
    );
    const thinnest = Math.min(...inside.map(angleOf));
    // half the tooth at the base circle, by hand: s/d + inv α = π/24 + 0.0055448
    expect(thinnest).toBeCloseTo(Math.PI / 24 + 0.0055448, 6);
    expect(inside.filter((point) => angleOf(point) < thinnest + 1e-9).length).toBeGreaterThan(20);
  });
  test('its corners are rounded: floor and fillet meet without an edge, and the corner is filled', () => {
    const drawing = gear(40);
    const outline = toothOutline(drawing, 2000).filter(({ x }) => x > 0);
    const low = outline.filter((point) => radius(point) < drawing.rootDiameter / 2 + 0.4);
    // from one piece to the next the direction turns by little, everywhere between floor and flank
    const ways = low.slice(1).map((point, i) => Math.atan2(point.y - low[i]!.y, point.x - low[i]!.x));
    const turns = ways.slice(1).map((way, i) => Math.abs(way - ways[i]!));
    expect(Math.max(...turns)).toBeLessThan(0.2);
    // a rack of this depth has a point of π m/4 − 1.25 m tan α to each side: half the width of the floor
    const floor =
      Math.PI / 40 -
      Math.max(
        ...outline
          .filter((p) => radius(p) < 37.5 + 1e-9)
          .slice(0, 1)
          .map(angleOf),
      );
    expect(floor * 40).toBeCloseTo((Math.PI * 2) / 4 - 2.5 * Math.tan(rad(20)), 6);
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
