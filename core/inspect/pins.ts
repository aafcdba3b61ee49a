import { involute } from '../involute/index.ts';
import { transversePressureAngle, type MeasuredGear } from './span.ts';

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

/**
 * The usual measuring pin. @param module mm, normal @returns mm. Source: Machinery’s Handbook, pins of
 * 1.728/P
 */
export const usualPin = (module: number): number => 1.728 * module;

/**
 * Diameter of the circle that the middles of pins in the spaces stand on.
 * @param pin mm, > 0 @param thinning mm taken off the tooth along the pitch circle, in the normal plane
 * @returns mm; NaN where the pin sinks below the base circle
 */
export function pinCircle(pin: number, gear: MeasuredGear, thinning = 0): number {
  const { teeth, module, pressureAngle, helixAngle = 0 } = gear;
  const turning = transversePressureAngle(pressureAngle, helixAngle);
  const at =
    involute(turning) +
    pin / (teeth * module * Math.cos(pressureAngle)) -
    Math.PI / (2 * teeth) -
    thinning / (teeth * module);
  if (at < 0) return NaN;
  const base = (teeth * module * Math.cos(turning)) / Math.cos(helixAngle);
  return base / Math.cos(angleOfInvolute(at));
}

/**
 * Measurement over two pins in opposite spaces of an external gear (in the nearest to opposite, when z is
 * odd); over balls on a helical one.
 * @param pin mm, > 0 @param thinning mm taken off the tooth along the pitch circle, in the normal plane
 * @returns mm, unrounded; NaN where the pin sinks below the base circle
 * Source: Machinery’s Handbook, checking gear sizes by measurement over wires; with α_t, m_n and cos α_n for
 * a helix
 */
export function overPins(pin: number, gear: MeasuredGear, thinning = 0): number {
  const across = pinCircle(pin, gear, thinning);
  return (gear.teeth % 2 === 0 ? across : across * Math.cos(Math.PI / (2 * gear.teeth))) + pin;
}
