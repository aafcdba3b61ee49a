import { radiansOf } from '../units/index.ts';
/** How the table is set for a helix, seen from above. */
export interface TableSwing {
  /** Which way the table’s right end goes. */
  readonly rightEnd: 'away' | 'towards';
  /** Degrees on the table’s own scale. */
  readonly degrees: number;
  /**
   * Over 45° the table does not swing so far: the arbor is held along the table, and the rest is swung the
   * other way.
   */
  readonly arborAlong: boolean;
}

/**
 * Right-hand helix: push the table’s right end away; left-hand: pull it.
 * @param helixDeg degrees, 0 to 90
 * Source: common practice; by geometry, the helix at the top of the work must lie along the cutter’s plane
 * (test)
 */
export function tableSwing(hand: 'right' | 'left', helixDeg: number): TableSwing {
  const arborAlong = helixDeg > 45;
  const own = hand === 'right' ? 'away' : 'towards';
  const other = hand === 'right' ? 'towards' : 'away';
  return { rightEnd: arborAlong ? other : own, degrees: arborAlong ? 90 - helixDeg : helixDeg, arborAlong };
}

/**
 * How far before the end face the cutter begins to cut, along the work.
 * @param depth mm @param cutterDiameter mm @param cutterWidth mm @param helixAngle radians
 * Source: common practice, √(h(Dc − h))·cos β + (w/2)·sin β; checked by a cutter’s outline in the test
 */
export function approachAlong({
  depth,
  cutterDiameter,
  cutterWidth,
  helixAngle,
}: {
  readonly depth: number;
  readonly cutterDiameter: number;
  readonly cutterWidth: number;
  readonly helixAngle: number;
}): number {
  const chord = Math.sqrt(Math.max(0, depth * (cutterDiameter - depth)));
  return chord * Math.cos(helixAngle) + (cutterWidth / 2) * Math.sin(helixAngle);
}

/**
 * How a head is tilted for a helix, its cutter on a stub arbor beside the work, seen from where the mill is
 * run.
 */
export interface HeadTilt {
  /** Which way the head's top goes. */
  readonly top: 'right' | 'left';
  readonly degrees: number;
}

/**
 * On the side of the work near the operator a right-hand tooth falls to the right, so the head's top goes to
 * the right; on the far side, or for the other hand, the other way.
 * @param helixDeg degrees
 * Source: by geometry, the helix at the side of the work must lie in the cutter’s plane (test)
 */
export function headTilt(hand: 'right' | 'left', helixDeg: number, side: 'near' | 'far'): HeadTilt {
  return { top: (hand === 'right') === (side === 'near') ? 'right' : 'left', degrees: helixDeg };
}

/**
 * What a scale can be set to, nearest to an angle. @param minutes that the scale reads to @returns degrees
 */
export const onScale = (degrees: number, minutes: number): number =>
  (Math.round((degrees * 60) / minutes) * minutes) / 60;

/**
 * What a scale’s nearest mark leaves of an angle. @param over length of the cut, mm @returns degrees; how far
 * it leans over that length, µm
 */
export function settingOf(
  degrees: number,
  minutes: number,
  over: number,
): { readonly degrees: number; readonly off: number; readonly lean: number } {
  const scale = onScale(degrees, minutes);
  const off = scale - degrees;
  return { degrees: scale, off, lean: over * 1000 * Math.tan(radiansOf(Math.abs(off))) };
}

/**
 * How much wider a space gets at its mouth when the cutter stands beside the helix by a small angle: the
 * length of cutter in the work, times that angle. An upper bound: the disk is widest there only at the top of
 * the work.
 * @param offDegrees degrees @returns mm
 * Source: by geometry
 */
export function widerBySetting(depth: number, cutterDiameter: number, offDegrees: number): number {
  const chord = 2 * Math.sqrt(Math.max(0, depth * (cutterDiameter - depth)));
  return chord * Math.tan(radiansOf(Math.abs(offDegrees)));
}

/**
 * How far a swung table's corner reaches from the pivot towards the column. @param degrees of swing @returns
 * mm
 */
export function cornerReach(length: number, width: number, degrees: number): number {
  const angle = radiansOf(degrees);
  return (length / 2) * Math.sin(angle) + (width / 2) * Math.cos(angle);
}

/** What a line scribed along the work over its face must show, before anything is cut. */
export interface TestLine {
  /** Degrees the spindle turns. */
  readonly spindleDeg: number;
  /** How far the line has gone round the outside at the other end, mm. */
  readonly round: number;
  /** Seen from above, going to the right along the work, where the line goes. */
  readonly leans: 'towards' | 'away';
}

/**
 * @param lead as cut, mm @param face mm @param tipDiameter mm
 * Source: geometry of the helix (test): on top of the work a right-hand line comes towards the operator as it
 * goes right
 */
export const testLine = ({
  hand,
  lead,
  face,
  tipDiameter,
}: {
  readonly hand: 'right' | 'left';
  readonly lead: number;
  readonly face: number;
  readonly tipDiameter: number;
}): TestLine => ({
  spindleDeg: (360 * face) / lead,
  round: (Math.PI * tipDiameter * face) / lead,
  leans: hand === 'right' ? 'towards' : 'away',
});
