import { involute } from '../involute/index.ts';
import type { MeasuredGear } from './span.ts';

/**
 * Angle whose involute function has this value, by Newton’s rule.
 * @param value ≥ 0 @returns radians
 */
export function angleOfInvolute(value: number): number {
  let angle = Math.cbrt(3 * value);
  for (let i = 0; i < 20; i += 1) {
    const tan = Math.tan(angle);
    const step = (tan - angle - value) / (tan * tan || 1);
    angle -= step;
    if (Math.abs(step) < 1e-14) break;
  }
  return angle;
}

/** The usual measuring pin. @param module mm @returns mm. Source: Machinery’s Handbook, pins of 1.728/P */
export const usualPin = (module: number): number => 1.728 * module;

/**
 * Measurement over two pins in opposite spaces of an external spur gear (in the nearest to opposite, when z is odd).
 * @param pin mm, > 0 @param thinning mm taken off the tooth along the pitch circle
 * @returns mm, unrounded
 * Source: Machinery’s Handbook, checking gear sizes by measurement over wires
 */
export function overPins(pin: number, { teeth, module, pressureAngle }: MeasuredGear, thinning = 0): number {
  const pitchDiameter = teeth * module;
  const at =
    involute(pressureAngle) +
    pin / (pitchDiameter * Math.cos(pressureAngle)) -
    Math.PI / (2 * teeth) -
    thinning / pitchDiameter;
  const across = (pitchDiameter * Math.cos(pressureAngle)) / Math.cos(angleOfInvolute(at));
  return (teeth % 2 === 0 ? across : across * Math.cos(Math.PI / (2 * teeth))) + pin;
}
