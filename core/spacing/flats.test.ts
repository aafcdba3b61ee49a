import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { newDivideJob } from '../job/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { exact, measure } from '../units/index.ts';
import { placeOnCircle, planSpacing, type SpacingInput } from './index.ts';

const empty = newDivideJob({ id: 'j', name: 'Flats', units: 'mm', shop: STOCK_EQUIPMENT }).parts[0]!;
const flats = (count: string, stock: string, across: string, depth = ''): ReturnType<typeof planSpacing> => {
  const spacing = (empty as { spacing: SpacingInput }).spacing;
  return planSpacing({
    input: {
      ...spacing,
      what: 'flats',
      count: measure(count, 'count'),
      diameter: measure(stock, 'mm'),
      acrossFlats: measure(across, 'mm'),
      depth: measure(depth, 'mm'),
    },
    path: 'parts.p1.spacing',
    units: 'mm',
  });
};
const value = (work: ReturnType<typeof planSpacing>, key: string) => {
  const found = work.values.find((one) => one.key === key);
  return found?.kind === 'length' ? found.mm : undefined;
};
const said = (work: ReturnType<typeof planSpacing>) => work.issues.map(sayIssue).join(' ');

describe('flats on a bar', () => {
  // a hexagon of 17 across flats has corners at 17/cos 30° = 19.630; on 20 mm stock a strip of the round
  // stays
  test('six flats: depth, largest with sharp corners', () => {
    const six = flats('6', '20', '17.5');
    expect(value(six, 'depth')).toBeCloseTo(1.25, 9);
    expect(value(six, 'fullCorners')).toBeCloseTo(17.3205, 4);
    expect(value(six, 'gauge')).toBeUndefined();
    expect(said(six)).toBe('');
    expect(said(flats('6', '20', '17'))).toMatch(
      /Below 17.32 mm the flats meet inside the round: the corners come out at Ø 19.63 mm/,
    );
  });

  // gauge by construction: from the flat through the centre to the corner, AF/2 + D/2 with full corners
  test('seven flats: no opposite flat; gauged flat to corner as D(1 + cos(180°/n))/2 when corners are full', () => {
    const D = 30;
    const full = D * Math.cos(Math.PI / 7);
    expect(value(flats('7', '30', full.toFixed(6)), 'gauge')).toBeCloseTo(
      (D * (1 + Math.cos(Math.PI / 7))) / 2,
      4,
    );
    expect(value(flats('7', '30', '28'), 'gauge')).toBeCloseTo(14 + 15, 6);
    // the line that works it out: 28/2 + 30/2, and 20/2 + 20/(2 cos (180°/7)) = 10 + 11.0992 where flats meet
    const gauge = (work: ReturnType<typeof flats>) => {
      const line = work.working.find(({ key }) => key === 'gauge');
      return line && [line.put, line.result];
    };
    expect(gauge(flats('7', '30', '28'))).toEqual(['\\frac{28}{2} + \\frac{30}{2}', '29\\ \\mathrm{mm}']);
    expect(gauge(flats('7', '30', '20'))).toEqual([
      '\\frac{20}{2} + \\frac{20}{2\\cos\\frac{180^\\circ}{7}}',
      '21.0992\\ \\mathrm{mm}',
    ]);
    expect(gauge(flats('6', '20', '17.5'))).toBeUndefined();
    expect(said(flats('7', '30', '28'))).toMatch(/7 is odd: no flat lies opposite another/);
  });

  test('two flats, a depth instead of across flats, both at odds, more than the stock', () => {
    expect(value(flats('2', '20', '15'), 'depth')).toBe(2.5);
    expect(value(flats('4', '20', '', '2'), 'acrossFlats')).toBe(16);
    expect(said(flats('4', '20', '16', '3'))).toMatch(
      /A depth of 3 is not what across flats asks for, 2.000 mm/,
    );
    expect(said(flats('4', '20', '21'))).toBe(
      '21 does not go on stock of 20.00 mm: a flat lies inside the round, and not past its centre.',
    );
    expect(flats('4', '20', '21').facts).toBeNull();
  });
});

test('places on a circle for a readout: four holes on 50 mm, the first straight up, then clockwise', () => {
  const places = [0, 1, 2, 3].map((k) => placeOnCircle(exact(360 * k, 4), 50));
  expect(places).toEqual([
    { x: 0, y: 25 },
    { x: 25, y: 0 },
    { x: 0, y: -25 },
    { x: -25, y: 0 },
  ]);
  // seven of them: every neighbour one chord away, 50 · sin(180°/7)
  const seven = Array.from({ length: 7 }, (_, k) => placeOnCircle(exact(360 * k, 7), 50));
  for (const [k, { x, y }] of seven.entries()) {
    const next = seven[(k + 1) % 7]!;
    expect(Math.hypot(next.x - x, next.y - y)).toBeCloseTo(50 * Math.sin(Math.PI / 7), 2);
  }
});
