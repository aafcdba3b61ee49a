import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { foldRun, readRun, type Run } from '../run/index.ts';
import { drive, freeze, three } from '../sampleRuns.ts';
import { STOCK_ROTARY } from '../shop/index.ts';
import type { SpacingInput } from '../spacing/index.ts';
import { AT_STOPS, cutBefore, progressOf, promptText, sayNow, stretchOf } from './index.ts';

const begin = (what: SpacingInput['what']): Run => freeze({ head: three, count: 12, what }, 'simple');
const said = (run: Run): string[] =>
  [...run.cuts, null].flatMap((next) =>
    stretchOf(run, { next, last: cutBefore(run, next) }).map((prompt) => promptText(run, prompt)),
  );

/** What is said when the first is made, and what is pressed when the second is. */
const pressed = (run: Run): [string, string] => {
  const fresh = foldRun(run, []);
  const made = { ...fresh, next: run.cuts[1]!, last: run.cuts[0]!, done: 1 };
  const { lead, done } = sayNow(run, made, progressOf(run, made, AT_STOPS))!;
  return [lead, done];
};

describe('what is divided is called by its own name: a space is the plate’s', () => {
  test.each([
    [
      'holes',
      'Work hole 2 drilled',
      'Work hole 1 is drilled. Turn clockwise:',
      /^Drill work hole 12/,
      /go into it/,
    ],
    ['flats', 'Flat 2 cut', 'Flat 1 is cut. Turn clockwise:', /^Cut flat 12/, /pass over it evenly/],
    ['slots', 'Slot 2 cut', 'Slot 1 is cut. Turn clockwise:', /^Cut slot 12/, /without touching a side/],
    [
      'splines',
      'Spline space 2 cut',
      'Spline space 1 is cut. Turn clockwise:',
      /^Cut spline space 12/,
      /a side/,
    ],
    ['marks', 'Mark 2 cut', 'Mark 1 is cut. Turn clockwise:', /^Cut mark 12/, /fall on it exactly/],
    ['teeth', 'Tooth space 2 cut', 'Tooth space 1 is cut. Turn clockwise:', /^Cut tooth space 12/, /a flank/],
    ['spaces', 'Place 2 cut', 'Place 1 is cut. Turn clockwise:', /^Cut place 12/, /take nothing off/],
  ] as const)('%s', (what, done, lead, last, judge) => {
    const run = begin(what);
    expect(pressed(run)).toEqual([lead, done]);
    const all = said(run);
    expect(all).toContainEqual(expect.stringMatching(last));
    expect(all.at(-1)).toMatch(judge);
    // 40/12 turns: 3 and 11 of 33; nothing but the plate has spaces
    for (const line of all.filter((line) => !/^(Tooth|Spline)/.test(line)))
      expect(line.replace(/\d+ spaces|(tooth|spline) space/gi, '')).not.toMatch(/space/i);
    if (what !== 'teeth') expect(all.join(' ')).not.toMatch(/flank|tooth/);
  });

  test('a mark is not marked again, and every tenth of the rest is', () => {
    expect(said(begin('marks')).join(' ')).not.toMatch(/and mark it/);
    expect(said(begin('slots')).filter((line) => line.endsWith(', and mark it.'))).toHaveLength(2);
  });
});

test.each(['crank', 'spindle'] as const)(
  'a motor’s steps are told in degrees of the work, on the %s',
  (on) => {
    const motor = { ...drive, on, microsteps: on === 'crank' ? 8 : 64 };
    const run = freeze({ head: STOCK_ROTARY, count: 53, motor }, 'stepper');
    const made = { ...foldRun(run, []), next: run.cuts[1]!, last: run.cuts[0]!, done: 1 };
    const said = sayNow(run, made, progressOf(run, made, AT_STOPS))!;
    // 200 × 8 steps a turn of the crank, 90 of them for one of the work;
    // or 200 × 64 for one of the work: 22.5″, said as 23
    const [steps, angle] = on === 'crank' ? ['2717', '6° 47′ 33″'] : ['242', '6° 48′ 23″'];
    expect(said.figures[0]).toMatchObject({ figure: steps, words: 'steps' });
    expect(said.lines).toEqual([
      `Counted from the start of the round; ${steps} on from here, ${angle} of the work. Work hole 2 of 53.`,
    ]);
  },
);

test('a run that rests from before says what it divided, as its card told', () => {
  const old = JSON.parse(readFileSync(new URL('../run/samples/v9.json', import.meta.url), 'utf8')) as Record<
    string,
    unknown
  >;
  expect(old).toMatchObject({ version: 9, gear: '7 flats round', divisions: 7 });
  expect(readRun(old).divides).toBe('flat');
  expect(said(readRun(old)).at(-1)).toMatch(/bring the cutter to flat 1: it must pass over it evenly/);
  const called = (gear: string, measured = false) => readRun({ ...old, gear, measured }).divides;
  expect(called('58 teeth, m 1.25, 20°', true)).toBe('tooth-space');
  expect(called('127 holes round')).toBe('hole');
  expect(called('20 teeth, pitch 6.283 mm')).toBe('tooth-space');
  expect(called('12 spaces round')).toBe('place');
  expect(called('1 : 40 single-start worm', true)).toBe('tooth-space');
  expect(called('as the drawing says')).toBe('place');
});
