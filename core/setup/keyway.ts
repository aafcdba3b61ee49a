/** How a keyway is cut wider than its cutter, and what to read. mm */
export interface Keyway {
  /** To either side of the middle. */
  readonly offset: number;
  readonly passes: 1 | 2;
  /** Rises of the arc at the bore or shaft under the key's width, added to the depth from its top. */
  readonly rise: number | null;
  readonly depth: number | null;
}

/**
 * A keyway by a narrower cutter: a cut to either side of the middle, (b − w)/2 off it. Wider than two cutters
 * leaves a rib.
 * @param width b @param cutter w, b/2 ≤ w ≤ b @param diameter of bore or shaft; the depth is from the key's
 * corner Source: geometry; common practice
 */
export function keywayOf({
  width,
  cutter,
  depth,
  diameter,
}: {
  readonly width: number;
  readonly cutter: number;
  readonly depth: number | null;
  readonly diameter: number | null;
}): Keyway {
  const offset = (width - cutter) / 2;
  const r = diameter === null ? null : diameter / 2;
  const rise = r === null || width / 2 >= r ? null : r - Math.sqrt(r * r - (width * width) / 4);
  return { offset, passes: offset > 1e-9 ? 2 : 1, rise, depth };
}
