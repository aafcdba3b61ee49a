import { involute } from '../involute/index.ts';

/**
 * A gear as a span or pin measurement meets it: helix 0 for a spur gear. Angles radians, module normal, mm.
 */
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

/** Angle of the teeth on the base cylinder. @returns radians; sin βb = sin β · cos αn, ISO 21771 */
export const baseHelix = ({ pressureAngle, helixAngle = 0 }: MeasuredGear): number =>
  Math.asin(Math.sin(helixAngle) * Math.cos(pressureAngle));

/**
 * Teeth to take between the jaws so that they touch at the pitch circle.
 * @returns whole, ≥ 2
 * Source: ISO 21771, k = z/π·(tan α_t/cos²β_b − inv α_t) + ½; for straight teeth z·α/180° + ½
 */
export function usualSpan(gear: MeasuredGear): number {
  const { teeth, pressureAngle, helixAngle = 0 } = gear;
  const turning = transversePressureAngle(pressureAngle, helixAngle);
  const touching = Math.tan(turning) / Math.cos(baseHelix(gear)) ** 2 - involute(turning);
  return Math.max(2, Math.min(teeth, Math.round((teeth * touching) / Math.PI + 0.5)));
}

/** Where jaws lie on a gear: how far from its axis they touch, and how much of the face they need, mm. */
export function jawsOn(span: number, gear: MeasuredGear): { readonly touch: number; readonly face: number } {
  const { teeth, module, pressureAngle, helixAngle = 0 } = gear;
  const turning = transversePressureAngle(pressureAngle, helixAngle);
  const base = (teeth * module * Math.cos(turning)) / Math.cos(helixAngle) / 2;
  const leans = baseHelix(gear);
  return { touch: Math.hypot(base, (span / 2) * Math.cos(leans)), face: span * Math.sin(leans) };
}

/** Between which radii the flanks are good for a jaw, and how wide the face is, mm; null where not known. */
export interface Flanks {
  readonly from: number;
  readonly to: number;
  readonly face: number | null;
}

/**
 * The span to measure: the usual one, or over fewer teeth where that would run off the flanks or the face.
 * @returns the teeth, and why none can be measured; then the teeth are the usual ones
 */
export function spanToMeasure(
  gear: MeasuredGear,
  flanks: Flanks,
  thinning: number,
): { readonly teeth: number; readonly out: 'face-narrow' | 'jaws-off' | null } {
  const usual = usualSpan(gear);
  let onFlanks = false;
  for (let teeth = usual; teeth >= 2; teeth -= 1) {
    const { touch, face } = jawsOn(spanOver(teeth, gear, thinning), gear);
    if (touch > flanks.to || touch < flanks.from) continue;
    onFlanks = true;
    if (flanks.face === null || face <= flanks.face) return { teeth, out: null };
  }
  return { teeth: usual, out: onFlanks ? 'face-narrow' : 'jaws-off' };
}
