import { describe, expect, test } from '@jest/globals';
import { involute, toothHalfAngle, type GearDrawing } from './index.ts';

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
