/** What a keyway is cut in: the bore of a gear, from inside, or a shaft, from outside. */
export interface KeyedRound {
  readonly of: 'bore' | 'shaft';
  /** mm */
  readonly diameter: number;
}

/** How a keyway is cut wider than its cutter, and what to read. mm */
export interface Keyway {
  /** To either side of the middle. */
  readonly offset: number;
  readonly passes: 1 | 2;
  /** Null where the round is not known. */
  readonly of: KeyedRound['of'] | null;
  /**
   * How far the tool has to go more than the depth at the key's side, from where it first touches in the
   * middle: into a shaft more, into a bore less. 0 where the round is not known.
   */
  readonly more: number;
  /** At the side of the key. */
  readonly depth: number | null;
  /** From the touch in the middle. */
  readonly travel: number | null;
}

/** How far a round falls away from its top over a width about the middle; all of it where it is as wide. */
const fallsBy = (diameter: number, width: number): number =>
  diameter / 2 - Math.sqrt(Math.max(0, diameter ** 2 - width ** 2)) / 2;

/**
 * A keyway by a narrower cutter: a cut to either side of the middle, (b − w)/2 off it. Wider than two cutters
 * leaves a rib. Its depth counts from where its sides leave the round: a flat tool touches a shaft at its
 * top, which stands higher; a bore it touches with both its corners, which lie deeper than the sides of a
 * wider key.
 * ```text
 *    shaft   ___            bore  |      |  ← sides of the key
 *         ,-'   '-.  touch at      '-.||.-'
 *        |b|     |b| the top          touch: corners of the tool
 * ```
 * @param width b @param cutter w, b/2 ≤ w ≤ b @param depth at the side of the key
 * Source: geometry; common practice
 */
export function keywayOf({
  width,
  cutter,
  depth,
  round,
}: {
  readonly width: number;
  readonly cutter: number;
  readonly depth: number | null;
  readonly round: KeyedRound | null;
}): Keyway {
  const offset = (width - cutter) / 2;
  const fall = round === null ? 0 : fallsBy(round.diameter, width);
  const more = round === null ? 0 : round.of === 'shaft' ? fall : fallsBy(round.diameter, cutter) - fall;
  return {
    offset,
    passes: offset > 1e-9 ? 2 : 1,
    of: round?.of ?? null,
    more,
    depth,
    travel: depth === null ? null : depth + more,
  };
}
