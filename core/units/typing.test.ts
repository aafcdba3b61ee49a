import { describe, expect, test } from '@jest/globals';
import type { Issue, Result } from '../findings/index.ts';
import { sayIssue } from '../messages/index.ts';
import {
  exact,
  exactText,
  measure,
  parseAngleDeg,
  parseCount,
  parseLength,
  parsePitch,
  parseRatio,
  stepped,
  type Exact,
  type Unit,
} from './index.ts';

/**
 * How a bare figure is meant here, what was typed, and what it is: mm, degrees, module mm, a count or a
 * ratio.
 */
const RIGHT: readonly (readonly [Unit | 'ratio', string, string])[] = [
  ['mm', '12', '12'],
  ['mm', ' 12 ', '12'],
  ['mm', '12.50', '25/2'],
  ['mm', '12,5', '25/2'],
  ['mm', '012.5', '25/2'],
  ['mm', '12.5 mm', '25/2'],
  ['mm', '3.5mm', '7/2'],
  ['mm', '3.5 MM', '7/2'],
  ['mm', '1.2cm', '12'],
  ['mm', '.5', '1/2'],
  ['mm', '63/42', '3/2'],
  ['mm', '2*30', '60'],
  ['mm', '60 x 1', 'x'],
  ['mm', '(60+2)*1.25', '155/2'],
  ['mm', '1/2"', '127/10'],
  ['mm', '1/2 in', '127/10'],
  ['mm', '1½ in', '381/10'],
  ['mm', '2 3/8 inches', '2413/40'],
  ['mm', '2-3/8"', '2413/40'],
  ['mm', '154 thou', '9779/2500'],
  ['in', '.154', '19558/5000'],
  ['in', '0.154', '19558/5000'],
  ['in', '2 3/8', '2413/40'],
  ['in', '2-3/8', '2413/40'],
  ['in', '3/8', '381/40'],
  ['in', '15/16', '1905/80'],
  ['in', '1 1/64', '1651/64'],
  ['in', '2.75in', '1397/20'],
  ['in', '60 mm', '60'],
  ['in', '1 mil', '127/5000'],
  ['in', '2″', '254/5'],
  ['in', '1 ft', '1524/5'],
  ['in', '½', '127/10'],
  ['in', '1/2 + 1/4', '381/20'],
  ['in', '3 × 1/4', '381/20'],
  ['module', '1.5', '3/2'],
  ['module', 'M1.5', '3/2'],
  ['module', 'm 1.5', '3/2'],
  ['module', 'mod 1.5', '3/2'],
  ['module', '1.5 module', '3/2'],
  ['module', '14DP', '127/70'],
  ['module', '14 dp', '127/70'],
  ['module', '14 D.P.', '127/70'],
  ['module', '14P', '127/70'],
  ['module', 'P14', '127/70'],
  ['dp', '14', '127/70'],
  ['dp', '3 1/2', '254/35'],
  ['dp', '3½ DP', '254/35'],
  ['dp', 'M2', '2'],
  ['dp', '12.7', '2'],
  ['deg', '20', '20'],
  ['deg', '14.5', '29/2'],
  ['deg', '14 1/2', '29/2'],
  ['deg', '14½', '29/2'],
  ['deg', '14°30′', '29/2'],
  ['deg', "14°30'", '29/2'],
  ['deg', '4° 34′', '137/30'],
  ['deg', '4°34′12″', '457/100'],
  ['deg', '4d 34m', '137/30'],
  ['deg', '20°', '20'],
  ['count', '58', '58'],
  ['count', '58 teeth', '58'],
  ['count', '58T', '58'],
  ['count', ' 58', '58'],
  ['count', '60-2', '58'],
  ['ratio', '3', '3'],
  ['ratio', '3:1', '3'],
  ['ratio', '63/42', '3/2'],
  ['ratio', '1.5', '3/2'],
  ['ratio', '2 1/2', '5/2'],
];

const WRONG: readonly (readonly [Unit | 'ratio', string])[] = [
  ['mm', ''],
  ['mm', 'twelve'],
  ['mm', '12..5'],
  ['mm', '1.2.3'],
  ['mm', '12 5'],
  ['mm', '12 kg'],
  ['mm', '12 furlongs'],
  ['mm', 'mm'],
  ['mm', '12 mm mm'],
  ['mm', '1/0'],
  ['mm', '12/'],
  ['mm', '/12'],
  ['mm', '(12'],
  ['mm', '12)'],
  ['mm', '*12'],
  ['mm', '1 + '],
  ['mm', '2mm*3mm'],
  ['mm', '1 + 2mm + 3in'],
  ['mm', '12!'],
  ['mm', '#12'],
  ['mm', '12€'],
  ['mm', '1e3'],
  ['mm', 'Infinity'],
  ['mm', 'NaN'],
  ['mm', '12 m'],
  ['mm', '14 DP'],
  ['mm', '20°'],
  ['in', '2 3/'],
  ['in', '3//8'],
  ['in', '2 3/0'],
  ['in', '8 3/8 1'],
  ['in', '"'],
  ['in', '1/2 +'],
  ['in', '.'],
  ['in', '..'],
  ['in', '1 1/2 1/4'],
  ['in', '1 yard'],
  ['module', ''],
  ['module', 'M'],
  ['module', 'DP'],
  ['module', 'M-2'],
  ['module', '0'],
  ['module', '-1'],
  ['module', 'M1.5 mm DP'],
  ['module', '14 PD'],
  ['dp', '1/0'],
  ['dp', 'fourteen'],
  ['dp', 'DP 0'],
  ['dp', '14 in'],
  ['deg', ''],
  ['deg', '4°75′'],
  ['deg', '4°34′61″'],
  ['deg', 'twenty'],
  ['deg', '20 mm'],
  ['deg', '4°34'],
  ['deg', "4'34"],
  ['deg', '°'],
  ['count', ''],
  ['count', '12.5'],
  ['count', '0'],
  ['count', '-3'],
  ['count', '4000000'],
  ['count', 'a dozen'],
  ['count', '58 apples'],
  ['count', '1/3'],
  ['ratio', ''],
  ['ratio', '3:'],
  ['ratio', ':1'],
  ['ratio', '0'],
  ['ratio', '-2'],
  ['ratio', '3 to 1'],
];

const read = (as: Unit | 'ratio', typed: string): Result<Exact | number> => {
  if (as === 'ratio') return parseRatio(measure(typed, 'count'), 'A ratio');
  const given = measure(typed, as);
  switch (as) {
    case 'mm':
    case 'in':
      return parseLength(given);
    case 'deg':
      return parseAngleDeg(given);
    case 'count':
      return parseCount({ given, what: 'The tooth count', least: 4, most: 1000 });
    default: {
      const pitch = parsePitch(given);
      return pitch.ok ? { ok: true, value: pitch.value.module } : pitch;
    }
  }
};

describe('typed as people write it', () => {
  const right = RIGHT.filter(([, , wanted]) => wanted !== 'x');
  test('sixty ways and more', () => expect(right.length).toBeGreaterThanOrEqual(60));
  test.each(right)('%s: %j is %s', (as, typed, wanted) => {
    const found = read(as, typed);
    expect(found.ok && exactText(exact(found.value as never))).toBe(exactText(exact(wanted)));
  });
});

describe('mistyped', () => {
  test('sixty ways and more', () => expect(WRONG.length).toBeGreaterThanOrEqual(60));
  test.each(WRONG)('%s: %j is refused, with a whole sentence', (as, typed) => {
    const found = read(as, typed);
    expect(found.ok).toBe(false);
    const issues = (found as { issues: readonly Issue[] }).issues;
    for (const issue of issues) expect(sayIssue(issue)).toMatch(/^[^a-z].{8,}[.?]$/s);
    for (const issue of issues) expect(sayIssue(issue)).not.toMatch(/undefined|NaN\b(?!”)/);
  });
});

describe('stepping', () => {
  test.each([
    ['12', 'mm', 1, '12.1'],
    ['12.5 mm', 'mm', -1, '12.4 mm'],
    ['.154', 'in', 1, '0.159'],
    ['2 3/8', 'in', 1, '2 25/64'],
    ['63/64', 'in', 1, '1'],
    ['58', 'count', -1, '57'],
    ['20', 'deg', 1, '20.5'],
    ['14 DP', 'module', 1, '15 DP'],
    ['M1.5', 'module', -1, 'M1.25'],
  ] as const)('%s (%s) by %d is %s', (typed, unit, way, wanted) =>
    expect(stepped(measure(typed, unit), way)).toEqual(measure(wanted, unit)),
  );
  test.each(['', '1/2 + 1/4', 'a dozen', '(2', '0.1'])('%j down has no step', (typed) =>
    expect(stepped(measure(typed, 'mm'), -1)).toBeNull(),
  );
});
