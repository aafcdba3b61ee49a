import { describe, expect, test } from '@jest/globals';
import { at, fail, ISSUE_CODES, need, ok, sayIssue, type Issue, type Severity } from './index.ts';

/** An issue whose every figure is there. */
const whole = (code: Issue['code'], severity: Severity = 'wrong'): Issue => ({
  code,
  path: 'x',
  severity,
  given: '7 mm',
  allowed: 'Take 8 mm',
  detail: new Proxy({}, { get: () => '9 mm' }),
});

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
    const words = sayIssue(whole(code));
    expect(words).toMatch(/^[“A-Z0-9]/);
    if (!ENDED_BY_THE_CALLER.includes(code)) expect(words).toMatch(/[.?]$/);
    expect(words).not.toMatch(/undefined|null|NaN|\[object| {2}|\.\.|\?\./);
    // no jargon of computing, and nothing to be read twice
    expect(words).not.toMatch(/\b(invalid|null|parse|string|boolean|schema|exception|error code|integer)\b/i);
    expect(words.length).toBeLessThan(420);
  });
});

describe('results', () => {
  const issue: Issue = { code: 'missing', path: 'teeth', severity: 'needed', allowed: 'the teeth' };
  test('an issue is put under the place where it was found; one of the whole stands at the place itself', () => {
    expect(at('parts.p1.gear', [issue])[0]!.path).toBe('parts.p1.gear.teeth');
    expect(at('parts.p1', [{ ...issue, path: '' }])[0]!.path).toBe('parts.p1');
  });
  test('what has failed is never taken for a value', () => {
    expect(need(ok(5))).toBe(5);
    expect(fail(issue)).toEqual({ ok: false, issues: [issue] });
    expect(() => need(fail(issue))).toThrow('found missing');
  });
});
