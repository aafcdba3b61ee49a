import type { CutterForm } from './form.ts';
import { around, TOUCH, type Lies, type Overhang, type Section, type Work } from './work.ts';

/* Metal is taken away where a cutter is. */

/** Where a cutter stands in a section. */
interface Standing {
  /** From the spindle’s axis, or a bar’s underside, to the cutter’s tip, mm. */
  readonly tip: number;
  /** Beside the middle, mm. */
  readonly beside: number;
  /** What of the work is under it: a direction, part of a turn; of a bar a place along it, mm. */
  readonly under: number;
}

/** How far metal may go before it enters the cutter; Infinity where it passes it by. */
function enters(outside: (far: number) => number, least: number, most: number): number {
  if (least >= most) return Infinity;
  if (outside(least) <= 0) return least;
  if (outside(most) > 0) return Infinity;
  return crossing(outside, least, most);
}

/** Along a ray from the axis. @param angle from the cutter’s middle line, radians */
function entersRound(form: CutterForm, standing: Standing, angle: number, most: number): number {
  const { tip, beside } = standing;
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  if (cos <= 0) return Infinity;
  if (form.straight !== undefined) {
    const [from, to] = betweenWalls(form.straight, beside, sin);
    const least = Math.max(tip / cos, from);
    return least < to ? least : Infinity;
  }
  // a gear cutter’s tip is hollow as the floor is round, and stands beside the middle as it does
  const least = beside * sin + Math.sqrt(Math.max(0, tip * tip - (beside * cos) ** 2));
  return enters((far) => Math.abs(far * sin - beside) - form.halfWidth(far * cos - tip), least, most);
}

/** Farther than any work reaches, mm. */
const FAR = 1e9;

/** Where a ray comes in between two walls, and where it goes out again. @param half of their distance, mm */
function betweenWalls(half: number, beside: number, sin: number): readonly [number, number] {
  if (sin === 0) return Math.abs(beside) < half ? [0, FAR] : [FAR, FAR];
  const [a, b] = [(beside - half) / sin, (beside + half) / sin];
  return a < b ? [a, b] : [b, a];
}

/** Straight up from a bar. @param off from the cutter’s middle, along the bar, mm */
const entersBar = (form: CutterForm, { tip }: Standing, off: number, most: number): number =>
  enters((far) => Math.abs(off) - form.halfWidth(far - tip), tip, most);

/** Nearer than that nobody measures, mm. */
const NEAR = 1e-8;

/** Where what is > 0 at `free` and ≤ 0 at `taken` crosses zero: false position, the end that stays halved. */
function crossing(of: (far: number) => number, free: number, taken: number): number {
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

interface Reached {
  /** Places that the cutter may reach, and how far metal may go at each. */
  readonly first: number;
  readonly last: number;
  readonly enters: (place: number, now: number) => number;
  /** Where beyond that it is out of the cutter again. */
  readonly leaves: (place: number) => number;
  /** Where in the outline a place is kept. */
  readonly index: (place: number) => number;
}

function reachedRound(many: number, form: CutterForm, standing: Standing, outer: number): Reached {
  const { tip, beside, under } = standing;
  const at = around(under, 1) * many;
  const wide = form.halfWidth(outer - tip) + Math.abs(beside);
  const window = Math.ceil((Math.atan2(wide, tip) / (2 * Math.PI)) * many) + 1;
  const angleOf = (place: number): number => ((place - at) / many) * 2 * Math.PI;
  return {
    first: Math.floor(at) - window,
    last: Math.ceil(at) + window,
    enters: (place, now) => entersRound(form, standing, angleOf(place), now),
    leaves: (place) =>
      form.straight === undefined
        ? Infinity
        : betweenWalls(form.straight, beside, Math.sin(angleOf(place)))[1],
    index: (place) => around(place, many),
  };
}

function reachedBar(many: number, lies: Lies, taking: Omit<Taking, 'lies'>): Reached {
  const { form, standing, outer } = taking;
  const step = lies.length / (many - 1);
  const middle = standing.under + standing.beside - lies.from;
  const wide = form.halfWidth(outer - standing.tip);
  return {
    first: Math.max(0, Math.floor((middle - wide) / step)),
    last: Math.min(many - 1, Math.ceil((middle + wide) / step)),
    enters: (place, now) => entersBar(form, standing, place * step - middle, now),
    leaves: () => Infinity,
    index: (place) => place,
  };
}

interface Taking {
  readonly form: CutterForm;
  readonly standing: Standing;
  /** Farther out there is no metal, mm. */
  readonly outer: number;
  readonly lies: Lies | null;
}

/** Takes away what a cutter reaches that stands so. The section itself is left as it is. */
export function takeFrom(section: Section, { lies, ...taking }: Taking): Taken {
  const { metal } = section;
  const { form, standing, outer } = taking;
  const none = { section, deepest: 0 };
  if (standing.tip >= outer) return none;
  const reached = lies
    ? reachedBar(metal.length, lies, taking)
    : reachedRound(metal.length, form, standing, outer);
  if (section.overhang) return takeSlot(section, section.overhang, reached);
  let out: Float64Array | null = null;
  let deepest = 0;
  for (let place = reached.first; place <= reached.last; place += 1) {
    const i = reached.index(place);
    const now = metal[i]!;
    const goes = reached.enters(place, now);
    if (goes >= now) continue;
    out ??= Float64Array.from(metal);
    deepest = Math.max(deepest, now - goes);
    out[i] = goes;
  }
  return out ? { section: { ...section, metal: out }, deepest } : none;
}

/** The same where walls overhang: what is between where a ray enters the cutter and where it is out again. */
function takeSlot(section: Section, overhang: Overhang, reached: Reached): Taken {
  const { outside } = overhang;
  const [metal, from] = [section.metal, overhang.from];
  let cut: { readonly metal: Float64Array; readonly from: Float64Array } | null = null;
  let deepest = 0;
  for (let place = reached.first; place <= reached.last; place += 1) {
    const i = reached.index(place);
    const [now, again, out] = [metal[i]!, from[i]!, outside[i]!];
    const [enters, leaves] = [reached.enters(place, now), reached.leaves(place)];
    if (enters >= out) continue;
    const isWhole = now >= out;
    const [low, high] = isWhole ? [enters, leaves] : [Math.min(now, enters), Math.max(again, leaves)];
    const gone = Math.min(high, out) - low - (isWhole ? 0 : Math.min(again, out) - now);
    if (gone <= 0) continue;
    deepest = Math.max(deepest, gone);
    cut ??= { metal: Float64Array.from(metal), from: Float64Array.from(from) };
    [cut.metal[i], cut.from[i]] = [low, high];
  }
  if (!cut) return { section, deepest };
  return { section: { ...section, metal: cut.metal, overhang: { from: cut.from, outside } }, deepest };
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
  /** What of the work is under the cutter before and after; alike where only the feed moves. */
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
/** Finer than that nothing is cut, mm. */
const NARROW = 0.05;

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
    const tip = work.top - sunk;
    if (tip >= work.reach) return section;
    const across = Math.max(NARROW, 2 * form.halfWidth(Math.max(0, sunk)));
    const width = work.bar ? across : across / (2 * Math.PI * work.top);
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
        lies: work.bar,
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
