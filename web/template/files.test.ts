import { expect, test } from '@jest/globals';
import dxfParser from 'dxf-parser';
import { templateOf, type ToothForm } from '../../core/toothform/index.ts';
import { templateDxf, templateSvg } from './files.ts';

const form: ToothForm = {
  teeth: 17,
  module: 2,
  pressureAngle: (20 * Math.PI) / 180,
  addendum: 2,
  wholeDepth: 4.5,
  thinning: 0,
};

test('the DXF is read back by another library, at its scale, in millimetres', () => {
  const template = templateOf({
    form,
    continuation: 'trochoid',
    scale: 20,
    as: 'form',
    title: '17 teeth, m 2',
  });
  const file = new dxfParser().parseSync(templateDxf(template))!;
  expect(file.header['$INSUNITS']).toBe(4);
  const on = (layer: string) => file.entities.filter((entity) => entity.layer === layer);
  const points = on('FORM').flatMap(
    (entity) => (entity as unknown as { vertices: { x: number; y: number }[] }).vertices,
  );
  const xs = points.map(({ x }) => x);
  const size = (name: string) => template.sizes.find((one) => one.name === name)!;
  // the form is as wide at the outside as the size told, twenty times
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(size('width at the outside').mm * 20, 3);
  expect(size('width at the outside').printed).toBeCloseTo(size('width at the outside').mm * 20, 9);
  const bar = on('CHECK').map((entity) => (entity as unknown as { vertices: { x: number }[] }).vertices);
  expect(Math.max(...bar.map(([a, b]) => Math.abs(a!.x - b!.x)))).toBeCloseTo(50, 6);
  const texts = file.entities
    .filter(({ type }) => type === 'TEXT')
    .map((entity) => (entity as unknown as { text: string }).text);
  expect(texts.join(' ')).toMatch(/20 times life size.*width at the pitch line: 3\.1.*Relief: 12 deg/);
});

test('two buttons are two circles of the size told', () => {
  const template = templateOf({
    form,
    continuation: 'radial',
    scale: 10,
    as: 'buttons',
    title: '17 teeth, m 2',
  });
  const file = new dxfParser().parseSync(templateDxf(template))!;
  const circles = file.entities.filter(({ type }) => type === 'CIRCLE') as unknown as {
    radius: number;
    center: { x: number };
  }[];
  expect(circles).toHaveLength(2);
  expect(circles[0]!.radius * 2).toBeCloseTo(template.buttons!.diameter * 10, 4);
  expect(Math.abs(circles[0]!.center.x - circles[1]!.center.x)).toBeCloseTo(
    template.buttons!.spacing * 10,
    4,
  );
});

test('the SVG prints at its scale: width and height in millimetres, a unit of the picture a millimetre', () => {
  const template = templateOf({
    form,
    continuation: 'trochoid',
    scale: 20,
    as: 'form',
    title: '17 teeth, m 2',
  });
  const svg = templateSvg(template);
  const width = Number(/width="([\d.]+)mm"/.exec(svg)![1]);
  const [, , box] = /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number);
  expect(width).toBeCloseTo(box!, 3);
  expect(svg).toContain('17 teeth, m 2');
  // words under one another stand flush, inside the picture
  const [left, top, , tall] = /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number);
  const words = [...svg.matchAll(/<text x="([-\d.]+)" y="([-\d.]+)"/g)];
  expect(words).toHaveLength(template.words.length);
  const starts = words.map(([, x]) => Number(x));
  const flush = starts.slice(0, 8);
  expect(Math.max(...flush) - Math.min(...flush)).toBeLessThan(0.01);
  for (const x of starts) expect(x).toBeGreaterThan(left!);
  // the last line whole: letters reach to either side of the line they are set on
  for (const y of words.map((found) => Number(found[2]))) {
    expect(y - template.words[0]!.height).toBeGreaterThan(top!);
    expect(y + template.words[0]!.height).toBeLessThan(top! + tall!);
  }
  // the pitch line at the height the size tells
  expect(template.sizes.find(({ name }) => name === 'pitch line above the tip')!.mm).toBeCloseTo(2.427, 2);
});
