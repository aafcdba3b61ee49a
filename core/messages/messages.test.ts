import { describe, expect, test } from '@jest/globals';
import {
  placedUnder,
  fail,
  ISSUE_FIGURES,
  need,
  ok,
  toldLength,
  type Issue,
  type IssueCode,
} from '../findings/index.ts';
import { ISSUE_CODES, sayIssue } from './index.ts';

/** A figure of each sort, with what it must look like where it is told; each another. */
const FIGURES: Readonly<Record<string, (i: number) => readonly [unknown, string]>> = {
  word: (i) => [`${i} marks`, `${i} marks`],
  number: (i) => [i, String(i)],
  angle: (i) => [i, `${i}°`],
  length: (i) => [toldLength(i, 'mm', 'fine'), `${i}.000 mm`],
};

/**
 * An issue with just the figures that its code asks of whoever reports it, each another: a misspelt one would
 * be missed.
 */
function withItsFigures(code: IssueCode): { readonly issue: Issue; readonly figures: readonly string[] } {
  const made = Object.entries<string>(ISSUE_FIGURES[code]).map(
    ([name, sort], i) => [name, ...FIGURES[sort]!(i + 11)] as const,
  );
  const { given, allowed, ...detail } = Object.fromEntries(made.map(([name, figure]) => [name, figure]));
  return {
    issue: { code, path: 'x', severity: 'wrong', given, allowed, detail } as unknown as Issue,
    figures: made.filter(([name]) => name !== CHOOSES[code]).map(([, , told]) => told),
  };
}

/** Which of two sentences it is goes by this figure, which is not told itself. */
const CHOOSES: Readonly<Partial<Record<IssueCode, string>>> = {
  'angles-overlap': 'on',
  'worm-thread-pointed': 'which',
};

/** Their last sentence is the caller's own: what else there is to do. */
const ENDED_BY_THE_CALLER: readonly Issue['code'][] = [
  'lead-out-of-reach',
  'no-simple-indexing',
  'starts-way',
  'setup-no-room',
  'not-json',
  'shape',
];

describe('what is told', () => {
  test.each(ISSUE_CODES)('%s is told in whole sentences of shop English', (code) => {
    const { issue, figures } = withItsFigures(code);
    const words = sayIssue(issue);
    for (const figure of figures) expect([code, words]).toEqual([code, expect.stringContaining(figure)]);
    expect(words).toMatch(/^[“A-Z0-9]/);
    if (!ENDED_BY_THE_CALLER.includes(code)) expect(words).toMatch(/[.?]$/);
    expect(words).not.toMatch(/undefined|null|NaN|\[object| {2}|\.\.|\?\./);
    // no jargon of computing, and nothing to be read twice
    expect(words).not.toMatch(/\b(invalid|null|parse|string|boolean|schema|exception|error code|integer)\b/i);
    expect(words.length).toBeLessThan(420);
  });
});

test('a sentence that goes by a figure has a word for each', () => {
  const overlap = (on: string) =>
    sayIssue({
      code: 'angles-overlap',
      path: 'count',
      severity: 'query',
      given: '5 × 90°',
      detail: { on, total: 360 },
    });
  expect(overlap('first')).toMatch(/^From the first to the last of them is 360°, a whole turn/);
  expect(overlap('others')).toMatch(/^5 × 90° come to 360°, more than a whole turn/);
  const pointed = (which: string) =>
    sayIssue({
      code: 'worm-thread-pointed',
      path: 'x',
      severity: 'wrong',
      given: '29°',
      detail: { which },
    });
  expect([pointed('crest'), pointed('tool')].map((said) => /thread|tool/.exec(said)![0])).toEqual([
    'thread',
    'tool',
  ]);
});

test('a length is told in the units of who reads it, as fine as it matters, or in both', () => {
  const bore = (root: Issue) => sayIssue(root);
  const issue = (root: ReturnType<typeof toldLength>): Issue => ({
    code: 'bore-over-root',
    path: 'bore',
    severity: 'wrong',
    given: '95',
    detail: { root },
  });
  // 88.9 mm are 3.5 inches
  expect(bore(issue(toldLength(88.9, 'mm')))).toContain('the root, Ø 88.90 mm: no metal');
  expect(bore(issue(toldLength(88.9, 'in')))).toContain('the root, Ø 3.500 in: no metal');
  expect(bore(issue(toldLength(88.9, 'in', 'fine')))).toContain('Ø 3.5000 in');
  expect(bore(issue(toldLength(88.9, 'mm', 'both')))).toContain('Ø 88.900 mm (3.5000 in): no metal');
});

describe('results', () => {
  const issue: Issue = { code: 'missing', path: 'teeth', severity: 'needed', allowed: 'the teeth' };
  test('an issue is put under the place where it was found; one of the whole stands at the place itself', () => {
    expect(placedUnder('parts.p1.gear', [issue])[0]!.path).toBe('parts.p1.gear.teeth');
    expect(placedUnder('parts.p1', [{ ...issue, path: '' }])[0]!.path).toBe('parts.p1');
  });
  test('what has failed is never taken for a value', () => {
    expect(need(ok(5))).toBe(5);
    expect(fail(issue)).toEqual({ ok: false, issues: [issue] });
    expect(() => need(fail(issue))).toThrow('found missing');
  });
});
