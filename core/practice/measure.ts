import { around, type Lies, type Section, type Work } from './work.ts';

/* What measuring tools read on the work as it truly is. Lengths mm. */

/** Which section a tool meets. */
export type Where = 'entry' | 'middle' | 'exit';
const PLACES: Readonly<Record<Where, 0 | 1 | 2>> = { entry: 0, middle: 1, exit: 2 };

export const sectionAt = ({ sections }: Work, where: Where): Section => sections[PLACES[where]];

/** How far metal goes in a direction, mm. @param turn part of a turn */
const radiusAt = ({ metal }: Section, turn: number): number =>
  metal[around(Math.round(turn * metal.length), metal.length)]!;

/** How high a bar is at a place along it, mm. */
function heightAt({ metal }: Section, { from, length }: Lies, place: number): number {
  const last = metal.length - 1;
  return metal[Math.min(last, Math.max(0, Math.round(((place - from) / length) * last)))]!;
}

const point = (radius: number, angle: number): readonly [number, number] => [
  radius * Math.sin(angle),
  radius * Math.cos(angle),
];

/** Between two directions that are kept more are looked at: a pin rests on a flank, not on a point. */
const BETWEEN = 16;

/** Directions of a section from one part of a turn to another, in radians, with how far metal goes there. */
function* outline({ metal }: Section, from: number, to: number): Generator<readonly [number, number]> {
  const many = metal.length;
  const last = Math.floor(to * many);
  for (let place = Math.ceil(from * many); place < last; place += 1) {
    const [a, b] = [metal[around(place, many)]!, metal[around(place + 1, many)]!];
    for (let k = 0; k < BETWEEN; k += 1) {
      const part = k / BETWEEN;
      yield [((place + part) / many) * 2 * Math.PI, a + (b - a) * part];
    }
  }
}

/** How far the jaws reach into a space, as a part of what is open to them. */
const REACH = 0.75;

/**
 * The span a caliper reads with its jaws in two spaces, clear of their floors: the width of what stands
 * between them.
 * @param from @param to middles of the two spaces, parts of a turn, from < to
 */
export function spanAcross(work: Work, { from, to, where }: Across): number {
  const section = sectionAt(work, where);
  const middle = Math.PI * (from + to);
  const half = Math.PI * (to - from);
  // the floor, seen along the way the jaws are put in, and how far they reach towards it
  const floor = Math.max(...[from, to].map((turn) => radiusAt(section, turn))) * Math.cos(half);
  const tips = work.top * Math.cos(half);
  const least = tips - REACH * (tips - floor);
  const points = [...outline(section, from, to)]
    .map(([angle, radius]) => point(radius, angle - middle))
    .filter(([, y]) => y > least);
  const width = (tilt: number): number => {
    const [ux, uy] = [Math.cos(tilt), -Math.sin(tilt)];
    let [most, fewest] = [-Infinity, Infinity];
    for (const [x, y] of points) {
      const along = x * ux + y * uy;
      if (along > most) most = along;
      if (along < fewest) fewest = along;
    }
    return most - fewest;
  };
  // a hand rocks it to where it reads least
  let [best, at] = [width(0), 0];
  for (let by = half / 20; by > 1e-7; by /= 2)
    for (const tilt of [at - by, at + by]) {
      const reads = width(tilt);
      if (reads < best) [best, at] = [reads, tilt];
    }
  return best;
}

interface Across {
  readonly from: number;
  readonly to: number;
  readonly where: Where;
}

/**
 * How far from the axis a pin comes to rest in a space, middle of the pin.
 * @param under middle of the space, part of a turn @param wide of the space and its lands, part of a turn
 */
function pinRests(
  section: Section,
  { pin, under, wide }: { readonly pin: number; readonly under: number; readonly wide: number },
): readonly [number, number] {
  const points = [...outline(section, under - wide / 2, under + wide / 2)].map(([angle, radius]) =>
    point(radius, angle),
  );
  const r = pin / 2;
  /** Farthest out that the outline holds a pin whose middle lies in this direction. */
  const held = (angle: number): number => {
    const [ux, uy] = [Math.sin(angle), Math.cos(angle)];
    let most = 0;
    for (const [x, y] of points) {
      const [along, off] = [x * ux + y * uy, x * uy - y * ux];
      if (Math.abs(off) < r) most = Math.max(most, along + Math.sqrt(r * r - off * off));
    }
    return most;
  };
  let at = 2 * Math.PI * under;
  let best = held(at);
  for (let by = Math.PI * wide * 0.2; by > 1e-9; by /= 2)
    for (const angle of [at - by, at + by]) {
      const rests = held(angle);
      if (rests < best) [best, at] = [rests, angle];
    }
  return point(best, at);
}

/**
 * Over two pins.
 * @param spaces middles of the two spaces, parts of a turn @param pitch one tooth with its space, part of a
 * turn
 */
export function overTwoPins(
  work: Work,
  {
    pin,
    spaces,
    pitch,
    where,
  }: {
    readonly pin: number;
    readonly spaces: readonly [number, number];
    readonly pitch: number;
    readonly where: Where;
  },
): number {
  const [a, b] = spaces.map((under) => pinRests(sectionAt(work, where), { pin, under, wide: pitch })) as [
    readonly [number, number],
    readonly [number, number],
  ];
  return Math.hypot(a[0] - b[0], a[1] - b[1]) + pin;
}

/**
 * What an indicator on the outside reads over each land, from the nominal outside. @param at parts of a turn;
 * along a bar mm
 */
export function outsideReads(work: Work, at: readonly number[], where: Where): readonly number[] {
  const section = sectionAt(work, where);
  const { bar, top } = work;
  return at.map((place) => (bar ? heightAt(section, bar, place) : radiusAt(section, place)) - top);
}

/** Over the work as a micrometer reads it, rocked to where it reads most. mm */
export function acrossReads(work: Work, where: Where): number {
  const { metal } = sectionAt(work, where);
  const many = metal.length;
  return metal.reduce((most, radius, i) => Math.max(most, radius + metal[around(i + many / 2, many)]!), 0);
}

/** How deep a space is below the lands beside it, mm. @param land @param floor parts of a turn */
export const depthReads = (work: Work, { land, floor, where }: AtDepth): number =>
  radiusAt(sectionAt(work, where), land) - radiusAt(sectionAt(work, where), floor);

interface AtDepth {
  readonly land: number;
  readonly floor: number;
  readonly where: Where;
}

/** A tooth space as it stands: where its flanks cross a circle, parts of a turn; on a bar a height, mm. */
export interface FoundSpace {
  readonly from: number;
  readonly to: number;
}

/** Between two places of an outline, where it crosses a height, as a part of the way. */
const crossing = (a: number, b: number, height: number): number => (height - a) / (b - a);

/** Along a bar, from one end to the other. What is open at an end goes to that end. */
function spacesAlong({ metal }: Section, lies: Lies, height: number): readonly FoundSpace[] {
  const step = lies.length / (metal.length - 1);
  const found: FoundSpace[] = [];
  let from: number | null = metal[0]! < height ? lies.from : null;
  for (let i = 0; i + 1 < metal.length; i += 1) {
    const [isBelow, next] = [metal[i]! < height, metal[i + 1]! < height];
    if (isBelow === next) continue;
    const at = lies.from + (i + crossing(metal[i]!, metal[i + 1]!, height)) * step;
    if (next) from = at;
    else if (from !== null) found.push({ from, to: at });
    if (!next) from = null;
  }
  return from === null ? found : [...found, { from, to: lies.from + lies.length }];
}

/**
 * Every space that reaches below a circle, in order round from direction 0; of a bar below a height, in order
 * along. @param radius mm
 */
export function spacesBelow(work: Work, radius: number, where: Where): readonly FoundSpace[] {
  const section = sectionAt(work, where);
  if (work.bar) return spacesAlong(section, work.bar, radius);
  const { metal, overhang } = section;
  const many = metal.length;
  const isBelow = (i: number): boolean => metal[i]! < radius;
  const isOpen = (i: number): boolean => isBelow(i) && !(overhang && overhang.from[i]! <= radius);
  const start = metal.findIndex((_, i) => !isOpen(i));
  if (start < 0) return [];
  const found: FoundSpace[] = [];
  let from: number | null = null;
  let open = false;
  for (let i = start; i < start + many; i += 1) {
    const [a, b] = [i % many, (i + 1) % many];
    const next = isOpen(b);
    if (open !== next) {
      // a wall that overhangs is met where metal begins again
      const wall = overhang && isBelow(a) && isBelow(b) ? overhang.from : metal;
      const at = (i + crossing(wall[a]!, wall[b]!, radius)) / many;
      if (next) from = at;
      else if (from !== null) found.push({ from, to: at });
    }
    open = next;
  }
  return found;
}

/**
 * The spaces from the first after the widest land, in order: what is cut so far stands together. A whole gear
 * begins after its widest tooth, wherever that is.
 */
export const spacesInOrder = (work: Work, radius: number, where: Where): readonly FoundSpace[] =>
  afterWidestLand(spacesBelow(work, radius, where));

/** Begins after the widest land. @param found in order round, parts of a turn */
export function afterWidestLand(found: readonly FoundSpace[]): readonly FoundSpace[] {
  if (found.length < 2) return found;
  const lands = found.map(
    ({ to }, i) => (i + 1 < found.length ? found[i + 1]!.from : found[0]!.from + 1) - to,
  );
  const widest = lands.indexOf(Math.max(...lands));
  const first = (widest + 1) % found.length;
  return found.map((_, i) => {
    const { from, to } = found[(first + i) % found.length]!;
    const on = first + i >= found.length ? 1 : 0;
    return { from: from + on, to: to + on };
  });
}
