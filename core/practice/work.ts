/** A section of the work square to the way it is cut: how far metal goes, mm. */
export interface Section {
  /** Where along the face, mm from where the cutter enters. */
  readonly at: number;
  /**
   * Of round work by direction, evenly round, from the spindle’s axis; the first straight up when the spindle
   * stands at 0. Of a bar evenly along it, from its underside.
   */
  readonly metal: Float64Array;
  /** Of slots round the work, whose walls overhang as the axis sees them; null for all else. */
  readonly overhang: Overhang | null;
}

/** Beyond the gap above `metal` a direction may have metal again: the corner of a slot’s wall. mm */
export interface Overhang {
  /** Where it begins; no nearer than the outside where there is none. */
  readonly from: Float64Array;
  /** As far as the work was turned. */
  readonly outside: Float64Array;
}

/** Less is not felt, and leaves no mark, mm. */
export const TOUCH = 1e-4;

/** Once round and on: 0 … many, however often it went round, either way. */
export const around = (place: number, many: number): number => ((place % many) + many) % many;

/** Where a bar lies along the way it is divided, mm: 0 is under the cutter as it was made ready. */
export interface Lies {
  readonly from: number;
  readonly length: number;
}

/** The work as it truly is, at where the cutter enters, in the middle and where it leaves. */
export interface Work {
  /** From the axis, or the underside, to where depth counts from: the outside as it was made, mm. */
  readonly top: number;
  /** Farther out there is no metal, mm. */
  readonly reach: number;
  readonly face: number;
  /** Null for what is round. */
  readonly bar: Lies | null;
  readonly sections: readonly [Section, Section, Section];
}

/** Places in one tooth of the finest gear there is; an outline of few teeth has more. */
const IN_A_TOOTH = 128;
const LEAST = 4800;
/** Places in a mm of a bar: a wall is found to within one. A long bar has fewer. */
const IN_A_MM = 200;
const MOST = 50_000;

const sectionsOf = (
  face: number,
  metal: Float64Array,
  overhang: Overhang | null = null,
): Work['sections'] => {
  const section = (at: number): Section => ({ at, metal, overhang });
  return [section(0), section(face / 2), section(face)];
};

/**
 * A blank as it was turned.
 * @param outside mm @param slotted its walls will overhang
 */
export function blank({
  outside,
  face,
  teeth,
  eccentric = { by: 0, at: 0 },
  slotted = false,
}: {
  readonly outside: number;
  readonly face: number;
  readonly teeth: number;
  readonly eccentric?: Eccentric;
  readonly slotted?: boolean;
}): Work {
  const many = placesFor(teeth);
  const r = outside / 2;
  const metal = turned(r, eccentric, many);
  const overhang = slotted ? { from: new Float64Array(many).fill(Infinity), outside: metal } : null;
  return { top: r, reach: r + eccentric.by, face, bar: null, sections: sectionsOf(face, metal, overhang) };
}

/** How far a blank’s middle is from the spindle’s, mm, and in which direction, part of a turn. */
interface Eccentric {
  readonly by: number;
  readonly at: number;
}

/** Directions that are kept: even, so that each has its opposite. */
const placesFor = (teeth: number): number => 2 * Math.ceil(Math.max(LEAST, IN_A_TOOTH * teeth) / 2);

/** A section as it was turned. @param r its radius, mm */
function turned(r: number, { by, at }: Eccentric, many: number): Float64Array {
  const metal = new Float64Array(many);
  for (let i = 0; i < many; i += 1) {
    const angle = 2 * Math.PI * (i / many - at);
    metal[i] = by * Math.cos(angle) + Math.sqrt(Math.max(0, r * r - (by * Math.sin(angle)) ** 2));
  }
  return metal;
}

type Three = readonly [number, number, number];

/**
 * A blank whose outside is another at each place of its face.
 * @param touch from the axis to where a cutter that comes nearer touches first, mm: depth counts from there
 */
export function hollowBlank({
  at,
  radii,
  touch,
  face,
  teeth,
  eccentric,
}: {
  readonly at: Three;
  readonly radii: Three;
  readonly touch: number;
  readonly face: number;
  readonly teeth: number;
  readonly eccentric: Eccentric;
}): Work {
  const many = placesFor(teeth);
  const section = (i: 0 | 1 | 2): Section => ({
    at: at[i],
    metal: turned(radii[i], eccentric, many),
    overhang: null,
  });
  const reach = Math.max(...radii) + eccentric.by;
  return { top: touch, reach, face, bar: null, sections: [section(0), section(1), section(2)] };
}

/** A bar as it was milled square. @param high @param face mm */
export function squareBar({
  high,
  face,
  lies,
}: {
  readonly high: number;
  readonly face: number;
  readonly lies: Lies;
}): Work {
  const many = Math.min(MOST, Math.max(LEAST, Math.ceil(IN_A_MM * lies.length)));
  const metal = new Float64Array(many + 1).fill(high);
  return { top: high, reach: high, face, bar: lies, sections: sectionsOf(face, metal) };
}
