import { describe, expect, test } from '@jest/globals';
import {
  CHECK_BAR,
  fitButtons,
  readScale,
  rootRadius,
  spaceOf,
  templateOf,
  tipRadius,
  type ToothForm,
} from './index.ts';

const form: ToothForm = {
  teeth: 26,
  module: 1.5,
  pressureAngle: (20 * Math.PI) / 180,
  addendum: 1.5,
  wholeDepth: 3.375,
  thinning: 0,
};
const size = (of: ReturnType<typeof templateOf>, name: string) => of.sizes.find((one) => one.name === name)!;

describe('a template', () => {
  test('is the space of the count, at its scale: what is drawn is what is told', () => {
    const template = templateOf({ form, continuation: 'radial', scale: 20, as: 'form', title: 'Twenty-six' });
    const xs = template.outline.map(({ x }) => x);
    const ys = template.outline.map(({ y }) => y);
    const space = spaceOf(form, 'radial');
    const tip = tipRadius(form);
    // width at the outside is the chord of the space there
    expect(size(template, 'width at the outside').mm).toBeCloseTo(2 * tip * Math.sin(space(tip)), 9);
    expect(Math.max(...xs)).toBeCloseTo((size(template, 'width at the outside').mm * 20) / 2, 9);
    // at the pitch line half the circular pitch, as a chord: nearly π·m/2
    expect(size(template, 'width at the pitch line').mm).toBeCloseTo((Math.PI * 1.5) / 2, 2);
    // the floor stands at nought, and the shank above the outside
    expect(Math.min(...ys)).toBeCloseTo(
      (rootRadius(form) * Math.cos(space(rootRadius(form))) - rootRadius(form)) * 20,
      9,
    );
    expect(Math.max(...ys)).toBeGreaterThan(size(template, 'depth, floor to outside').mm * 20);
    for (const { mm, printed } of template.sizes) expect(printed).toBeCloseTo(mm * 20, 9);
  });

  test('left and right are each other’s mirror, and the outline comes round', () => {
    const { outline } = templateOf({
      form,
      continuation: 'trochoid',
      scale: 10,
      as: 'form',
      title: 'Mirror',
    });
    for (const { x, y } of outline)
      expect(outline.some((other) => Math.abs(other.x + x) < 1e-9 && Math.abs(other.y - y) < 1e-9)).toBe(
        true,
      );
    let area = 0;
    for (const [i, a] of outline.entries()) {
      const b = outline[(i + 1) % outline.length]!;
      area += a.x * b.y - b.x * a.y;
    }
    expect(Math.abs(area) / 2).toBeGreaterThan(10 * 10 * 3.375 * 1.5);
  });

  test('carries a bar to check the printer by, and says its relief', () => {
    const { lines, words } = templateOf({ form, continuation: 'radial', scale: 5, as: 'form', title: 'Bar' });
    const [bar] = lines.filter(({ name }) => name === 'check');
    expect(bar!.to.x - bar!.from.x).toBe(CHECK_BAR);
    const said = words.map(({ text }) => text).join(' ');
    expect(said).toMatch(/5 times life size/);
    expect(said).toMatch(
      /Relief: 12 deg below the tip, 4 deg at the sides. Ground square to the relief the form is 0.9781 as deep/,
    );
    // words stand one under another, none on another
    const heights = words.filter(({ at }) => at.x < 0).map(({ at }) => at.y);
    expect([...heights].sort((a, b) => b - a)).toEqual(heights);
  });

  test('with two buttons: their circles touch the flanks they stand for', () => {
    const template = templateOf({ form, continuation: 'radial', scale: 10, as: 'buttons', title: 'Buttons' });
    const buttons = fitButtons(form)!;
    expect(template.circles).toHaveLength(2);
    const [, right] = template.circles;
    const space = spaceOf(form, 'radial');
    for (const radius of [rootRadius(form) + 1.2, rootRadius(form) + 2, tipRadius(form)]) {
      const [x, y] = [
        radius * Math.sin(space(radius)) * 10,
        (radius * Math.cos(space(radius)) - rootRadius(form)) * 10,
      ];
      const off = Math.abs(Math.hypot(x - right!.at.x, y - right!.at.y) - right!.radius);
      expect(off * 100).toBeLessThanOrEqual(buttons.residual * 1.01);
    }
    expect(size(template, 'button spacing').mm).toBeCloseTo(2 * buttons.centre.x, 9);
    expect(size(template, 'infeed').mm).toBeCloseTo(buttons.centre.y + buttons.radius - rootRadius(form), 9);
  });
});

test.each([
  ['20', 20],
  ['×20', 20],
  ['20x', 20],
  ['20:1', 20],
  ['2,5', 2.5],
  ['1', 1],
  ['200', 200],
  ['0', null],
  ['201', null],
  ['-5', null],
  ['', null],
  ['large', null],
])('a scale typed %j is %j', (typed, wanted) => expect(readScale(typed)).toBe(wanted));
