import { describe, expect, test } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { boxOf, type Drawing, type Vertex } from '../drafting/index.ts';
import { dxfOf } from '../dxf/index.ts';
import type { GearDrawing, Point } from '../involute/index.ts';
import {
  blankPrint,
  gearPath,
  gearPrint,
  madePlatePrint,
  meshPrint,
  rackPrint,
  swingPrint,
  toothPrint,
  trainPrint,
  wormSection,
} from './index.ts';

/*
 * Drawings are read back by another library and measured as someone would with a caliper on the sheet. The
 * sizes are worked here by their formulas: ISO 21771.
 */

const RAD = Math.PI / 180;
const inv = (angle: number) => Math.tan(angle) - angle;

/** m, z, 20°, 2.25 deep. */
const gearOf = (teeth: number, module: number): GearDrawing => ({
  teeth,
  pitchDiameter: teeth * module,
  tipDiameter: (teeth + 2) * module,
  rootDiameter: (teeth - 2.5) * module,
  baseDiameter: teeth * module * Math.cos(20 * RAD),
  pressureAngle: 20 * RAD,
  toothThickness: (Math.PI * module) / 2,
});

/** Points along a path, its arcs in small steps by their own middle. */
function traced(corners: readonly Vertex[]): Point[] {
  return corners.flatMap((corner, i) => {
    const next = corners[(i + 1) % corners.length]!;
    if (!corner.bulge) return [corner];
    const { bulge } = corner;
    const [dx, dy] = [next.x - corner.x, next.y - corner.y];
    // middle of the arc’s circle: off the middle of the chord by (1 − b²)/(4b) of it, to the left
    const k = (1 - bulge ** 2) / (4 * bulge);
    const at = { x: (corner.x + next.x) / 2 - dy * k, y: (corner.y + next.y) / 2 + dx * k };
    const radius = Math.hypot(corner.x - at.x, corner.y - at.y);
    const start = Math.atan2(corner.y - at.y, corner.x - at.x);
    const sweep = 4 * Math.atan(bulge);
    return Array.from({ length: 8 }, (_, j) => ({
      x: at.x + radius * Math.cos(start + (sweep * j) / 8),
      y: at.y + radius * Math.sin(start + (sweep * j) / 8),
    }));
  });
}

describe.each([
  [17, 2],
  [62, 1.5],
  [12, 10],
  [400, 0.5],
])('a gear of %d teeth of module %d, drawn whole', (teeth, module) => {
  const gear = gearOf(teeth, module);
  const path = gearPath(gear);
  const points = traced(path);

  test('reaches from root to tip, and nowhere else', () => {
    const radii = points.map(({ x, y }) => Math.hypot(x, y));
    expect(Math.max(...radii)).toBeCloseTo(gear.tipDiameter / 2, 6);
    expect(Math.min(...radii)).toBeCloseTo(gear.rootDiameter / 2, 6);
    // lands and floors are arcs about the middle of the gear
    const arcs = path.filter(({ bulge }) => bulge);
    expect(arcs.length).toBe(2 * teeth);
  });

  test('its flanks are the involute: half the tooth’s angle is s/d + inv α − inv α_r at every radius', () => {
    const base = gear.baseDiameter / 2;
    const pitch = (2 * Math.PI) / teeth;
    let looked = 0;
    for (const { x, y } of path) {
      const radius = Math.hypot(x, y);
      // below the base circle and in the fillet there is no involute; lands are arcs
      const fillet = gear.rootDiameter / 2 + 0.6 * module;
      if (radius < Math.max(base * 1.0005, fillet) || radius > gear.tipDiameter / 2 - 1e-9) continue;
      const angle = Math.atan2(x, y);
      const half = Math.abs(angle - Math.round(angle / pitch) * pitch);
      const wanted = Math.PI / (2 * teeth) + inv(20 * RAD) - inv(Math.acos(base / radius));
      // 1 µm along the circle
      expect(Math.abs(half - wanted) * radius).toBeLessThan(0.001);
      looked += 1;
    }
    expect(looked).toBeGreaterThan(teeth * 10);
  });

  test('every tooth follows the last clockwise by a pitch, and the path closes', () => {
    const each = path.length / teeth;
    expect(Number.isInteger(each)).toBe(true);
    const angles = Array.from({ length: teeth }, (_, k) => Math.atan2(path[k * each]!.x, path[k * each]!.y));
    for (let k = 1; k < teeth; k += 1) {
      const step = (angles[k]! - angles[k - 1]! + 4 * Math.PI) % (2 * Math.PI);
      expect(step).toBeCloseTo((2 * Math.PI) / teeth, 9);
    }
  });
});

test('DXF: another library reads every corner, arc and circle back within a micrometre', () => {
  const gear = gearOf(25, 2);
  const file = new DxfParser().parseSync(dxfOf(gearPrint(gear, 10)))!;
  expect(file.header['$INSUNITS']).toBe(4);
  const outline = file.entities.find(
    ({ type, layer }) => type === 'LWPOLYLINE' && layer === 'FORM',
  ) as unknown as {
    shape: boolean;
    vertices: { x: number; y: number; bulge?: number }[];
  };
  const path = gearPath(gear);
  expect(outline.shape).toBe(true);
  expect(outline.vertices).toHaveLength(path.length);
  for (const [i, { x, y, bulge }] of outline.vertices.entries()) {
    expect(Math.hypot(x - path[i]!.x, y - path[i]!.y)).toBeLessThan(0.001);
    expect(bulge ?? 0).toBeCloseTo(path[i]!.bulge ?? 0, 6);
  }
  const circles = file.entities.filter(({ type }) => type === 'CIRCLE') as unknown as { radius: number }[];
  expect(circles.map(({ radius }) => radius).sort((a, b) => a - b)).toEqual([5, 25]);
});

/** Is a point inside a closed line? By counting crossings. */
function isInside({ x, y }: Point, outline: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i, i += 1) {
    const [a, b] = [outline[i]!, outline[j]!];
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}
const outlines = ({ shapes }: Drawing) =>
  shapes.flatMap((shape) =>
    shape.kind === 'path' && shape.line === 'form' && shape.closed ? [shape.corners] : [],
  );

test('a pair in mesh: with a little backlash neither is inside the other, and a little nearer they are', () => {
  const thin = (gear: GearDrawing) => ({ ...gear, toothThickness: gear.toothThickness - 0.04 });
  const [one, two] = [thin(gearOf(20, 2)), thin(gearOf(33, 2))];
  const inEachOther = (centre: number): boolean => {
    const [a, b] = outlines(meshPrint({ gear: one, bore: 8 }, { gear: two, bore: null }, centre)).map(traced);
    return a!.some((each) => isInside(each, b!)) || b!.some((each) => isInside(each, a!));
  };
  expect(inEachOther(53)).toBe(false);
  expect(inEachOther(52.6)).toBe(true);
});

test('one tooth has the floors of half a space to either side', () => {
  const drawing = toothPrint(gearOf(30, 2));
  const [path] = drawing.shapes.flatMap((shape) => (shape.kind === 'path' ? [shape.corners] : []));
  const [first, last] = [path![0]!, path!.at(-1)!];
  // root radius 27.5; half a pitch of 6° to either side
  expect(first.x).toBeCloseTo(-27.5 * Math.sin(6 * RAD), 6);
  expect(last.x).toBeCloseTo(27.5 * Math.sin(6 * RAD), 6);
});

test('a rack: spaces a pitch apart, half of it wide on the pitch line', () => {
  const form = { module: 3, pressureAngle: 20 * RAD, addendum: 3, wholeDepth: 6.75, spaces: 5 };
  const [path] = rackPrint(form).shapes.flatMap((shape) => (shape.kind === 'path' ? [shape.corners] : []));
  const crossings = path!.flatMap((corner, i) => {
    const next = path![i + 1];
    if (!next || Math.sign(corner.y) === Math.sign(next.y)) return [];
    return [corner.x + ((next.x - corner.x) * corner.y) / (corner.y - next.y)];
  });
  expect(crossings).toHaveLength(10);
  for (const [i, x] of crossings.entries())
    expect(x).toBeCloseTo(Math.floor(i / 2) * 3 * Math.PI + (i % 2 === 0 ? -1 : 1) * ((3 * Math.PI) / 4), 9);
  expect(Math.min(...path!.map(({ y }) => y))).toBeCloseTo(-3.75, 9);
});

test('a worm’s far profile has gone half a lead on: with one start half a pitch, with two none', () => {
  const drive = (starts: number) => {
    const axialPitch = 2 * Math.PI;
    const worm = { axialPitch, lead: starts * axialPitch, depth: 4.4, crest: 1.69, toolFlat: 1.4 };
    return { worm, addendum: 2, wormDiameter: 24 } as never;
  };
  const shiftOf = (starts: number) => {
    const [upper, lower] = wormSection(drive(starts), null).shapes.flatMap((shape) =>
      shape.kind === 'path' ? [shape.corners] : [],
    );
    return lower![0]!.x - upper![0]!.x;
  };
  expect(shiftOf(1)).toBeCloseTo(Math.PI, 9);
  expect(shiftOf(2)).toBeCloseTo(0, 9);
  expect(shiftOf(3)).toBeCloseTo(Math.PI, 9);
});

test('a blank for the lathe: to scale, its sizes life size, never over', () => {
  const drawing = blankPrint({ outside: 96, face: 14, bore: 12 }, { scale: 0.5, units: 'mm' });
  const rectangle = drawing.shapes[0]!;
  expect(boxOf({ shapes: [rectangle], words: [] })).toEqual({ left: 0, right: 7, bottom: -24, top: 24 });
  const said = drawing.words.map(({ text }) => text);
  expect(said).toEqual(expect.arrayContaining(['Ø 96.00', '+0 −0.05', '14.00', 'Ø 12.00']));
  const inch = blankPrint({ outside: 50.8, face: 25.4, bore: null }, { scale: 1, units: 'in' });
  expect(inch.words.map(({ text }) => text)).toEqual(['Ø 2.000', '+0 −0.002', '1.000']);
});

test('a train is laid so that what meshes touches', () => {
  const train = { driver: 72, driven: 44, second: { driver: 28, driven: 100 } };
  const drawing = trainPrint({ train, idlers: 1, ends: ['screw', 'worm shaft'] } as never, 70);
  const said = drawing.words.map(({ text }) => text);
  expect(said).toEqual(['screw 72', 'stud 44 + 28', 'idler', 'worm shaft 100']);
});

test.each([
  ['right', 'away'],
  ['left', 'towards'],
] as const)(
  'a %s-hand gear swung %s: its teeth lie along the cutter, its right end as told',
  (hand, rightEnd) => {
    const { shapes } = swingPrint({ hand, helixDeg: 18, rightEnd, swingDeg: 18, arborAlong: false }, 80);
    const [table] = shapes.flatMap((shape) =>
      shape.kind === 'path' && shape.line === 'outline' ? [shape.corners] : [],
    );
    // the corners follow left, right, right, left
    const right = (table![1]!.y + table![2]!.y) / 2;
    expect(Math.sign(right)).toBe(rightEnd === 'away' ? 1 : -1);
    const teeth = shapes.flatMap((shape) =>
      shape.kind === 'path' && shape.line === 'thin' && !shape.closed && shape.corners.length === 2
        ? [shape.corners]
        : [],
    );
    // the middle one of five; the disk stands along x
    const [a, b] = teeth[2]!;
    expect(Math.abs((b!.y - a!.y) / (b!.x - a!.x))).toBeLessThan(0.001);
  },
);

test('over 45° the arbor lies along: the teeth of a right-hand gear then stand across the travel', () => {
  const { shapes } = swingPrint(
    { hand: 'right', helixDeg: 60, rightEnd: 'towards', swingDeg: 30, arborAlong: true },
    80,
  );
  const [a, b] = shapes.flatMap((shape) =>
    shape.kind === 'path' && shape.line === 'thin' && !shape.closed && shape.corners.length === 2
      ? [shape.corners]
      : [],
  )[2]!;
  expect(Math.abs((b!.x - a!.x) / (b!.y - a!.y))).toBeLessThan(0.001);
});

test('a made plate at life size: holes where the table has them, and 100 mm to check the print by', () => {
  const drilling = Array.from({ length: 7 }, (_, hole) => ({
    hole,
    x: 40 * Math.sin((2 * Math.PI * hole) / 7),
    y: 40 * Math.cos((2 * Math.PI * hole) / 7),
  }));
  const plate = { use: 'ring', holes: 7, pitchCircle: 80, holeSize: 5, drilling } as never;
  const { shapes } = madePlatePrint(plate, true);
  const holes = shapes.filter((shape) => shape.kind === 'circle' && shape.radius === 2.5);
  expect(holes.map((shape) => 'at' in shape && shape.at)).toEqual(drilling.map(({ x, y }) => ({ x, y })));
  const [bar] = shapes.filter((shape) => shape.line === 'check');
  expect(bar!.kind === 'path' && bar!.corners[1]!.x - bar!.corners[0]!.x).toBe(100);
});
