import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../findings/index.ts';
import { drawnSpurJob, jobSchema, withPart, type Job } from '../job/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { measure, type Unit } from '../units/index.ts';
import { plan, refusals, settleOpen } from './index.ts';

/** What hands type: good figures, half-typed ones, slips and nonsense. */
const typed = fc.oneof(
  fc.constantFrom(
    '',
    ' ',
    '0',
    '-1',
    '1/0',
    '2 3/8',
    '2 3/',
    '.154',
    '1e9',
    '14 DP',
    'M1.5',
    '14°30′',
    '4°75′',
    '½',
    '12,5 mm',
    '3 1/2 DP',
    '60 thou',
    '(2',
    'π',
    '999999999999999999999',
    '0.0000001',
    '1mm + 2',
    '58 teeth',
    '12.5',
    '1000',
    '4',
  ),
  fc.string({ maxLength: 12 }),
  fc.integer({ min: -5, max: 1200 }).map(String),
  fc.double({ min: 0.01, max: 500, noNaN: true }).map((figure) => figure.toFixed(3)),
);
const measures = (...units: Unit[]) =>
  fc.record({ typed, unit: fc.constantFrom(...units) }).map(({ typed: text, unit }) => measure(text, unit));

const jobs: fc.Arbitrary<Job> = fc
  .record({
    units: fc.constantFrom('mm' as const, 'in' as const),
    pitch: measures('module', 'dp'),
    teeth: measures('count'),
    pressureAngle: measures('deg'),
    rule: fc.constantFrom('iso53-a' as const, 'fine-2.2' as const, 'stub-1.8' as const, 'typed' as const),
    stamped: measures('mm', 'in'),
    addendum: measures('mm', 'in'),
    wholeDepth: measures('mm', 'in'),
    faceWidth: measures('mm', 'in'),
    bore: measures('mm', 'in'),
    finishStock: measures('mm', 'in'),
    startSpace: measures('count'),
    passes: fc.constantFrom('one' as const, 'rough-finish' as const),
    headId: fc.constantFrom(...STOCK_HEADS.map(({ id }) => id), 'gone', null),
  })
  .map((given) =>
    withPart(
      {
        ...drawnSpurJob({ id: 'any', name: 'Any', pitch: '1', teeth: 20, face: '5', bore: '3' }),
        units: given.units,
      },
      'p1',
      (part) => ({
        ...part,
        gear: {
          pitch: given.pitch,
          teeth: given.teeth,
          pressureAngle: given.pressureAngle,
          depth: {
            rule: given.rule,
            stamped: given.stamped,
            addendum: given.addendum,
            wholeDepth: given.wholeDepth,
            readFrom: '',
          },
        },
        blank: { faceWidth: given.faceWidth, bore: given.bore },
        dividing: { headId: given.headId, choice: null },
        cut: { passes: given.passes, finishStock: given.finishStock, startSpace: given.startSpace },
      }),
    ),
  );

test('whatever is typed, the plan answers: no fault, whole sentences, plain data, figures that can be drawn (seed 1912)', () => {
  fc.assert(
    fc.property(jobs, (job) => {
      expect(jobSchema.safeParse(job).success).toBe(true);
      const planned = plan(job, STOCK_EQUIPMENT);
      expect(JSON.parse(JSON.stringify(planned))).toEqual(planned);
      const [part] = planned.parts;
      for (const { issues, values, moved, answer } of part!.stations) {
        expect(answer).not.toBe('');
        expect(moved).toEqual([]);
        for (const issue of issues) {
          expect(issue.path.startsWith('parts.p1.')).toBe(true);
          expect(sayIssue(issue)).not.toMatch(/undefined|NaN|null|\[object/);
        }
        for (const value of values) if (value.kind === 'length') expect(Number.isFinite(value.mm)).toBe(true);
      }
      // a part that may be cut has nothing on it that would be refused at its gear, blank or cut
      if (part!.cutting) {
        const { divisions, rounds } = part!.cutting;
        expect(divisions).toBeGreaterThanOrEqual(4);
        for (const { depthMm } of rounds) expect(depthMm).toBeGreaterThan(0);
      }
    }),
    { seed: 1912, numRuns: 600 },
  );
});

test('settling what is complete leaves it settled and never refuses what was stored (seed 77)', () => {
  fc.assert(
    fc.property(jobs, (job) => {
      const before = plan(job, STOCK_EQUIPMENT);
      const settled = settleOpen(job, before.parts[0]!);
      expect(jobSchema.safeParse(settled).success).toBe(true);
      const after = plan(settled, STOCK_EQUIPMENT);
      expect(refusals(after)).toEqual(refusals(before));
      for (const [i, station] of after.parts[0]!.stations.entries()) {
        const was = before.parts[0]!.stations[i]!;
        if (was.complete && was.state === 'open')
          expect([station.id, station.state]).toEqual([station.id, 'settled']);
      }
    }),
    { seed: 77, numRuns: 200 },
  );
});
