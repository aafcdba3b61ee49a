import { describe, expect, test } from '@jest/globals';
import { angleOfInvolute, chordalTooth, overPins, spanOver, usualPin, usualSpan } from './index.ts';

const rad = (degrees: number) => (degrees * Math.PI) / 180;

// Source: Machinery's Handbook, chordal thicknesses and chordal addenda of gear teeth of 1 diametral pitch
test.each([
  [12, 1.5663, 1.0513],
  [20, 1.5692, 1.0308],
  [30, 1.5701, 1.0206],
  [50, 1.5705, 1.0123],
])('1 P, %d teeth: chordal thickness %d at %d', (teeth, thickness, addendum) => {
  const found = chordalTooth(teeth, 1, Math.PI / 2);
  expect(found.thickness).toBeCloseTo(thickness, 4);
  expect(found.addendum).toBeCloseTo(addendum, 4);
});

// Source: Machinery's Handbook, measurements over wires of 1.728 in, 1 diametral pitch
test.each([
  [20, 12, 14.3578],
  [20, 20, 22.39],
  [20, 40, 42.4217],
  [14.5, 12, 14.359],
  [14.5, 20, 22.4087],
  [14.5, 40, 42.4638],
])('1 P at %d°, %d teeth: %d over pins', (angle, teeth, over) => {
  expect(overPins(usualPin(1), { teeth, module: 1, pressureAngle: rad(angle) })).toBeCloseTo(over, 4);
});

describe('span', () => {
  const gear = { teeth: 30, module: 2, pressureAngle: rad(20) };
  test('one tooth more is one base pitch more', () => {
    const base = Math.PI * 2 * Math.cos(rad(20));
    expect(spanOver(5, gear) - spanOver(4, gear)).toBeCloseTo(base, 12);
  });
  test('touches the flanks near the pitch circle', () => {
    // witness by geometry: the jaws touch at √(rb² + (W/2)²)
    for (const teeth of [18, 30, 58, 127]) {
      const one = { ...gear, teeth };
      const touch = Math.hypot(teeth * Math.cos(rad(20)), spanOver(usualSpan(one), one) / 2);
      expect(touch).toBeGreaterThan(teeth - 2);
      expect(touch).toBeLessThan(teeth + 2);
    }
  });
  test('the thickness on the base circle and k − 1 base pitches make the span', () => {
    // s_b = d_b (s/d + inv α)
    const db = 60 * Math.cos(rad(20));
    const inv = Math.tan(rad(20)) - rad(20);
    const base = Math.PI * 2 * Math.cos(rad(20));
    expect(spanOver(4, gear, 0.1)).toBeCloseTo(db * ((Math.PI - 0.1) / 60 + inv) + 3 * base, 10);
  });
});

test('the angle of an involute value turns it back', () => {
  for (const degrees of [1, 10, 14.5, 20, 30, 45])
    expect(angleOfInvolute(Math.tan(rad(degrees)) - rad(degrees))).toBeCloseTo(rad(degrees), 10);
});
