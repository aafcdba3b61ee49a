import { toothFlank } from '../toothform/index.ts';
import type { GearDrawing } from '../involute/index.ts';

/**
 * The form of a cutter as it stands in a space: half its width at a height above its tip, mm. Beyond what it
 * was made to cut its sides go on straight.
 */
export interface CutterForm {
  readonly diameter: number;
  /** How long the disk is along the work beside its own diameter: the cosine of the angle it is laid at. */
  readonly along?: number;
  /** Half the width at a height above the tip. @param height mm, ≥ 0 @returns mm */
  halfWidth(height: number): number;
}

/** Points along the flank: between two of them the chord lies within a thousandth of a micrometre. */
const STEPS = 400;

/** Heights at which the width is kept, evenly, so that it is found without a search. */
const EVEN = 2048;

export interface FlankPoint {
  readonly height: number;
  readonly width: number;
}

/** Widths at even heights, from those at heights that rise. */
function evenly(points: readonly FlankPoint[], step: number): Float64Array {
  const even = new Float64Array(EVEN + 1);
  let k = 0;
  for (let i = 0; i <= EVEN; i += 1) {
    const height = points[0]!.height + i * step;
    while (k < points.length - 2 && points[k + 1]!.height < height) k += 1;
    const [a, b] = [points[k]!, points[k + 1]!];
    even[i] = a.width + ((b.width - a.width) * (height - a.height)) / Math.max(1e-12, b.height - a.height);
  }
  return even;
}

/**
 * A form cutter that leaves the spaces of this very gear.
 * @param gear of the count the cutter is exact for, mm and radians
 * Source: toothFlank, turned from the tooth to the space beside it
 */
export function formCutter(gear: GearDrawing, diameter: number): CutterForm {
  const half = Math.PI / gear.teeth;
  const root = Math.max(gear.rootDiameter / 2, 0);
  const points = toothFlank(gear, STEPS).map(({ x, y }) => {
    const [radius, angle] = [Math.hypot(x, y), half - Math.atan2(x, y)];
    return { height: radius * Math.cos(angle) - root, width: radius * Math.sin(angle) };
  });
  return formOf(points, { diameter });
}

/** A form by points of its side that rise from the tip. */
export function formOf(
  points: readonly FlankPoint[],
  disk: Pick<CutterForm, 'diameter' | 'along'>,
): CutterForm {
  // the floor is round about the gear, the cutter’s tip is that arc turned outward: lower at its corners
  const [first, last, before] = [points[0]!, points.at(-1)!, points.at(-2)!];
  const slope = Math.max(0, (last.width - before.width) / Math.max(1e-9, last.height - before.height));
  const step = (last.height - first.height) / EVEN;
  const even = evenly(points, step);
  const halfWidth = (height: number): number => {
    const at = (height - first.height) / step;
    if (at <= 0) return first.width;
    if (at >= EVEN) return last.width + (height - last.height) * slope;
    const k = Math.floor(at);
    return even[k]! + (even[k + 1]! - even[k]!) * (at - k);
  };
  return { ...disk, halfWidth };
}

/** A section of the work square to its axis: how far metal goes in every direction, mm. */
export interface Section {
  /** Where along the face, mm from where the cutter enters. */
  readonly at: number;
  /** By direction, evenly round; the first straight up when the spindle stands at 0. */
  readonly radii: Float64Array;
}

/** Less is not felt, and leaves no mark, mm. */
export const TOUCH = 1e-4;

/** Once round and on: 0 … many, however often it went round, either way. */
export const around = (place: number, many: number): number => ((place % many) + many) % many;

/** The work as it truly is, at where the cutter enters, in the middle and where it leaves. */
export interface Work {
  /** Outside as it was turned, mm. */
  readonly outside: number;
  /** Farther out from the spindle’s axis there is no metal, mm. */
  readonly reach: number;
  readonly face: number;
  readonly sections: readonly [Section, Section, Section];
}

/** Directions in one tooth of the finest gear there is; an outline of few teeth has more. */
const IN_A_TOOTH = 128;
const LEAST = 4800;

/**
 * A blank as it was turned.
 * @param outside mm @param eccentric how far its middle is from the spindle’s, mm, and in which direction,
 * part of a turn
 */
export function blank({
  outside,
  face,
  teeth,
  eccentric = { by: 0, at: 0 },
}: {
  readonly outside: number;
  readonly face: number;
  readonly teeth: number;
  readonly eccentric?: { readonly by: number; readonly at: number };
}): Work {
  // even, so that every direction has its opposite
  const many = 2 * Math.ceil(Math.max(LEAST, IN_A_TOOTH * teeth) / 2);
  const [r, e] = [outside / 2, eccentric.by];
  const radii = new Float64Array(many);
  for (let i = 0; i < many; i += 1) {
    const angle = 2 * Math.PI * (i / many - eccentric.at);
    radii[i] = e * Math.cos(angle) + Math.sqrt(Math.max(0, r * r - (e * Math.sin(angle)) ** 2));
  }
  const section = (at: number): Section => ({ at, radii });
  return { outside, reach: r + e, face, sections: [section(0), section(face / 2), section(face)] };
}

/** Where a cutter stands in a section. */
interface Standing {
  /** From the spindle’s axis to the cutter’s tip, mm. */
  readonly tip: number;
  /** Beside the middle, mm. */
  readonly beside: number;
  /** The direction of the work that is under it, part of a turn. */
  readonly under: number;
}

/**
 * The radius at which a ray from the axis enters the cutter; Infinity where it passes it by.
 * @param angle from the cutter’s middle line, radians
 */
function entersAt(form: CutterForm, { tip, beside }: Standing, angle: number, most: number): number {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  if (cos <= 0) return Infinity;
  const outside = (radius: number) => Math.abs(radius * sin - beside) - form.halfWidth(radius * cos - tip);
  // the cutter’s tip is hollow as a gear’s floor is round: its middle stands highest
  const low = tip;
  if (low >= most) return Infinity;
  if (outside(low) <= 0) return low;
  if (outside(most) > 0) return Infinity;
  return crossing(outside, low, most);
}

/** Nearer than that nobody measures, mm. */
const NEAR = 1e-8;

/** Where what is > 0 at `free` and ≤ 0 at `taken` crosses zero: false position, the end that stays halved. */
function crossing(of: (radius: number) => number, free: number, taken: number): number {
  let [a, b, fa, fb] = [free, taken, of(free), of(taken)];
  let stayed = 0;
  for (let i = 0; i < 60 && b - a > NEAR; i += 1) {
    const c = Math.min(b - NEAR / 4, Math.max(a + NEAR / 4, (a * fb - b * fa) / (fb - fa)));
    const fc = of(c);
    if (fc > 0) {
      [a, fa] = [c, fc];
      if (stayed === 1) fb /= 2;
      stayed = 1;
    } else {
      [b, fb] = [c, fc];
      if (stayed === -1) fa /= 2;
      stayed = -1;
    }
    if (Math.abs(fc) < NEAR / 4) return c;
  }
  return b;
}

interface Taken {
  readonly section: Section;
  /** Deepest that anything was cut, mm below what stood there; 0 where nothing was. */
  readonly deepest: number;
}

/**
 * Takes away what a cutter reaches that stands so. The section itself is left as it is.
 * @param outer farther out there is no metal, mm
 */
export function takeFrom(
  section: Section,
  {
    form,
    standing,
    outer,
  }: { readonly form: CutterForm; readonly standing: Standing; readonly outer: number },
): Taken {
  const { radii } = section;
  const none = { section, deepest: 0 };
  if (standing.tip >= outer) return none;
  const many = radii.length;
  const at = around(standing.under, 1) * many;
  const wide = form.halfWidth(outer - standing.tip) + Math.abs(standing.beside);
  const window = Math.ceil((Math.atan2(wide, standing.tip) / (2 * Math.PI)) * many) + 1;
  let out: Float64Array | null = null;
  let deepest = 0;
  for (let place = Math.floor(at) - window; place <= Math.ceil(at) + window; place += 1) {
    const i = around(place, many);
    const now = radii[i]!;
    const enters = entersAt(form, standing, ((place - at) / many) * 2 * Math.PI, now);
    if (enters >= now) continue;
    out ??= Float64Array.from(radii);
    deepest = Math.max(deepest, now - enters);
    out[i] = enters;
  }
  return out ? { section: { ...section, radii: out }, deepest } : none;
}

/**
 * How deep a disk sunk to `depth` reaches in a section so far from its middle, mm; < 0: not at all.
 */
export const depthAt = (depth: number, diameter: number, from: number): number => {
  const r = diameter / 2;
  return Math.abs(from) >= r ? -Infinity : depth - r + Math.sqrt(r * r - from * from);
};

/** A move of cutter against work: where it goes, all of it with the cutter so deep. mm, turns */
export interface Pass {
  readonly form: CutterForm;
  /** Cutter’s middle along the work, from where it enters the face. */
  readonly from: number;
  readonly to: number;
  /** Directions of the work under the cutter before and after; alike where only the table moves. */
  readonly under: readonly [number, number];
  /** Where the work turns as the table moves: the direction under the cutter with the table there. */
  readonly underAt?: (table: number) => number;
  /** Below the outside as it was turned. */
  readonly depth: number;
  readonly beside: number;
  /** At where the cutter enters, in the middle and where it leaves: the work stands so much lower there. */
  readonly away?: AlongFace;
  /** And so much to the side. */
  readonly aside?: AlongFace;
}

/** A figure at each of the three places of the face, mm. */
export type AlongFace = readonly [number, number, number];

/** A work turned under a cutter is cut at so many places for each width of a tooth space. */
const SWEPT = 24;

/** @returns the work after it, and the deepest that was cut into what stood there */
export function cutWork(work: Work, pass: Pass): { readonly work: Work; readonly deepest: number } {
  const { form, from, to, under, depth, beside } = pass;
  let deepest = 0;
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const sections = work.sections.map((section, i) => {
    const nearest = Math.min(high, Math.max(low, section.at));
    const sunk = depthAt(
      depth - (pass.away?.[i] ?? 0),
      form.diameter,
      (section.at - nearest) / (form.along ?? 1),
    );
    const tip = work.outside / 2 - sunk;
    if (tip >= work.reach) return section;
    const width = (2 * form.halfWidth(Math.max(0, sunk))) / (Math.PI * work.outside);
    const turned = under[1] - under[0];
    const steps = turned === 0 ? 0 : Math.ceil((Math.abs(turned) / width) * SWEPT);
    let now = section;
    // geared, it is the direction that stood there as the cutter came nearest
    const start = pass.underAt ? pass.underAt(nearest) : under[0];
    for (let k = 0; k <= steps; k += 1) {
      const at = steps === 0 ? start : under[0] + (turned * k) / steps;
      const taken = takeFrom(now, {
        form,
        standing: { tip, beside: beside + (pass.aside?.[i] ?? 0), under: at },
        outer: work.reach,
      });
      now = taken.section;
      deepest = Math.max(deepest, taken.deepest);
    }
    return now;
  });
  if (deepest === 0) return { work, deepest };
  return { work: { ...work, sections: sections as unknown as Work['sections'] }, deepest };
}

/** Does a cutter that stands so touch metal? */
export function touches(work: Work, pass: Omit<Pass, 'to' | 'under'> & { readonly under: number }): boolean {
  const { under, from } = pass;
  return cutWork(work, { ...pass, to: from, under: [under, under] }).deepest > TOUCH;
}
