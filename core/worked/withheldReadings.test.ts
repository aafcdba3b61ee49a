import { describe, expect, test } from '@jest/globals';
import type { SpurPart } from '../kinds/index.ts';
import { measure } from '../units/index.ts';
import { count, mm, workedJob, workedPart } from './bench.ts';
import { difference, inOrder, notTyped, told, type Told } from './told.ts';

/*
 * A gear that is measured in every way there is: 30 teeth of module 1.5 a little thick, 0.02 by pins, by span
 * and by caliper, and sunk once since. One reading less is one thing less told; which of the rest is believed
 * goes pins, span, caliper, depth.
 */

const READ = {
  pin: mm('2.75'),
  tolerance: mm('0.05'),
  outside: mm('47.98'),
  depth: mm('3.37'),
  chordal: mm('2.375'),
  span: mm('16.15'),
  // over pins of 2.75 a nominal gear reads 49.165, and 2.28 of what the tooth is thick more
  pins: mm('49.21'),
  runout: mm('0.03'),
  sunk: mm('0.02'),
};
const ROUND = { what: 'span' as const, readings: { typed: '16.13 16.14 16.16 16.15', unit: 'mm' as const } };

const measured = (change: (part: SpurPart) => Partial<SpurPart>) =>
  told(
    workedPart(
      workedJob({ units: 'mm', mill: 'lying' }, (bare) => {
        const part = {
          ...bare,
          gear: { ...bare.gear, pitch: measure('1.5', 'module'), teeth: count('30') },
          blank: { ...bare.blank, faceWidth: mm('12'), bore: mm('10') },
          inspect: { ...bare.inspect, ...READ, round: ROUND },
        };
        return { ...part, ...change(part) };
      }),
    ),
    'inspect',
  );
const read = (said: Partial<SpurPart['inspect']>) =>
  measured((part) => ({ inspect: { ...part.inspect, ...said } }));
const full = measured(() => ({}));

const WITHIN = ['checks chordal', 'checks depth', 'checks pins', 'checks span'];
const BY_READING = ['line sink', 'line thick', 'verdict'];

describe('a measured gear of which one thing was not read', () => {
  const rows: Readonly<Record<keyof typeof READ, Told>> = {
    // the usual pin stands elsewhere: what was read over another is at odds with the rest
    pin: {
      gone: ['line sink', 'line thick'],
      other: [
        'answer',
        'checks pins',
        'line pin-angle',
        'line pins',
        'pin',
        'value pins',
        'value verdict',
        'verdict',
      ],
      anew: ['query inspect-disagree'],
    },
    // 0.03 unless it is said: what it is within, of each reading and of those round the gear
    tolerance: { other: [...WITHIN, 'round', 'verdict'] },
    outside: { gone: ['value outside-read'], other: ['checks outside'] },
    depth: { gone: ['value depth-read'], other: ['checks depth'] },
    chordal: { gone: ['value chordal-read'], other: ['checks chordal'] },
    span: { gone: ['value span-read'], other: ['checks span'] },
    // without pins the span is believed
    pins: { gone: ['value pins-read'], other: ['checks pins', ...BY_READING] },
    runout: { gone: ['runout'] },
    sunk: { other: ['checks depth', 'value depth'] },
  };
  test.each(Object.entries(rows) as [keyof typeof READ, Told][])('%s', (field, expected) => {
    expect(difference(full, read({ [field]: notTyped(READ[field]) }))).toEqual(inOrder(expected));
  });
  test('round the gear', () => {
    const none = read({ round: { ...ROUND, readings: { typed: '', unit: 'mm' } } });
    expect(difference(full, none)).toEqual(inOrder({ gone: ['round'] }));
  });
  test('neither pins nor span: the caliper is believed; nor that: the depth', () => {
    const by = (...fields: (keyof typeof READ)[]) => {
      const left = read(Object.fromEntries(fields.map((field) => [field, notTyped(READ[field])])));
      const verdict = left.get('verdict');
      return verdict === undefined ? null : (JSON.parse(verdict) as { by: string; thick: number });
    };
    // 45 arcsin(2.375/45) − π·1.5/2, the tooth whose chord was read
    expect(by('pins', 'span')).toMatchObject({
      by: 'chordal',
      thick: expect.closeTo(45 * Math.asin(2.375 / 45) - (Math.PI * 1.5) / 2, 9),
    });
    // 3.375 and 0.02 more since: 0.025 not reached, by a flank that slopes 20° and 90°/26
    const slope = ((20 + 90 / 26) * Math.PI) / 180;
    expect(by('pins', 'span', 'chordal')).toMatchObject({
      by: 'depth',
      thick: expect.closeTo((2 * 0.025 * Math.sin(slope)) / Math.cos((20 * Math.PI) / 180), 4),
    });
    expect(by('pins', 'span', 'chordal', 'depth')).toBeNull();
  });
});

describe('a measured gear that is another', () => {
  const everyFigure = ['chordal', 'depth', 'pins', 'span'].map((id) => `value ${id}`);
  test('turned a little small: what is read from its outside is read from there', () => {
    const small = measured((part) => ({ blank: { ...part.blank, measured: mm('47.9') } }));
    expect(difference(full, small)).toEqual(
      inOrder({
        other: ['checks chordal', 'checks depth', 'checks outside', 'value depth', 'value outside'],
      }),
    );
  });
  test('its teeth thinned: every figure of the tooth, and the readings mean another thing', () => {
    const thinned = measured((part) => ({ gear: { ...part.gear, thinning: mm('0.02') } }));
    expect(difference(full, thinned)).toEqual(
      inOrder({
        other: [...WITHIN, ...everyFigure, ...BY_READING, 'round'].concat(
          ['chordal', 'pin-angle', 'pins', 'span'].map((line) => `line ${line}`),
        ),
      }),
    );
  });
  test('face and bore say nothing of a straight tooth', () => {
    for (const field of ['faceWidth', 'bore'] as const)
      expect(
        difference(
          full,
          measured((part) => ({ blank: { ...part.blank, [field]: mm('') } })),
        ),
      ).toEqual(inOrder({}));
  });
});
