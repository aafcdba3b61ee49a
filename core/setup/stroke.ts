import { radiansOf } from '../units/index.ts';
import { approachAlong } from '../lead/index.ts';

/** Kept between cutter and work where it is said to be clear, mm. */
export const CLEAR_BY = 2;

export interface Cutting {
  /** mm, 0 < depth ≤ half the cutter */
  readonly depth: number;
  readonly cutterDiameter: number;
  readonly cutterWidth: number;
  /** All faces together with what is parted between them, mm. */
  readonly face: number;
  readonly helixDeg: number;
}

/**
 * Where the table stands, in mm from the first touch of cutter and work: there is zero, and it counts the way
 * it is fed.
 */
export interface Stroke {
  /** From first touch to where the cutter's middle stands over the face. */
  readonly approach: number;
  /** The whole face is at depth. */
  readonly through: number;
  /** The cutter is clear on the far side. */
  readonly clearAfter: number;
  /** Travel for one space, indexed where it enters or where it leaves. */
  readonly travel: { readonly entry: number; readonly exit: number };
}

/**
 * Travel of the cutter's middle before it is over the face, measured along the work.
 * @returns mm: half the chord of the cutter at that depth
 * Source: √(h(D − h)), from a circle; along a helix ≈ √(h(D − h))·cos β + (w/2)·sin β. Checked against a
 * drawn disk.
 */
export function approachOf({ depth, cutterDiameter, cutterWidth, helixDeg }: Omit<Cutting, 'face'>): number {
  return approachAlong({ depth, cutterDiameter, cutterWidth, helixAngle: radiansOf(helixDeg) });
}

/** How far the cutter's middle goes past the face before its trailing corner is through. */
export const lagOf = ({ cutterWidth, helixDeg }: Pick<Cutting, 'cutterWidth' | 'helixDeg'>): number =>
  (cutterWidth / 2) * Math.sin(radiansOf(helixDeg));

/** Where the cutter touches, is through and is clear; and the travel of each space. */
export function strokeOf(cutting: Cutting): Stroke {
  const approach = approachOf(cutting);
  const through = approach + cutting.face + lagOf(cutting);
  const clearAfter = 2 * approach + cutting.face;
  return {
    approach,
    through,
    clearAfter,
    travel: { entry: through + CLEAR_BY, exit: clearAfter + 2 * CLEAR_BY },
  };
}
