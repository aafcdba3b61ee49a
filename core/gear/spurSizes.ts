import { undercutBelow } from '../involute/index.ts';
import { deeperForThinning } from '../mesh/index.ts';
import { approx, exact, type Exact, type Pitch, radiansOf } from '../units/index.ts';
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
  /** Degrees; 0 for a spur gear, where both planes are one. */
  readonly helixDeg: Exact;
  readonly hand: 'right' | 'left';
  /** Taken off the tooth along the pitch circle, mm. */
  readonly thinning: Exact;
  /** Deeper than the rule, so that the teeth come out that much thinner, mm. */
  readonly sink: Exact;
  /** Whole depth and sink: what is cut below a blank of nominal size, mm. */
  readonly cutDepth: Exact;
  /** In the plane of rotation: what a drawing and a mesh need. */
  readonly transverse: { readonly pressureAngle: number; readonly toothThickness: number };
  readonly pitchDiameter: Exact;
  readonly tipDiameter: Exact;
  readonly rootDiameter: Exact;
  readonly clearance: Exact;
  readonly baseDiameter: number;
  readonly circularPitch: number;
  /** On the pitch circle, along the arc. */
  readonly toothThickness: number;
}

/** What may differ from a plain spur gear of nominal teeth. */
export interface ToothVariation {
  readonly helixDeg: Exact;
  readonly hand: 'right' | 'left';
  readonly thinning: Exact;
  /** The count the cutter is made for: how much deeper it must go for the thinning depends on it. */
  readonly cutterTeeth: number;
}
const PLAIN: ToothVariation = {
  helixDeg: exact(0),
  hand: 'right',
  thinning: exact(0),
  cutterTeeth: Infinity,
};

/** A float as an exact figure of a millionth of a millimetre: what a cosine gives has no other. */
const toExact = (value: number): Exact => exact(value.toFixed(6));

/**
 * Sizes of a spur or helical gear.
 * @param teeth whole, ≥ 4
 * @param pressureAngleDeg exact degrees, > 0 and < 45
 * @param depth addendum and whole depth, mm
 * @param variation helix, thinning; a helical gear's pitch is normal
 * @returns mm, unrounded; diameters of a helical gear to a millionth
 * Source: ISO 21771 (d = z·m/cos β, da = d + 2ha, df = da − 2h, db = d·cos α, p = π·m, s = p/2);
 * docs/sources.md#sizes
 */
export function spurSizes({
  teeth,
  pitch,
  pressureAngleDeg,
  depth,
  variation = PLAIN,
}: {
  readonly teeth: number;
  readonly pitch: Pitch;
  readonly pressureAngleDeg: Exact;
  readonly depth: ToothDepth;
  readonly variation?: ToothVariation | undefined;
}): SpurSizes {
  const { module } = pitch;
  const { helixDeg, hand, thinning, cutterTeeth } = variation;
  const cos = Math.cos(radiansOf(approx(helixDeg)));
  const straight = helixDeg.equals(0);
  const pitchDiameter = straight ? module.mul(teeth) : toExact((approx(module) * teeth) / cos);
  const tipDiameter = pitchDiameter.add(depth.addendum.mul(2));
  const pressureAngle = radiansOf(approx(pressureAngleDeg));
  const circularPitch = Math.PI * approx(module);
  const sink = thinning.equals(0)
    ? exact(0)
    : toExact(deeperForThinning(approx(thinning), pressureAngle, cutterTeeth));
  const cutDepth = depth.wholeDepth.add(sink);
  const toothThickness = circularPitch / 2 - approx(thinning);
  const turning = straight ? pressureAngle : Math.atan(Math.tan(pressureAngle) / cos);
  return {
    teeth,
    pitch,
    module,
    pressureAngleDeg,
    pressureAngle,
    depth,
    helixDeg,
    hand,
    thinning,
    sink,
    cutDepth,
    transverse: { pressureAngle: turning, toothThickness: toothThickness / cos },
    pitchDiameter,
    tipDiameter,
    rootDiameter: tipDiameter.sub(cutDepth.mul(2)),
    clearance: depth.wholeDepth.sub(depth.addendum.mul(2)),
    baseDiameter: approx(pitchDiameter) * Math.cos(turning),
    circularPitch,
    toothThickness,
  };
}

/**
 * The count below which a mate that is generated undercuts: in the plane of rotation, where a helical gear
 * has the wider pitch and the blunter angle.
 */
export function undercutOf({ depth, module, helixDeg, transverse }: SpurSizes): number {
  const cos = Math.cos(radiansOf(approx(helixDeg)));
  return undercutBelow(approx(depth.addendum.div(module)) * cos, transverse.pressureAngle);
}
