import { radiansOf, degreesOf } from '../units/index.ts';
import type { DriveShape } from '../drive/index.ts';
import type { RimFacts } from './rim.ts';

/** Depth readings of the gash, mm. */
export interface Infeed {
  /** From a touch on the throat, or on a plain rim: the whole depth. */
  readonly fromThroat: number;
  /**
   * From the corners of the hollow, where a cutter touches first that is rounder than it or runs across; null
   * where it touches the throat, or is not known.
   */
  readonly fromCorners: number | null;
  /**
   * The throat above the root with the cutter's own roundness: how far the gash is deeper in the middle than
   * at the corners.
   */
  readonly rise: number | null;
}

/**
 * How far the cutter goes in. Plunged into a hollow rim it touches the two corners before the throat, unless
 * it is smaller than the hollow.
 * @param cutterDiameter mm, null where not known @param deeper for the throat as turned, mm
 * Source: by geometry of the disk at the lead angle
 */
export function infeedOf({
  drive,
  rim,
  school,
  cutterDiameter,
}: {
  readonly drive: DriveShape;
  readonly rim: RimFacts;
  readonly school: 'plunge' | 'traverse' | 'hob';
  readonly cutterDiameter: number | null;
}): Infeed {
  const { worm, addendum, wormDiameter, centre } = drive;
  const fromThroat = worm.depth + rim.deeper;
  // straight across, whatever its size, it meets the corners as they were turned, and its root lies where the
  // throat’s would
  if (rim.rim === 'throat' && school === 'traverse')
    return { fromThroat, fromCorners: worm.depth + (rim.corners - rim.throat) / 2, rise: null };
  if (rim.rim === 'plain' || cutterDiameter === null) return { fromThroat, fromCorners: null, rise: null };
  const radius = cutterDiameter / 2;
  const y = rim.hollow / 2;
  // along the cutter’s plane to the corner, and where the rim stands there
  const along = y / Math.cos(worm.leadAngle);
  const aside = y * Math.tan(worm.leadAngle);
  const corner = centre - Math.sqrt((rim.corners / 2) ** 2 - aside ** 2);
  const root = wormDiameter / 2 + worm.depth - addendum;
  if (along >= radius) return { fromThroat, fromCorners: null, rise: null };
  const rise = radius - Math.sqrt(radius ** 2 - along ** 2);
  const fromCorners = root - corner - rise;
  return { fromThroat, fromCorners: fromCorners > worm.depth ? fromCorners : null, rise };
}

/** A hob made like the worm, to finish a gashed wheel. Lengths mm, angles degrees. */
export interface HobData {
  readonly outside: number;
  readonly pitchDiameter: number;
  readonly depth: number;
  readonly flutes: number;
  /** Straight flutes serve, or they go square to the thread. */
  readonly straight: boolean;
  /** Lead of flutes square to the thread, and their hand. */
  readonly fluteLead: number;
  readonly fluteHand: 'right' | 'left';
  readonly fluteDepth: number;
  /** Fall of the relief from one flute to the next at the outside. */
  readonly relief: number;
  /** Least length: of the thread, that the wheel reaches over. */
  readonly length: number;
  /** Do flutes and starts share a factor? Then the same teeth cut the same spaces. */
  readonly shares: boolean;
}

/**
 * Up to this lead angle straight flutes cut fairly on both sides, degrees; relief angle of a hob's tip,
 * degrees. Common practice.
 */
export const STRAIGHT_FLUTES_DEG = 6;
const RELIEF_DEG = 10;

const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));

/**
 * The hob: the worm itself, tall enough to cut the wheel's clearance, fluted and relieved.
 * @param flutes whole, ≥ 2 @param engaged mm
 * Source: by geometry of the thread; relief and flutes: common practice
 */
export function hobOf(
  { worm, wormDiameter, addendum, starts, hand }: DriveShape,
  flutes: number,
  engaged: number,
): HobData {
  const dedendum = worm.depth - addendum;
  const outside = wormDiameter + 2 * dedendum;
  const relief = ((Math.PI * outside) / flutes) * Math.tan(radiansOf(RELIEF_DEG));
  const depth = 2 * dedendum;
  return {
    outside,
    pitchDiameter: wormDiameter,
    depth,
    flutes,
    straight: degreesOf(worm.leadAngle) <= STRAIGHT_FLUTES_DEG,
    fluteLead: (Math.PI * wormDiameter) / Math.tan(worm.leadAngle),
    fluteHand: hand === 'right' ? 'left' : 'right',
    fluteDepth: depth + relief + 0.5,
    relief,
    length: engaged + worm.axialPitch,
    shares: starts > 1 && common(flutes, starts) > 1,
  };
}
