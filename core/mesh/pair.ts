import { involute } from '../involute/index.ts';

/** A gear of a pair on parallel shafts. Lengths mm. */
export interface MeshingGear {
  readonly teeth: number;
  readonly addendum: number;
  readonly wholeDepth: number;
  /** Taken off the tooth along the pitch circle, mm; 0 for a tooth of nominal thickness. */
  readonly thinning: number;
}

export interface Pair {
  /** mm; in the plane of rotation */
  readonly module: number;
  /** radians; in the plane of rotation */
  readonly pressureAngle: number;
  readonly gears: readonly [MeshingGear, MeshingGear];
}

export interface MeshReport {
  /** Centre distance at which the pitch circles touch, mm. */
  readonly nominalCentre: number;
  /** The real centre distance, mm. */
  readonly centre: number;
  /** Radians; null when the base circles cannot be reached: too close to roll at all. */
  readonly operatingAngle: number | null;
  readonly contactRatio: number | null;
  /** Along the operating pitch circle, mm; negative: the teeth would have to be that much thinner. */
  readonly backlash: number | null;
  /**
   * Tip of one beyond the end of the other's involute, mm along the line of contact; 0 or less when none.
   * [first digs into second, second into first]
   */
  readonly tipInterference: readonly [number, number] | null;
  /** Tip of one to root of the other, mm; negative: it bottoms. [first's tip, second's tip] */
  readonly tipClearance: readonly [number, number];
}

/** Centre distance at which the pitch circles touch. @returns mm. Source: ISO 21771, a = m(z1 + z2)/2 */
export function nominalCentre({ module, gears: [one, two] }: Pair): number {
  return (module * (one.teeth + two.teeth)) / 2;
}

/**
 * How a pair runs at a centre distance.
 * @param centre mm, > 0
 * Source: ISO 21771: cos α_w = a0·cos α/a; contact ratio with each path capped at the other's base tangent
 * (beyond it is interference, not contact); backlash from the thicknesses on the operating pitch circles
 */
export function meshAt(pair: Pair, centre: number): MeshReport {
  const { module, pressureAngle, gears } = pair;
  const nominal = nominalCentre(pair);
  const radius = (gear: MeshingGear) => (module * gear.teeth) / 2;
  const tips = gears.map((gear) => radius(gear) + gear.addendum) as [number, number];
  const roots = gears.map((gear, i) => tips[i]! - gear.wholeDepth) as [number, number];
  const tipClearance = [centre - tips[0] - roots[1], centre - tips[1] - roots[0]] as const;
  const cos = (nominal * Math.cos(pressureAngle)) / centre;
  const none = { nominalCentre: nominal, centre, tipClearance };
  if (cos > 1)
    return { ...none, operatingAngle: null, contactRatio: null, backlash: null, tipInterference: null };

  const operatingAngle = Math.acos(cos);
  const tangents = centre * Math.sin(operatingAngle);
  const reaches = gears.map((gear, i) =>
    Math.sqrt(Math.max(0, tips[i]! ** 2 - (radius(gear) * Math.cos(pressureAngle)) ** 2)),
  ) as [number, number];
  const path = Math.min(reaches[0], tangents) + Math.min(reaches[1], tangents) - tangents;
  const thinned = gears[0].thinning + gears[1].thinning;
  return {
    ...none,
    operatingAngle,
    contactRatio: path / (Math.PI * module * Math.cos(pressureAngle)),
    backlash:
      2 * centre * (involute(operatingAngle) - involute(pressureAngle)) + (thinned * centre) / nominal,
    tipInterference: [reaches[0] - tangents, reaches[1] - tangents],
  };
}

/**
 * How much deeper a form cutter must go to take this much off the tooth, along the pitch circle. The cutter
 * keeps its shape and moves radially: each flank slopes α + 90°/zc to the space's centreline. (Not the rack's
 * rule, which is a hob's and sinks too deep at low counts.)
 * @param thinning mm along the pitch circle, ≥ 0 @param pressureAngle radians
 * @param cutterTeeth the count the cutter is made for; Infinity for a rack
 * @returns mm
 * Source: by drawing the flank; checked against the shifted outline in the test
 */
export function deeperForThinning(thinning: number, pressureAngle: number, cutterTeeth: number): number {
  return (thinning * Math.cos(pressureAngle)) / (2 * Math.sin(pressureAngle + Math.PI / (2 * cutterTeeth)));
}

/** What {@link deeperForThinning} takes off for a depth: its reverse. @param deeper mm @returns mm */
export function thinningFromDeeper(deeper: number, pressureAngle: number, cutterTeeth: number): number {
  return (deeper * 2 * Math.sin(pressureAngle + Math.PI / (2 * cutterTeeth))) / Math.cos(pressureAngle);
}

/**
 * Centre distance at which a pair has a wanted backlash.
 * @param wanted mm, ≥ 0 @returns mm
 */
export function centreForBacklash(pair: Pair, wanted: number): number {
  let low = nominalCentre(pair) * Math.cos(pair.pressureAngle);
  let high = nominalCentre(pair) * 1.2;
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if ((meshAt(pair, middle).backlash ?? -Infinity) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
