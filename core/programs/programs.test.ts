import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planMadePlate } from '../dividing/index.ts';
import { exact, measure } from '../units/index.ts';
import { drillingProgram, turningProgram, type DrillingSet, type TurningSet } from './index.ts';

/*
 * Programs are run by a control of the tests: it knows the words of ISO 6983 and nothing of what was written.
 */

interface Move {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly rapid: boolean;
}

/** Runs a program. @returns ends of moves in mm, where it was drilled, angles turned to, the stops */
function control(text: string, axis = 'A') {
  const moves: Move[] = [];
  const drilled: { x: number; y: number; deep: number }[] = [];
  const turns: number[] = [];
  let [x, y, z, angle] = [0, 0, Infinity, 0];
  let [scale, motion, cycle] = [NaN, 0, null as { z: number; r: number } | null];
  let [spindle, stops, ended] = [false, 0, false];
  const lines = text.split(/\r?\n/);
  expect(lines[0]).toBe('%');
  expect(lines.at(-2)).toBe('%');
  for (const line of lines.slice(1, -2)) {
    expect(ended).toBe(false);
    expect(line).toMatch(/^[ -~]*$/);
    const bare = line.replace(/\([^()]*\)/g, '').trim();
    const words = [...bare.matchAll(/([A-Z])(-?\d+\.?\d*)/g)].map(
      ([, letter, figure]) => [letter!, Number(figure)] as const,
    );
    // nothing is left that is no word
    expect(bare.replace(/[A-Z]-?\d+\.?\d*/g, '').trim()).toBe('');
    const at = new Map(words.filter(([letter]) => letter !== 'G' && letter !== 'M'));
    let drills = false;
    for (const [letter, code] of words) {
      if (letter === 'G' && code === 21) scale = 1;
      if (letter === 'G' && code === 20) scale = 25.4;
      if (letter === 'G' && (code === 0 || code === 1)) [motion, cycle] = [code, null];
      if (letter === 'G' && code === 80) cycle = null;
      if (letter === 'G' && code === 81) cycle = { z: at.get('Z')! * scale, r: at.get('R')! * scale };
      if (letter === 'M' && code === 3) spindle = true;
      if (letter === 'M' && code === 5) spindle = false;
      if (letter === 'M' && code === 0) stops += 1;
      if (letter === 'M' && code === 30) ended = true;
    }
    if (at.has(axis) && axis !== 'X') turns.push((angle = at.get(axis)!));
    if (at.has('X') || at.has('Y')) {
      [x, y] = [(at.get('X') ?? x / scale) * scale, (at.get('Y') ?? y / scale) * scale];
      drills = cycle !== null;
      // nothing goes across below the top of the plate
      expect(z).toBeGreaterThan(0);
      moves.push({ x, y, z, rapid: true });
    }
    if (drills && cycle) {
      expect(spindle).toBe(true);
      expect(cycle.r).toBeGreaterThan(0);
      drilled.push({ x, y, deep: cycle.z });
    } else if (at.has('Z') && !cycle) {
      z = at.get('Z')! * scale;
      moves.push({ x, y, z, rapid: motion === 0 });
      if (z < 0) {
        expect(motion).toBe(1);
        expect(spindle).toBe(true);
        drilled.push({ x, y, deep: z });
      }
    }
  }
  expect(ended).toBe(true);
  return { moves, drilled, turns, stops, angle };
}

const SET: DrillingSet = {
  units: 'mm',
  safe: 5,
  deep: 8,
  feed: 60,
  rpm: 800,
  by: 'cycle',
  lineEnd: 'lf',
  numbered: false,
};
const plateOf = (holes: number) => {
  const made = planMadePlate(
    {
      use: 'ring',
      pitchCircle: measure('120', 'mm'),
      holeSize: measure('4', 'mm'),
      startAngle: measure('0', 'deg'),
      holeError: measure('0.02', 'mm'),
    },
    holes,
    { ratio: exact(40), centreHeight: null },
  );
  return made.plate!;
};

describe('a drilling program', () => {
  test.each([
    ['a cycle, mm', {}],
    ['each move, mm', { by: 'moves' }],
    ['a cycle, inches', { units: 'in' }],
    [
      'each move, inches, numbered, with the other line ends',
      { units: 'in', by: 'moves', numbered: true, lineEnd: 'crlf' },
    ],
  ] as const)('hits every hole within a micrometre, and goes through: %s', (_, change) => {
    const plate = plateOf(37);
    const { drilled } = control(drillingProgram(plate, { ...SET, ...change }));
    expect(drilled).toHaveLength(37);
    for (const { hole, x, y } of plate.drilling) {
      // where the hole is by the circle itself, clockwise from the top; the table has it to a thousandth
      const angle = (2 * Math.PI * hole) / 37;
      expect(Math.hypot(x - 60 * Math.sin(angle), y - 60 * Math.cos(angle))).toBeLessThan(0.001);
      const near = drilled.filter((each) => Math.hypot(each.x - x, each.y - y) < 0.001);
      expect(near).toHaveLength(1);
      expect(near[0]!.deep).toBeCloseTo(-8, 3);
    }
  });

  test('begins and ends at the safe height, says its zero, and lets nobody run it unwarned', () => {
    const text = drillingProgram(plateOf(7), { ...SET, by: 'moves', safe: 12 });
    const { moves } = control(text);
    expect(moves[0]!.z).toBe(12);
    expect(moves.at(-1)!.z).toBe(12);
    // from hole to hole at the safe height, never at where the feed begins
    const across = moves.filter(
      (move, i) => i > 0 && (move.x !== moves[i - 1]!.x || move.y !== moves[i - 1]!.y),
    );
    expect(across).toHaveLength(7);
    for (const { z } of across) expect(z).toBe(12);
    expect(text).toMatch(/G21 G90 G17/);
    expect(text).toContain('(ZERO: MIDDLE OF THE PLATE, Z0 ON ITS TOP, X RIGHT, Y AWAY)');
    expect(text).toMatch(/PROVE IT IN AIR FIRST/);
    expect(text).toMatch(/RULES COME FIRST/);
    expect(text).toMatch(/F60\n/);
    expect(drillingProgram(plateOf(7), { ...SET, units: 'in' })).toMatch(/G20 .*\n(.*\n)*.* F2\.36\n/);
  });

  test('whatever the count, each hole once (seed 20261)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 90 }), fc.constantFrom('cycle', 'moves'), (holes, by) => {
        const { drilled } = control(drillingProgram(plateOf(holes), { ...SET, by } as DrillingSet));
        expect(new Set(drilled.map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`)).size).toBe(holes);
      }),
      { seed: 20261, numRuns: 40 },
    );
  });
});

describe('a program for a turning axis', () => {
  const set: TurningSet = { units: 'mm', safe: 5, lineEnd: 'lf', numbered: false, axis: 'A' };
  const runOf = (divisions: number, rounds: number, full: boolean) =>
    ({
      jobName: 'Würfel (№ 7)',
      divisions,
      full,
      divides: 'tooth-space',
      rounds: Array.from({ length: rounds }, () => ({ name: 'one', depthMm: 1 })),
      cuts: Array.from({ length: rounds * divisions }, (_, i) => ({
        round: 1 + Math.floor(i / divisions),
        index: 1 + (i % divisions),
        space: 1 + (i % divisions),
        landing: { on: 'steps', steps: 0 },
      })),
    }) as unknown as Parameters<typeof turningProgram>[0]['run'];

  test('97 teeth, two rounds: every place within a second of arc, from below, closing after the last', () => {
    const { turns, stops } = control(turningProgram({ run: runOf(97, 2, true), advance: 360 / 97 }, set));
    expect(stops).toBe(194);
    // first below the start, so that the slack is out; then on and on
    expect(turns[0]).toBe(-5);
    const places = turns.slice(1);
    expect(places).toHaveLength(195);
    for (const [i, angle] of places.entries()) {
      expect(Math.abs(angle - (360 * i) / 97) * 3600).toBeLessThan(1);
      if (i > 0) expect(angle).toBeGreaterThan(places[i - 1]!);
    }
    expect(places.at(-1)).toBe(720);
  });

  test('less than a turn begins each round again, and does not close', () => {
    const { turns, stops } = control(
      turningProgram({ run: runOf(5, 2, false), advance: 12 }, { ...set, axis: 'B' }),
      'B',
    );
    expect(stops).toBe(10);
    expect(turns).toEqual([-5, 0, 12, 24, 36, 48, -5, 0, 12, 24, 36, 48]);
  });

  test('names each place where it stops, in letters that any control takes', () => {
    const text = turningProgram({ run: runOf(3, 1, true), advance: 120 }, set);
    expect(text).toContain('(WURFEL NO 7)');
    expect(text).toContain('M0 (TOOTH SPACE 2: LOCK, CUT, DRAW CLEAR, UNLOCK)');
    expect(text).toMatch(/CUTTER CLEAR BEFORE EVERY START/);
  });
});
