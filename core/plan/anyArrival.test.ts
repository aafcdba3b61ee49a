import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptyArrival, type Arrival } from '../arrival/index.ts';
import { sayIssue } from '../messages/index.ts';
import { newSpurJob, withSpurPart } from '../job/index.ts';
import { STOCK_EQUIPMENT as shop } from '../shop/index.ts';
import { measure, type Unit } from '../units/index.ts';
import { plan } from './index.ts';

test('whatever is typed about a sample, a piece or two shafts, the plan answers in whole sentences (seed 4)', () => {
  const typed = fc.oneof(
    fc.constantFrom(
      '',
      '0',
      '-1',
      '40',
      '52.4',
      '2.5',
      '1/0',
      '3 to 1',
      '3:1',
      '105° 30′',
      'M1.5',
      '14 DP',
      '60 thou',
      '1e9',
      '0.0001',
      '999999',
      'π',
      '12 5',
    ),
    fc.double({ min: 0.01, max: 400, noNaN: true }).map((figure) => figure.toFixed(2)),
  );
  const filled = (from: unknown): fc.Arbitrary<unknown> => {
    if (Array.isArray(from) || typeof from !== 'object' || from === null) return fc.constant(from);
    const at = from as Record<string, unknown>;
    if (typeof at['typed'] === 'string')
      return fc.oneof(
        { arbitrary: fc.constant(from), weight: 1 },
        { arbitrary: typed.map((text) => measure(text, at['unit'] as Unit)), weight: 2 },
      );
    return fc.record(Object.fromEntries(Object.entries(at).map(([key, value]) => [key, filled(value)])));
  };
  const arrivals = fc
    .constantFrom('sample' as const, 'blank' as const, 'shafts' as const)
    .chain((by) => filled(emptyArrival(by, 'mm')));
  fc.assert(
    fc.property(arrivals, typed, (arrival, pitch) => {
      const asked = withSpurPart(newSpurJob({ id: 'q', name: 'Any', units: 'mm', shop }), 'p1', (part) => ({
        ...part,
        arrival: arrival as Arrival,
        gear: { ...part.gear, pitch: measure(pitch, 'module') },
      }));
      const planned = plan(asked, shop);
      expect(JSON.parse(JSON.stringify(planned))).toEqual(planned);
      for (const { issues, answer: said, working } of planned.parts[0]!.stations) {
        expect(said).not.toMatch(/undefined|NaN|null/);
        for (const issue of issues) {
          expect(issue.path.startsWith('parts.p1.')).toBe(true);
          expect(sayIssue(issue)).not.toMatch(/undefined|NaN\b|null|\[object/);
        }
        for (const { put, result } of working)
          expect(`${put}${result}`).not.toMatch(/undefined|NaN|Infinity/);
      }
    }),
    { seed: 4, numRuns: 120 },
  );
});
