import { describe, expect, test } from '@jest/globals';
import {
  actingFlank,
  diskErrors,
  fitButtons,
  formErrors,
  rootRadius,
  spaceOf,
  spaceSide,
  tipRadius,
  virtualTeeth,
  type ToothForm,
} from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const formOf = (teeth: number, angle = 20, more: Partial<ToothForm> = {}): ToothForm => ({
  teeth,
  module: 1,
  pressureAngle: rad(angle),
  addendum: 1,
  wholeDepth: 2.25,
  thinning: 0,
  ...more,
});

describe('the true space', () => {
  /** A rack rolled past the blank: how far from the middle of the space it cuts at this radius. */
  function rolled(
    { teeth, pressureAngle, addendum, wholeDepth, thinning }: ToothForm,
    radius: number,
  ): number {
    const r = teeth / 2;
    const below = wholeDepth - addendum;
    const half = Math.PI / 4 + thinning / 2;
    let widest = 0;
    for (let roll = -6; roll <= 6; roll += 0.0008) {
      // the rack's tooth stands at `roll`; its flank: x = roll + half + (y − r)·tan α, down to its tip
      const covers = (angle: number) => {
        const [x, y] = [radius * Math.sin(angle), radius * Math.cos(angle)];
        return y >= r - below && Math.abs(x - roll) <= half + (y - r) * Math.tan(pressureAngle);
      };
      // does this position reach further than what is cut already?
      for (let step = 0.002; step > 1e-7;) {
        if (covers(widest + step + roll / r)) widest += step;
        else step /= 4;
      }
    }
    return widest;
  }

  test.each([
    [12, 20, 0],
    [17, 14.5, 0],
    [26, 20, 0.04],
    [60, 14.5, 0],
  ])(
    '%d teeth at %d°: a rack rolled past the blank leaves it, to a thousandth of the module',
    (teeth, angle, thinning) => {
      const form = formOf(teeth, angle, { thinning });
      const space = spaceOf(form, 'trochoid');
      for (const part of [0.05, 0.3, 0.5, 0.75, 0.98]) {
        const radius = rootRadius(form) + part * form.wholeDepth;
        expect(Math.abs(rolled(form, radius) - space(radius)) * radius).toBeLessThan(0.001);
      }
    },
  );

  test('below the base circle the radial continuation keeps its angle; the sides run from floor to tip', () => {
    const form = formOf(12);
    const space = spaceOf(form, 'radial');
    expect(space(rootRadius(form))).toBeCloseTo(space(6 * Math.cos(rad(20))), 12);
    for (const continuation of ['radial', 'trochoid'] as const) {
      const side = spaceSide(form, continuation);
      expect(side[0]).toEqual({ x: 0, y: expect.closeTo(rootRadius(form), 9) });
      expect(Math.hypot(side.at(-1)!.x, side.at(-1)!.y)).toBeCloseTo(tipRadius(form), 9);
    }
  });
});

describe('form error of a range cutter', () => {
  test('none where the counts agree', () => {
    for (const teeth of [12, 26, 135]) expect(formErrors(formOf(teeth), teeth).worst).toBeLessThan(1e-6);
  });

  test('the plain distance between the two outlines says the same', () => {
    const form = formOf(34, 20, { module: 2, addendum: 2, wholeDepth: 4.5 });
    const cutter = { ...form, teeth: 26 };
    const sunk = rootRadius(form) - rootRadius(cutter);
    const space = spaceOf(cutter, 'radial');
    const outline = Array.from({ length: 20_001 }, (_, i) => {
      const at = rootRadius(cutter) + ((form.wholeDepth + 0.4) * i) / 20_000;
      return { x: at * Math.sin(space(at)), y: at * Math.cos(space(at)) + sunk };
    });
    const flank = actingFlank(form, 20_000);
    // where the flank begins, the foot of the shortest way may lie off its end
    const told = formErrors(form, 26).flank.filter((_, i) => i % 7 === 4);
    expect(told.length).toBeGreaterThan(5);
    for (const { above, error } of told) {
      const radius = above + rootRadius(form);
      const off = ({ x, y }: { x: number; y: number }) => Math.abs(Math.hypot(x, y) - radius);
      const here = outline.reduce((best, point) => (off(point) < off(best) ? point : best));
      const plain = Math.min(...flank.map(({ x, y }) => Math.hypot(here.x - x, here.y - y))) * 1000;
      expect(Math.abs(Math.abs(error) - plain)).toBeLessThan(0.3);
    }
  });

  test('worse the further from the count it is made for, and better with the half number', () => {
    const worst = [26, 28, 31, 34].map((teeth) => formErrors(formOf(teeth), 26).worst);
    expect([...worst].sort((a, b) => a - b)).toEqual(worst);
    expect(formErrors(formOf(34), 30).worst).toBeLessThan(formErrors(formOf(34), 26).worst * 0.6);
  });

  test('at the pitch line the space is as wide as it should be, to a micrometre a module', () => {
    const form = formOf(54);
    const { flank } = formErrors(form, 35);
    const pitchLine = form.wholeDepth - form.addendum;
    const near = flank.reduce((a, b) =>
      Math.abs(b.above - pitchLine) < Math.abs(a.above - pitchLine) ? b : a,
    );
    expect(Math.abs(near.error)).toBeLessThan(3);
  });
});

describe('a round cutter in a helix', () => {
  const cut = (teeth: number, degrees: number, cutterDiameter = 50) => ({
    form: formOf(teeth),
    helixAngle: rad(degrees),
    cutterDiameter,
  });

  test('β → 0 joins the spur figures', () => {
    const [spur, helical] = [formErrors(formOf(34), 26), diskErrors(cut(34, 0), 26)];
    expect(helical.atTip).toBeCloseTo(spur.atTip, 1);
    expect(helical.atRoot).toBeCloseTo(spur.atRoot, 0);
    expect(diskErrors(cut(34, 0.01), 26).atTip).toBeCloseTo(spur.atTip, 1);
  });

  // Source: z = 30, mn = 1, Dp = 50: 36.2 against 42.8 at 20°, 46.2 against 62.9 at 30° (by the two formulas)
  test.each([
    [20, 36.2, 42.8],
    [30, 46.2, 62.9],
  ])('at %d° the book says %d, the round cutter %d', (degrees, book, disk) => {
    const found = virtualTeeth({ teeth: 30, helixAngle: rad(degrees), normalModule: 1, cutterDiameter: 50 });
    expect(found.book).toBeCloseTo(book, 1);
    expect(found.disk).toBeCloseTo(disk, 1);
  });

  test('at 25° plain search over the whole face of the disk finds the same flank', () => {
    // every point of the disk, brought along the helix into one plane; the widest at each radius is what it
    // leaves
    const { form, helixAngle, cutterDiameter } = cut(24, 25);
    const madeFor = 34;
    const told = diskErrors({ form, helixAngle, cutterDiameter }, madeFor);
    const cos = Math.cos(helixAngle);
    const pitch = 12 / cos;
    const transverse = Math.atan(Math.tan(rad(20)) / cos);
    const base = pitch * Math.cos(transverse);
    const baseHelix = Math.atan((Math.tan(helixAngle) * base) / pitch);
    const inv = (angle: number) => Math.tan(angle) - angle;
    const cutter = { ...form, teeth: madeFor };
    const space = spaceOf(cutter, 'radial');
    const root = pitch - 1.25;
    const outside = cutterDiameter / 2 + 1.25;
    const advance = pitch / Math.tan(helixAngle);
    const widest = new Map<number, number>();
    const bin = (radius: number) => Math.round(radius * 200);
    for (let i = 0; i <= 1200; i += 1) {
      const at = rootRadius(cutter) + (2.4 * i) / 1200;
      const across = at * Math.sin(space(at));
      const out = outside - (at * Math.cos(space(at)) - rootRadius(cutter));
      for (let turn = -0.2; turn <= 0.2; turn += 0.0005) {
        const x = root + outside - out * Math.cos(turn);
        const y = across * cos + out * Math.sin(turn) * Math.sin(helixAngle);
        const z = -across * Math.sin(helixAngle) + out * Math.sin(turn) * cos;
        const angle = Math.atan2(y, x) - z / advance;
        const key = bin(Math.hypot(x, y));
        if (angle > (widest.get(key) ?? -1)) widest.set(key, angle);
      }
    }
    let checked = 0;
    for (const { above, error } of told.flank.filter((_, i) => i % 8 === 5)) {
      const radius = bin(above + root) / 200;
      const trueSpace =
        Math.PI / 24 - (Math.PI / 2 / cos / (2 * pitch) + inv(transverse) - inv(Math.acos(base / radius)));
      const plain = base * Math.cos(baseHelix) * (widest.get(bin(radius))! - trueSpace) * 1000;
      // bins of five micrometres of radius blur the flank by their slope
      // bins of five micrometres of radius blur the flank by their slope
      expect(Math.abs(plain - error)).toBeLessThan(3);
      checked += 1;
    }
    expect(checked).toBeGreaterThan(5);
  });

  test.each([20, 30])('at %d° the envelope sides with the round cutter’s count', (degrees) => {
    const { book, disk } = virtualTeeth({
      teeth: 30,
      helixAngle: rad(degrees),
      normalModule: 1,
      cutterDiameter: 50,
    });
    // errors of the slope: what tip and root differ by, the cutter’s depth being the person’s to set
    const slope = (count: number) => {
      const { atTip, atRoot } = diskErrors(cut(30, degrees), count);
      return Math.abs(atTip - atRoot);
    };
    expect(slope(disk!)).toBeLessThan(slope(book));
  });
});

describe('two buttons', () => {
  test.each([
    [12, 20],
    [17, 14.5],
    [40, 20],
    [120, 14.5],
  ])('%d teeth at %d°: no circle near it does better', (teeth, angle) => {
    const form = formOf(teeth, angle);
    const found = fitButtons(form)!;
    const flank = actingFlank(form, 200);
    const worst = (x: number, y: number, radius: number) =>
      Math.max(...flank.map((point) => Math.abs(Math.hypot(point.x - x, point.y - y) - radius)));
    const told = worst(found.centre.x, found.centre.y, found.radius);
    expect(told * 1000).toBeCloseTo(found.residual, 0);
    let best = told;
    // brute force: a grid of middles; for each the best radius lies half-way between nearest and furthest
    for (let i = -20; i <= 20; i += 1) {
      for (let j = -20; j <= 20; j += 1) {
        const [x, y] = [found.centre.x + i * found.radius * 0.004, found.centre.y + j * found.radius * 0.004];
        const away = flank.map((point) => Math.hypot(point.x - x, point.y - y));
        best = Math.min(best, (Math.max(...away) - Math.min(...away)) / 2);
      }
    }
    expect(told).toBeLessThanOrEqual(best * 1.02 + 1e-6);
  });

  test('at the pitch point the flank’s own radius is (d/2)·sin α, and the button is near it', () => {
    const { radius } = fitButtons(formOf(40))!;
    expect(radius / (20 * Math.sin(rad(20)))).toBeGreaterThan(0.85);
    expect(radius / (20 * Math.sin(rad(20)))).toBeLessThan(1.2);
  });

  test('a rack has no button', () => {
    expect(fitButtons(formOf(2000))).toBeNull();
  });
});
