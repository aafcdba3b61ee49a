import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { need } from '../findings/index.ts';
import { sayIssue } from '../messages/index.ts';
import {
  approx,
  exact,
  exactText,
  measure,
  parseAngleDeg,
  parseCount,
  parseLength,
  parsePitch,
  parseRatio,
  type Unit,
} from './index.ts';

const mm = (typed: string, unit: Unit = 'mm') => {
  const length = parseLength(measure(typed, unit));
  return length.ok ? exactText(length.value) : length.issues.map((issue) => issue.code).join();
};

describe('lengths as people write them', () => {
  test.each([
    ['12', 'mm', '12'],
    ['12.5', 'mm', '25/2'],
    ['12,5', 'mm', '25/2'],
    ['12.', 'mm', '12'],
    ['.154', 'in', '19558/5000'],
    ['2 3/8', 'in', '2413/40'],
    ['2-3/8', 'in', '2413/40'],
    ['2 3/8 in', 'mm', '2413/40'],
    ['2 3/8"', 'mm', '2413/40'],
    ['2 3/8″', 'mm', '2413/40'],
    ['2⅜ in', 'mm', '2413/40'],
    ['3/8', 'in', '381/40'],
    ['3.5mm', 'in', '7/2'],
    ['3.5 MM', 'in', '7/2'],
    ['2.75in', 'mm', '1397/20'],
    ['60 thou', 'mm', '381/250'],
    ['6 cm', 'mm', '60'],
    ['1/2 + 1/4 in', 'mm', '381/20'],
    ['1in + 2mm', 'mm', '137/5'],
    ['60-2', 'mm', '58'],
    ['60 - 2', 'mm', '58'],
    ['(58+2)*1.25', 'mm', '75'],
    ['60 × 1.25', 'mm', '75'],
    ['75 ÷ 2', 'mm', '75/2'],
    ['3*1in', 'mm', '381/5'],
    ['1 ft', 'mm', '1524/5'],
    ['-3', 'mm', '-3'],
  ] as const)('%s (bare: %s) is %s mm', (typed, unit, wanted) => {
    expect(mm(typed, unit)).toBe(exactText(exact(wanted)));
  });

  test.each([
    ['', 'missing'],
    ['   ', 'missing'],
    ['abc', 'not-a-number'],
    ['12 furlong', 'unit-unknown'],
    ['12 kg', 'unit-unknown'],
    ['1..2', 'not-a-number'],
    ['2 3/', 'not-a-number'],
    ['5 5', 'not-a-number'],
    ['1/0', 'divided-by-zero'],
    ['1/0 in', 'divided-by-zero'],
    ['1 + 2mm + 3in', 'units-mixed'],
    ['2mm * 3mm', 'not-a-number'],
    ['(2', 'not-a-number'],
    ['2)', 'not-a-number'],
    ['2mm mm', 'not-a-number'],
    ['mm', 'not-a-number'],
    ['1e5', 'unit-unknown'],
    ['£5', 'not-a-number'],
  ])('%j is refused as %s', (typed, code) => {
    expect(mm(typed)).toBe(code);
  });

  test('a pitch given where a length belongs is refused with an example', () => {
    const found = parseLength(measure('14', 'dp'));
    expect(found.ok ? '' : sayIssue(found.issues[0]!)).toMatch(
      /“14 dp” is not a length. Write it like 12\.5/,
    );
  });

  test('any decimal or mixed number comes back exactly (seed 20260411)', () => {
    fc.assert(
      fc.property(
        fc.nat(9999),
        fc.nat(9999),
        fc.nat(6),
        fc.integer({ min: 1, max: 63 }),
        (whole, part, denominatorPower, over) => {
          expect(mm(`${whole}.${String(part).padStart(4, '0')}`)).toBe(
            exactText(exact(whole * 10000 + part, 10000)),
          );
          const under = 2 ** Math.max(1, denominatorPower);
          expect(mm(`${whole} ${over % under}/${under}`)).toBe(
            exactText(exact(whole * under + (over % under), under)),
          );
        },
      ),
      { seed: 20260411, numRuns: 200 },
    );
  });
});

describe('pitches', () => {
  const pitch = (typed: string, unit: Unit = 'module') => {
    const read = parsePitch(measure(typed, unit));
    return read.ok
      ? [read.value.system, exactText(read.value.figure), exactText(read.value.module)]
      : read.issues[0]!.code;
  };
  test.each([
    ['1.25', 'module', ['module', '5/4', '5/4']],
    ['M1.5', 'dp', ['module', '3/2', '3/2']],
    ['m 1.5', 'dp', ['module', '3/2', '3/2']],
    ['1.5 mod', 'dp', ['module', '3/2', '3/2']],
    ['14', 'dp', ['dp', '14', '127/70']],
    ['14DP', 'module', ['dp', '14', '127/70']],
    ['14 P', 'module', ['dp', '14', '127/70']],
    ['DP 14', 'module', ['dp', '14', '127/70']],
    ['3 1/2 DP', 'module', ['dp', '7/2', '254/35']],
    ['1,25', 'module', ['module', '5/4', '5/4']],
  ] as const)('%s (bare: %s)', (typed, unit, wanted) => {
    expect(pitch(typed, unit)).toEqual(wanted);
  });
  test.each([
    ['', 'missing'],
    ['0', 'not-positive'],
    ['-2', 'not-positive'],
    ['fine', 'not-a-number'],
    ['14 DP DP', 'unit-unknown'],
  ])('%j is refused as %s', (typed, code) => {
    expect(pitch(typed)).toBe(code);
  });
});

describe('angles', () => {
  const deg = (typed: string) => {
    const read = parseAngleDeg(measure(typed, 'deg'));
    return read.ok ? approx(read.value) : read.issues[0]!.code;
  };
  test.each([
    ['20', 20],
    ['14.5', 14.5],
    ['14 1/2', 14.5],
    ['14½', 14.5],
    ['14½°', 14.5],
    ["14°30'", 14.5],
    ['14°30′', 14.5],
    ['14d30m', 14.5],
    ['4°34\'12"', 4.57],
    ['4° 34′ 12″', 4.57],
    ['20 deg', 20],
  ])('%s is %d°', (typed, wanted) => {
    expect(deg(typed)).toBeCloseTo(wanted, 12);
  });
  test.each([
    ['', 'missing'],
    ['4°75′', 'out-of-range'],
    ['steep', 'not-a-number'],
    ['20 mm', 'unit-unknown'],
  ])('%j is refused as %s', (typed, code) => {
    expect(deg(typed)).toBe(code);
  });
});

describe('counts', () => {
  const teeth = (typed: string) => {
    const read = parseCount({
      given: measure(typed, 'count'),
      what: 'The tooth count',
      least: 4,
      most: 1000,
    });
    return read.ok ? read.value : sayIssue(read.issues[0]!);
  };
  test('whole counts, also with their word or as a sum', () => {
    expect([teeth('58'), teeth('58 teeth'), teeth('58t'), teeth('2*29')]).toEqual([58, 58, 58, 58]);
  });
  test.each([
    ['0', 'The tooth count of 0 is out of range. It runs from 4 to 1000.'],
    ['-12', 'The tooth count of -12 is out of range. It runs from 4 to 1000.'],
    ['1000000', 'The tooth count of 1000000 is out of range. It runs from 4 to 1000.'],
    ['12.5', 'The tooth count must be a whole number; 12.5 is not. It runs from 4 to 1000.'],
    ['twelve', '“twelve” cannot be read. Write it like 58.'],
  ])('%s: %s', (typed, sentence) => {
    expect(teeth(typed)).toBe(sentence);
  });
});

describe('figures are bounded where they are read', () => {
  const nines = '9'.repeat(20);
  test.each([
    ['a length', () => parseLength(measure(nines, 'mm'))],
    ['a length in inches', () => parseLength(measure(`${nines} in`, 'mm'))],
    ['a long fraction', () => parseLength(measure(`1/${'9'.repeat(50)}`, 'mm'))],
    ['next to nothing', () => parseLength(measure(`0.${'0'.repeat(20)}1`, 'mm'))],
    ['a pitch', () => parsePitch(measure(nines, 'module'))],
    ['a pitch of many to the inch', () => parsePitch(measure('9999999', 'dp'))],
    ['an angle', () => parseAngleDeg(measure(nines, 'deg'))],
    ['an angle with its sign', () => parseAngleDeg(measure(`${nines}°`, 'deg'))],
    ['a count', () => parseCount({ given: measure(nines, 'count'), what: 'The count', least: 1, most: 10 })],
    ['a ratio', () => parseRatio(measure(nines, 'count'), 'The ratio')],
  ] as const)('%s of a held key is answered', (_, read) => {
    expect(read().ok).toBe(false);
  });
  test('0 is a figure, and so are a tenth of a µm and a hundred metres', () => {
    for (const typed of ['0', '0.0001', '100000']) expect(parseLength(measure(typed, 'mm')).ok).toBe(true);
  });
});

test('minutes alone are an angle, as they stand on a scale', () => {
  const degrees = (typed: string) => need(parseAngleDeg(measure(typed, 'deg'))).toFraction();
  expect(degrees("10'")).toBe('1/6');
  expect(degrees('10′')).toBe('1/6');
  expect(degrees(`-30'`)).toBe('-1/2');
  expect(degrees(`10' 30"`)).toBe('7/40');
  expect(degrees('45 min')).toBe('3/4');
  expect(parseAngleDeg(measure("75'", 'deg')).ok).toBe(false);
});
