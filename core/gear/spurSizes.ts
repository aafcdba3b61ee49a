import { approx, type Exact, type Pitch } from '../units/index.ts';
import type { ToothDepth } from './depth.ts';

/** Everything about a spur gear that follows from its drawing. Lengths mm; exact where arithmetic allows. */
export interface SpurSizes {
  readonly teeth: number;
  readonly pitch: Pitch;
  /** mm */
  readonly module: Exact;
  /** Pressure angle in degrees, exact, and in radians. */
  readonly pressureAngleDeg: Exact;
  readonly pressureAngle: number;
  readonly depth: ToothDepth;
  readonly pitchDiameter: Exact;
  readonly tipDiameter: Exact;
  readonly rootDiameter: Exact;
  readonly clearance: Exact;
  readonly baseDiameter: number;
  readonly circularPitch: number;
  /** On the pitch circle, along the arc. */
  readonly toothThickness: number;
}

/**
 * Sizes of a spur gear with teeth of nominal thickness.
 * @param teeth whole, ≥ 4
 * @param pressureAngleDeg exact degrees, > 0 and < 45
 * @param depth addendum and whole depth, mm
 * @returns mm, unrounded
 * Source: ISO 21771 (d = z·m, da = d + 2ha, df = da − 2h, db = d·cos α, p = π·m, s = p/2); docs/sources.md#sizes
 */
export function spurSizes(
  teeth: number,
  pitch: Pitch,
  pressureAngleDeg: Exact,
  depth: ToothDepth,
): SpurSizes {
  const { module } = pitch;
  const pitchDiameter = module.mul(teeth);
  const tipDiameter = pitchDiameter.add(depth.addendum.mul(2));
  const pressureAngle = (approx(pressureAngleDeg) * Math.PI) / 180;
  const circularPitch = Math.PI * approx(module);
  return {
    teeth,
    pitch,
    module,
    pressureAngleDeg,
    pressureAngle,
    depth,
    pitchDiameter,
    tipDiameter,
    rootDiameter: tipDiameter.sub(depth.wholeDepth.mul(2)),
    clearance: depth.wholeDepth.sub(depth.addendum.mul(2)),
    baseDiameter: approx(pitchDiameter) * Math.cos(pressureAngle),
    circularPitch,
    toothThickness: circularPitch / 2,
  };
}

/**
 * Tooth count below which a generated mate undercuts: 2·(ha/m)/sin²α.
 * @returns unrounded: 17.1 at 20°, 31.9 at 14½° for a full-depth tooth
 * Source: Machinery’s Handbook, undercut of involute teeth
 */
export function undercutLimit(addendum: Exact, module: Exact, pressureAngle: number): number {
  return (2 * approx(addendum.div(module))) / Math.sin(pressureAngle) ** 2;
}
