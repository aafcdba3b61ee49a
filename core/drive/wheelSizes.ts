/** A worm wheel and its place. Lengths mm, angles radians. */
export interface WheelSizes {
  readonly pitchDiameter: number;
  /** Where the rim is smallest, in the middle of its face. */
  readonly throatDiameter: number;
  /** Of the hollow the worm lies in, at the tips. */
  readonly throatRadius: number;
  /** At the corners of the rim, for the face angle given. */
  readonly outsideDiameter: number;
  /** Width of the rim at its corners. */
  readonly faceWidth: number;
  readonly centre: number;
  /** Turns of the worm for one of the wheel. */
  readonly ratio: number;
}

/**
 * Angle of the rim about the worm, radians: commercial wheels relieve their corners to about this. Common
 * practice.
 */
export const USUAL_FACE_ANGLE = Math.PI / 3;

/**
 * Sizes of a wheel that lies about its worm.
 * @param teeth whole @param axialModule mm, of the worm @param wormDiameter pitch diameter, mm @param
 * addendum mm
 * @param faceAngle of the rim about the worm's axis, radians
 * Source: d2 = z2·m, throat d2 + 2·ha, a = (d1 + d2)/2: Machinery’s Handbook, worm gearing; corners by
 * geometry
 */
export function wheelSizes(
  teeth: number,
  starts: number,
  {
    axialModule,
    wormDiameter,
    addendum,
    faceAngle = USUAL_FACE_ANGLE,
  }: {
    readonly axialModule: number;
    readonly wormDiameter: number;
    readonly addendum: number;
    readonly faceAngle?: number;
  },
): WheelSizes {
  const pitchDiameter = teeth * axialModule;
  const centre = (wormDiameter + pitchDiameter) / 2;
  const throatRadius = wormDiameter / 2 - addendum;
  return {
    pitchDiameter,
    throatDiameter: pitchDiameter + 2 * addendum,
    throatRadius,
    outsideDiameter: 2 * (centre - throatRadius * Math.cos(faceAngle / 2)),
    faceWidth: 2 * throatRadius * Math.sin(faceAngle / 2),
    centre,
    ratio: teeth / starts,
  };
}

/**
 * Count the wheel's cutter is chosen by: its own for a single start, z2/cos³γ for several.
 * Source: Machinery’s Handbook, worm wheels by formed cutters; common practice
 */
export const wheelCutAs = (teeth: number, starts: number, leadAngle: number): number =>
  starts === 1 ? teeth : teeth / Math.cos(leadAngle) ** 3;
