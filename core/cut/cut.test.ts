import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { exact, measure, type UnitSystem } from '../units/index.ts';
import { planCut, type CutInput, type CutAsked } from './index.ts';

const ONE: CutInput = {
  scratch: false,
  passes: 'one',
  finishStock: measure('', 'mm'),
  startSpace: measure('1', 'count'),
};
const FULL = { spaces: 62, full: true, divides: 'tooth-space' as const };
const DEPTH = exact('3.375');
const cut = (
  change: Partial<CutInput> = {},
  {
    depth = DEPTH as CutAsked['wholeDepth'],
    spaces = FULL as CutAsked['spaces'],
    units = 'mm' as UnitSystem,
  } = {},
) => planCut({ input: { ...ONE, ...change }, wholeDepth: depth, spaces, path: 'parts.p1.cut', units });
const two = (typed: string) => ({ passes: 'rough-finish' as const, finishStock: measure(typed, 'mm') });
const said = (...given: Parameters<typeof cut>) =>
  cut(...given).issues.map((issue) => `${issue.severity} ${issue.path}: ${sayIssue(issue)}`);
const depthsOf = (...given: Parameters<typeof cut>) =>
  cut(...given).detail.rounds.map(({ name, depthMm }) => [name, depthMm]);

describe('the rounds', () => {
  test('one goes to the whole depth', () => {
    expect(depthsOf()).toEqual([['one', 3.375]]);
    expect(cut().answer).toBe('1 pass, 3.38 deep');
  });
  test('two: the first leaves what the second takes, and together they are the depth, exactly', () => {
    expect(depthsOf(two('0.4'))).toEqual([
      ['rough', 2.975],
      ['finish', 3.375],
    ]);
    const { facts, answer } = cut(two('0.1'), { depth: exact('0.3') });
    expect(facts!.rounds.map(({ depth }) => depth!.toFraction())).toEqual(['1/5', '3/10']);
    expect(answer).toBe('2 passes: 0.20 + 0.10');
  });
  test('a scratch goes before them, without a depth, and counts as cuts', () => {
    expect(depthsOf({ scratch: true, ...two('0.4') }).map(([name]) => name)).toEqual([
      'scratch',
      'rough',
      'finish',
    ]);
    const { answer, values } = cut({ scratch: true });
    expect(answer).toBe('scratch, then 1 pass, 3.38 deep');
    expect(values.find(({ key }) => key === 'spaces')).toMatchObject({ text: '124' });
  });
  test('work without a depth of its own is still gone round', () => {
    expect(depthsOf({}, { depth: 'free' })).toEqual([['one', null]]);
    expect(cut(two('0.4'), { depth: 'free' }).answer).toBe('1 pass, no depth given');
  });
  test('waits for the depth, and for what is to be cut', () => {
    expect(cut({}, { depth: null })).toMatchObject({ answer: 'waits for the depth', facts: null });
    expect(cut({}, { spaces: null })).toMatchObject({ answer: 'waits for the depth', facts: null });
  });
  test('in inches', () => {
    const inches = { depth: exact('0.18').mul(25.4), units: 'in' as const };
    const stock = { passes: 'rough-finish' as const, finishStock: measure('.015', 'in') };
    expect(cut(stock, inches).answer).toBe('2 passes: 0.165 + 0.015');
  });
});

describe('bad input, at its field', () => {
  test.each([
    [
      '3.375',
      /^wrong parts\.p1\.cut\.finishStock: Leaving 3\.375 for the finish pass is not possible.*3\.38 mm\.$/,
    ],
    ['4', /^wrong .*finishStock: Leaving 4/],
    ['0', /^wrong .*finishStock: The depth left for the finish pass must be more than zero/],
    ['-.2', /^wrong .*finishStock:/],
    ['', /^needed .*finishStock: Still needed/],
    ['a bit', /^wrong .*finishStock: “a bit” cannot be read/],
  ])('leaving “%s”', (typed, words) => {
    expect(said(two(typed))).toEqual([expect.stringMatching(words)]);
    expect(cut(two(typed))).toMatchObject({ facts: null, answer: 'passes to be set' });
  });
  const startAt = (typed: string) => ({ startSpace: measure(typed, 'count') });
  test.each(['1', '2', '62'])('a run may start at space %s', (typed) => {
    expect(cut(startAt(typed)).facts).toMatchObject({ startSpace: Number(typed) });
  });
  test.each(['0', '63', '-1', '400'])('nor at space %s', (typed) => {
    expect(said(startAt(typed))).toEqual([
      expect.stringMatching(
        new RegExp(`startSpace: The run cannot start at ${typed}\\. Tooth spaces run from 1 to 62\\.$`),
      ),
    ]);
    expect(cut(startAt(typed)).facts).toBeNull();
  });
  test('half a space is none, and a part of a turn has nothing to come round to', () => {
    expect(said(startAt('2.5'))[0]).toMatch(/must be a whole number; 2\.5 is not/);
    expect(said(startAt('2'), { spaces: { spaces: 9, full: false, divides: 'flat' } })[0]).toMatch(
      /starts at flat 1\.$/,
    );
  });
  test('what is wrong in two places is told in both', () => {
    expect(
      said({ ...two('9'), ...startAt('99') }).map((words) => words.split(':')[0]!.split('.').at(-1)),
    ).toEqual(['finishStock', 'startSpace']);
  });
});
