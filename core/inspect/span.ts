import { involute } from '../involute/index.ts';

/** A gear as a span or pin measurement meets it: helix 0 for a spur gear. Angles radians, module normal, mm. */
export interface MeasuredGear {
  readonly teeth: number;
  readonly module: number;
  /** In the normal plane. */
  readonly pressureAngle: number;
  readonly helixAngle?: number;
}

/** Pressure angle in the plane of rotation. @returns radians */
export function transversePressureAngle(pressureAngle: number, helixAngle: number): number {
  return Math.atan(Math.tan(pressureAngle) / Math.cos(helixAngle));
}

/**
 * Span over k teeth, flanks touched at a tangent to the base circle.
 * @param k teeth between the jaws, whole, ≥ 1
 * @param thinning mm taken off the tooth along the pitch circle
 * @returns mm, unrounded
 * Source: ISO 21771, W_k = m_n·cos α_n·[π(k − ½) + z·inv α_t]; a thinner tooth reads less by thinning·cos α
 */
export function spanOver(k: number, gear: MeasuredGear, thinning = 0): number {
  const { teeth, module, pressureAngle, helixAngle = 0 } = gear;
  const turning = involute(transversePressureAngle(pressureAngle, helixAngle));
  return Math.cos(pressureAngle) * (module * (Math.PI * (k - 0.5) + teeth * turning) - thinning);
}

/**
 * Teeth to take between the jaws so that they touch near the middle of the flanks.
 * @returns whole, ≥ 2
 * Source: ISO 21771, k ≈ z·α/180° + ½
 */
export function usualSpan({ teeth, pressureAngle, helixAngle = 0 }: MeasuredGear): number {
  const shaped = teeth / Math.cos(helixAngle) ** 3;
  return Math.max(2, Math.min(teeth, Math.round((shaped * pressureAngle) / Math.PI + 0.5)));
}
