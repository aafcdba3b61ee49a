import { describe, expect, test } from '@jest/globals';
import {
  boxOf,
  circle,
  closed,
  dimensionAcross,
  dimensionUp,
  line,
  placed,
  point,
  scaleFor,
  scaleText,
  svgOf,
  together,
  turned,
  word,
} from './index.ts';

describe('a drawing as SVG', () => {
  test('prints to size: as many millimetres wide as its figures, y downward', () => {
    const svg = svgOf(line('outline', point(-10, -4), point(30, 6)), { margin: 0 });
    expect(svg).toContain('width="40mm" height="10mm" viewBox="-10 -6 40 10"');
    expect(svg).toContain('M-10 4L30 -6');
  });

  test('an arc by its bulge runs on the side it should', () => {
    // half a circle from left to right, counter-clockwise: below the chord, which is larger y in SVG
    const half = line('form', { ...point(0, 0), bulge: 1 }, point(10, 0));
    expect(svgOf(half)).toContain('M0 0A5 5 0 0 0 10 0');
    // clockwise: over it
    expect(svgOf(line('form', { ...point(0, 0), bulge: -1 }, point(10, 0)))).toContain('A5 5 0 0 1 10 0');
    // a quarter: bulge tan 22.5°, radius chord/√2
    const quarter = line('form', { ...point(0, 0), bulge: Math.tan(Math.PI / 8) }, point(10, 0));
    expect(svgOf(quarter)).toMatch(/A7\.0711 7\.0711 0 0 0 10 0/);
    const box = boxOf(half);
    expect(box.bottom).toBeLessThanOrEqual(-5);
  });

  test('words cannot become markup', () => {
    expect(svgOf(word('<b onload="x">&', point(0, 0)))).toContain('&lt;b onload=&quot;x&quot;&gt;&amp;');
  });
});

test('what is placed or turned keeps its radii, and its words their height', () => {
  const drawing = together(circle('form', point(2, 0), 1), word('Ø', point(2, 0)));
  const at = placed(drawing, 3, point(1, 1));
  expect(at.shapes[0]).toMatchObject({ at: { x: 7, y: 1 }, radius: 3 });
  expect(at.words[0]).toMatchObject({ at: { x: 7, y: 1 }, height: 2.5 });
  const about = turned(drawing, Math.PI / 2);
  expect(about.shapes[0]).toMatchObject({
    at: { x: expect.closeTo(0, 9), y: expect.closeTo(2, 9) },
    radius: 1,
  });
});

test('dimensions reach from one end to the other, with arrows outside where there is no room', () => {
  const wide = dimensionAcross({ from: 0, to: 40, at: 10, outlineAt: 0, text: '40.00' });
  const narrow = dimensionAcross({ from: 0, to: 3, at: 10, outlineAt: 0, text: '3.00' });
  expect(boxOf({ ...wide, words: [] })).toMatchObject({ left: 0, right: 40 });
  expect(boxOf({ ...narrow, words: [] }).left).toBeLessThan(-2);
  const up = dimensionUp({ from: -5, to: 45, at: -9, outlineAt: 0, text: 'Ø 50.00', under: '+0 −0.05' });
  expect(boxOf({ ...up, words: [] })).toMatchObject({ bottom: -5, top: 45 });
  expect(up.words.map(({ text, anchor }) => [text, anchor])).toEqual([
    ['Ø 50.00', 'end'],
    ['+0 −0.05', 'end'],
  ]);
});

test.each([
  [{ wide: 14, tall: 96 }, 0.5, '1 : 2'],
  [{ wide: 14, tall: 60 }, 1, '1 : 1'],
  [{ wide: 3, tall: 10 }, 5, '5 : 1'],
  [{ wide: 9000, tall: 9000 }, 0.02, '1 : 50'],
])('%j goes into 40 × 60 mm at a scale of the standard', (size, scale, text) => {
  expect(scaleFor(size, { wide: 40, tall: 60 })).toBe(scale);
  expect(scaleText(scale)).toBe(text);
});

test('a drawing of nothing takes up nothing', () => {
  expect(boxOf(together())).toEqual({ left: 0, right: 0, bottom: 0, top: 0 });
  expect(svgOf(closed('form', []))).toContain('<svg');
});
