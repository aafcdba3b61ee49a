/** Two helical gears on shafts that cross without meeting. Angles in radians, lengths in mm. */
export interface CrossedPair {
  readonly normalModule: number;
  readonly teeth: readonly [number, number];
  /** Helix angles, ≥ 0, and which way each leans. */
  readonly helixAngles: readonly [number, number];
  readonly hands: readonly ['right' | 'left', 'right' | 'left'];
}

export interface CrossedReport {
  /** Of the shafts, radians, ≥ 0. */
  readonly shaftAngle: number;
  readonly pitchDiameters: readonly [number, number];
  readonly centre: number;
  /** Turns of the first for one of the second: by teeth, not by diameters. */
  readonly ratio: number;
  /** Speed at which the teeth slide along each other, as a part of the first gear’s pitch-line speed. */
  readonly sliding: number;
}

const diameter = (normalModule: number, teeth: number, angle: number) =>
  (normalModule * teeth) / Math.cos(angle);

/**
 * How a crossed pair runs.
 * Source: Machinery’s Handbook, helical gears on shafts at an angle: Σ = β1 + β2 for one hand, β1 − β2 for
 * opposite hands
 */
export function crossedPair({ normalModule, teeth, helixAngles, hands }: CrossedPair): CrossedReport {
  const [one, two] = helixAngles;
  const shaftAngle = hands[0] === hands[1] ? one + two : Math.abs(one - two);
  const pitchDiameters = [
    diameter(normalModule, teeth[0], one),
    diameter(normalModule, teeth[1], two),
  ] as const;
  return {
    shaftAngle,
    pitchDiameters,
    centre: (pitchDiameters[0] + pitchDiameters[1]) / 2,
    ratio: teeth[1] / teeth[0],
    // both have the same speed across the teeth; along them they differ
    sliding: Math.sin(shaftAngle) / Math.cos(two),
  };
}

/**
 * The mate of a gear whose shafts cross at an angle: its own angle and hand. Σ under β1 asks for the opposite
 * hand.
 */
export function mateOnCrossedShafts(
  helixAngle: number,
  hand: 'right' | 'left',
  shaftAngle: number,
): { readonly helixAngle: number; readonly hand: 'right' | 'left' } {
  const rest = shaftAngle - helixAngle;
  const other = hand === 'right' ? 'left' : 'right';
  return { helixAngle: Math.abs(rest), hand: rest < 0 ? other : hand };
}

const STEPS = 400;

/**
 * Helix angles of the first gear at which a crossed pair of one hand has a wanted centre distance; β2 = Σ −
 * β1.
 * @param shaftAngle radians @param centre mm
 * @returns none, one or two, the one nearer to half the shaft angle first; and the least centre distance
 * there is
 */
export function crossedForCentre({
  normalModule,
  teeth,
  shaftAngle,
  centre,
}: {
  readonly normalModule: number;
  readonly teeth: readonly [number, number];
  readonly shaftAngle: number;
  readonly centre: number;
}): { readonly angles: readonly number[]; readonly least: number } {
  const [from, to] = [Math.max(0, shaftAngle - Math.PI / 2 + 1e-4), Math.min(shaftAngle, Math.PI / 2 - 1e-4)];
  const distance = (angle: number) =>
    (diameter(normalModule, teeth[0], angle) + diameter(normalModule, teeth[1], shaftAngle - angle)) / 2;
  const at = (i: number) => from + ((to - from) * i) / STEPS;
  const angles: number[] = [];
  let least = Infinity;
  for (let i = 0; i < STEPS; i += 1) {
    let [low, high] = [at(i), at(i + 1)];
    least = Math.min(least, distance(low), distance(high));
    const rises = distance(high) >= centre;
    if (distance(low) >= centre === rises) continue;
    for (let halving = 0; halving < 60; halving += 1) {
      const middle = (low + high) / 2;
      if (distance(middle) >= centre === rises) high = middle;
      else low = middle;
    }
    angles.push((low + high) / 2);
  }
  const away = (angle: number) => Math.abs(angle - shaftAngle / 2);
  return { angles: angles.sort((a, b) => away(a) - away(b)), least };
}
