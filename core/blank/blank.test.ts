import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { drawnSpurJob, withSpurPart, type Job } from '../job/index.ts';
import { plan, stationOf } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure, type UnitSystem } from '../units/index.ts';
import type { BlankInput } from './index.ts';

/** 62 teeth, m 1.5: outside 96, root 96 − 2·3.375 = 89.25. */
const drawn = (units: UnitSystem = 'mm', pitch = '1.5'): Job =>
  drawnSpurJob({ id: 'b', name: 'Wheel', pitch, teeth: 62, face: '14', bore: '12', units });
const blankOf = (typed: Partial<Record<keyof BlankInput, string>> = {}, job = drawn()) => {
  const fields = Object.fromEntries(
    Object.entries(typed).map(([key, text]) => [key, measure(text, job.units)]),
  );
  const changed = withSpurPart(job, 'p1', (part) => ({ ...part, blank: { ...part.blank, ...fields } }));
  const [part] = plan(changed, STOCK_EQUIPMENT).parts;
  return { station: stationOf(part!, 'blank')!, cut: stationOf(part!, 'cut')! };
};
const said = (...given: Parameters<typeof blankOf>): string[] =>
  blankOf(...given).station.issues.map(
    (issue) => `${issue.severity} ${issue.path.split('.').at(-1)}: ${sayIssue(issue)}`,
  );
const valueOf = (key: string, ...given: Parameters<typeof blankOf>): number | null => {
  const value = blankOf(...given).station.values.find((each) => each.key === key);
  return value?.kind === 'length' ? value.mm : null;
};

describe('what to turn', () => {
  test('outside, root and the metal under the teeth', () => {
    expect(blankOf().station.answer).toBe('Ø 96.00 × 14.00');
    expect(valueOf('tipDiameter')).toBe(96);
    expect(valueOf('rootDiameter')).toBe(89.25);
    expect(valueOf('wall')).toBe((89.25 - 12) / 2);
  });
  test('in inches as in millimetres, each to its own decimals', () => {
    expect(blankOf({ faceWidth: '5/8', bore: '3/4' }, drawn('in', '16')).station.answer).toBe(
      'Ø 4.000 × 0.625',
    );
  });
  test('a solid blank has no wall to judge; a blank without a face still says its outside', () => {
    expect(said({ bore: '0' })).toEqual([]);
    expect(valueOf('wall', { bore: '0' })).toBeNull();
    expect(blankOf({ faceWidth: '' }).station.answer).toBe('Ø 96.00');
  });
});

describe('a blank as it was turned', () => {
  test('over size the dial goes deeper by half, and the tips are told to be long', () => {
    expect(valueOf('dialDepth', { measured: '96.2' })).toBeCloseTo(3.475, 12);
    expect(said({ measured: '96.2' })).toEqual([
      expect.stringMatching(/^query measured: .*0\.200 mm over.*3\.475 mm/),
    ]);
  });
  test('under size it goes less deep, and that does no harm', () => {
    expect(valueOf('dialDepth', { measured: '95.9' })).toBeCloseTo(3.325, 12);
    expect(said({ measured: '95.9' })).toEqual([expect.stringMatching(/^note measured: .*under.*no harm/)]);
  });
  test('on size nothing is said', () => expect(said({ measured: '96' })).toEqual([]));
  test('as far off as a quarter of the addendum it is another blank, or another unit', () => {
    expect(said({ measured: '96.375' })[0]).toMatch(/^query measured: .*over/);
    expect(said({ measured: '96.38' })[0]).toMatch(/^query measured: .*Ø 96\.000 mm/);
    expect(said({ measured: '3.78' })).toHaveLength(1);
  });
  test('whatever it measures, cut by its dial the root comes out where it belongs (seed 44)', () => {
    fc.assert(
      fc.property(fc.integer({ min: -370, max: 370 }), (thousandths) => {
        const measured = 96 + thousandths / 1000;
        const { cut } = blankOf({ measured: measured.toFixed(3) });
        const dial = cut.detail.rounds.at(-1)!.depthMm!;
        expect(measured - 2 * dial).toBeCloseTo(89.25, 9);
      }),
      { seed: 44, numRuns: 60 },
    );
  });
});

describe('bad input, at its field', () => {
  test.each([
    ['bore', '89.25', /^wrong bore: .*Ø 89\.25 mm/],
    ['bore', '120', /^wrong bore:/],
    ['bore', '84', /^query bore: .*2\.63 mm/],
    ['bore', '-4', /^wrong bore: A bore of -4 is out of range\. A bore is 0 \(solid\) or more\./],
    ['bore', '', /^needed bore: Still needed: the bore \(0 for none\)\./],
    ['bore', 'twelve', /^wrong bore: “twelve” cannot be read/],
    ['faceWidth', '', /^needed faceWidth: Still needed/],
    ['faceWidth', '0', /^wrong faceWidth: The face width must be more than zero; 0 is not\./],
    ['measured', '-96', /^wrong measured: The blank as turned must be more than zero/],
    ['measured', '96 DP', /^wrong measured:/],
  ] as const)('%s “%s”', (field, typed, words) => {
    expect(said({ [field]: typed })).toEqual([expect.stringMatching(words)]);
  });
  test('a bore that leaves no metal is not carried on, the rest of the blank is', () => {
    const { station } = blankOf({ bore: '95' });
    expect(station.complete).toBe(false);
    expect(station.detail.drawing).toMatchObject({ bore: null, tipDiameter: 96, faceWidth: 14 });
  });
  test('without a gear it waits, and keeps what was typed', () => {
    const none = withSpurPart(drawn(), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, teeth: measure('', 'count') },
    }));
    const { station } = blankOf({}, none);
    expect(station.answer).toBe('waits for the gear');
    expect(station.values.map(({ key }) => key)).toEqual(['faceWidth', 'bore']);
  });
});
