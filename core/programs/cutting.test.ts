import { describe, expect, test } from '@jest/globals';
import { cuttingProgram, type CuttingAsked, type CuttingSet } from './index.ts';

/*
 * Programs are run by a mill of the tests: it knows the words of ISO 6983 and nothing of what was written.
 */

interface At {
  readonly x: number;
  readonly z: number;
  readonly a: number;
}
interface Move {
  readonly from: At;
  readonly to: At;
  readonly rapid: boolean;
  /** mm a minute along X. */
  readonly feed: number;
}

function mill(text: string, axis = 'A') {
  const moves: Move[] = [];
  let at: At = { x: NaN, z: NaN, a: NaN };
  let [scale, motion, inverse, turning, stops] = [NaN, 0, false, false, 0];
  for (const line of text.split(/\r?\n/).filter((each) => each !== '%' && each !== '')) {
    const bare = line.replace(/\([^()]*\)/g, '').trim();
    const words = [...bare.matchAll(/([A-Z])(-?\d+\.?\d*)/g)].map((w) => [w[1]!, Number(w[2])] as const);
    expect(bare.replace(/[A-Z]-?\d+\.?\d*/g, '').trim()).toBe('');
    const to = new Map(words);
    for (const [letter, code] of words) {
      if (letter === 'G' && code === 21) scale = 1;
      if (letter === 'G' && code === 20) scale = 25.4;
      if (letter === 'G' && code < 2) motion = code;
      if (letter === 'G' && (code === 93 || code === 94)) inverse = code === 93;
      if (letter === 'M' && (code === 3 || code === 5)) turning = code === 3;
      if (letter === 'M' && code === 0) stops += 1;
    }
    const x = to.has('X') ? to.get('X')! * scale : at.x;
    const z = to.has('Z') ? to.get('Z')! * scale : at.z;
    const a = to.get(axis) ?? at.a;
    if (!['X', 'Z', axis].some((letter) => to.has(letter))) continue;
    const next = { x, z, a };
    const f = to.get('F') ?? NaN;
    if (motion === 1) expect(turning).toBe(true);
    moves.push({
      from: at,
      to: next,
      rapid: motion === 0,
      feed: inverse ? f * Math.abs(x - at.x) : f * scale,
    });
    at = next;
  }
  return { moves, stops };
}

const runOf = (
  divisions: number,
  depths: readonly number[],
  { full = true, helix = null }: { full?: boolean; helix?: CuttingAsked['run']['helix'] } = {},
): CuttingAsked['run'] =>
  ({
    ...{ jobName: 'Cam wheel', divisions, full, divides: 'tooth-space', helix },
    rounds: depths.map((depthMm) => ({ name: 'one', depthMm })),
    cuts: depths.flatMap((_, i) =>
      Array.from({ length: divisions }, (_each, k) => ({
        ...{ round: i + 1, index: k + 1, space: k + 1, landing: { on: 'steps', steps: 0, by: 0 } },
      })),
    ),
  }) as unknown as CuttingAsked['run'];

const SET: CuttingSet = {
  ...{ units: 'mm', safe: 5, lineEnd: 'lf', numbered: false, axis: 'A', feed: 40, rpm: 90, sense: 'plus' },
  ...{ begin: '', end: '' },
};

/** What cuts: fed along below the outside. */
const cutsOf = (moves: readonly Move[]) =>
  moves.filter(({ rapid, to, from }) => !rapid && to.z < 0 && from.z < 0);

function neverHarms(moves: readonly Move[], first: number): void {
  for (const { from, to, rapid } of moves) {
    // the work turns with the cutter drawn out, or along a helix while it is fed
    if (from.a !== to.a && !Number.isNaN(from.a) && rapid) expect(Math.min(from.z, to.z)).toBeGreaterThan(0);
    // in and out of the depth only before the first touch, or out past the end
    if (rapid && to.z < 0) expect(to.x).toBeLessThanOrEqual(first);
    if (rapid && (from.z < 0 || to.z < 0)) expect(from.x).toBe(to.x);
  }
}

describe('a mill that moves all axes', () => {
  test('97 teeth in two passes: each at its place within a second of arc, as deep and as far as the run says', () => {
    const asked = { run: runOf(97, [2, 2.25]), advance: 360 / 97, through: 19.4, depth: 2.25 };
    const { moves, stops } = mill(cuttingProgram(asked, SET));
    const cuts = cutsOf(moves);
    expect(cuts).toHaveLength(194);
    for (const [i, { from, to, feed }] of cuts.entries()) {
      expect(Math.abs(to.a - (i * 360) / 97) * 3600).toBeLessThan(1);
      expect(from.a).toBe(to.a);
      expect([from.x, to.x, to.z]).toEqual([-2, 19.4, i < 97 ? -2 : -2.25]);
      expect(feed).toBe(40);
    }
    neverHarms(moves, 0);
    // from below at the start, then on and on, to the closing place
    const turns = moves.filter(({ from, to }) => !Object.is(from.a, to.a)).map(({ to }) => to.a);
    expect(turns[0]).toBe(-5);
    expect(turns.slice(1)).toEqual([...turns.slice(1)].sort((a, b) => a - b));
    expect(turns.at(-1)).toBe(720);
    // nothing runs on by itself before a person has looked
    expect(stops).toBe(1);
  });

  test.each([
    ['right', 'plus', 1],
    ['left', 'plus', -1],
    ['right', 'minus', -1],
  ] as const)(
    '%s hand, axis %s: turns by the lead along the cut, to a micrometre at 40 mm',
    (hand, sense, way) => {
      const helix = { hand, lead: 500 };
      const asked = { run: runOf(30, [4.5], { helix }), advance: 12, through: 40, depth: 4.5 };
      const { moves } = mill(cuttingProgram(asked, { ...SET, sense }));
      const cuts = cutsOf(moves);
      expect(cuts).toHaveLength(30);
      for (const [k, { from, to, feed }] of cuts.entries()) {
        const at = (x: number) => k * 12 + (way * 360 * x) / 500;
        const micrometres = (degrees: number) => Math.abs(degrees) * (Math.PI / 180) * 20_000;
        expect(micrometres(from.a - at(-2))).toBeLessThan(1);
        expect(micrometres(to.a - at(40))).toBeLessThan(1);
        // inverse time: the feed is that along X
        expect(feed).toBeCloseTo(40, 1);
      }
      neverHarms(moves, 0);
      // each is come to the way the cut itself turns, so that the slack lies on one side
      const before = moves.filter(({ to, from }) => !Object.is(to.a, from.a) && to.z > 0);
      for (let i = 0; i + 1 < before.length - 1; i += 2)
        expect(Math.sign(before[i + 1]!.to.a - before[i]!.to.a)).toBe(way);
    },
  );

  test('in inches it is the same to a micrometre; less than a turn begins each round again', () => {
    const asked = { run: runOf(5, [1, 2], { full: false }), advance: 30, through: 25, depth: 2 };
    const [mm, inch] = [SET, { ...SET, units: 'in' as const, axis: 'B' as const }].map(
      (set) => mill(cuttingProgram(asked, set), set.axis).moves,
    );
    expect(inch).toHaveLength(mm!.length);
    for (const [i, { to }] of inch!.entries()) {
      for (const axis of ['x', 'z', 'a'] as const)
        if (!Number.isNaN(to[axis])) expect(Math.abs(to[axis] - mm![i]!.to[axis])).toBeLessThan(1e-3);
    }
    expect(cutsOf(mm!).map(({ to }) => to.a)).toEqual([0, 30, 60, 90, 120, 0, 30, 60, 90, 120]);
    neverHarms(mm!, 0);
  });

  test('the owner’s own words stand before the first move and before the end', () => {
    const asked = { run: runOf(3, [1]), advance: 120, through: 20, depth: 1 };
    const text = cuttingProgram(asked, { ...SET, begin: 'G17 G40; M8', end: 'M9' });
    expect(text.indexOf('\nG17 G40\nM8\n')).toBeLessThan(text.indexOf('\nG0 Z'));
    expect(text).toContain('\nM9\nM30\n');
    expect(text).toMatch(/PROVE IT IN AIR FIRST/);
  });
});
