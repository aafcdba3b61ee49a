/** Where a tooth is measured with a gear-tooth caliper. Lengths mm. */
export interface Chordal {
  readonly thickness: number;
  /** From the top land down to where the thickness is measured. */
  readonly addendum: number;
}

/**
 * Chordal thickness and the chordal addendum it is measured at.
 * @param pitchDiameter mm, > 0 @param addendum mm @param toothThickness mm along the pitch circle, thinned or
 * not
 * @returns mm, unrounded
 * Source: chord and rise of the arc; Machinery’s Handbook, gear-tooth caliper settings
 */
export function chordalTooth(pitchDiameter: number, addendum: number, toothThickness: number): Chordal {
  const half = toothThickness / pitchDiameter;
  return {
    thickness: pitchDiameter * Math.sin(half),
    addendum: addendum + (pitchDiameter / 2) * (1 - Math.cos(half)),
  };
}
