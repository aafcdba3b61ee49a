import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sayIssue } from '../messages/index.ts';
import { HELIX_SOURCES } from '../gear/index.ts';
import {
  drawnSpurJob,
  jobSchema,
  newDivideJob,
  newDriveJob,
  withHead,
  withPart,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import { freezeRun, readRun } from '../run/index.ts';
import { plainCutter, plainLathe, STOCK_EQUIPMENT, STOCK_HEADS, STOCK_ROTARY } from '../shop/index.ts';
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

/** Does what an issue is about stand in the document? Only there can a field show it. */
function hasPlace(job: Job, path: string): boolean {
  const [, id, ...keys] = path.split('.');
  let here: unknown = job.parts.find((part) => part.id === id);
  for (const key of keys) {
    if (typeof here !== 'object' || here === null || !(key in here)) return false;
    here = (here as Readonly<Record<string, unknown>>)[key];
  }
  return here !== undefined;
}

/** Mostly what is right, so that a whole card is; else whatever hands type. */
const mostly = <T>(right: fc.Arbitrary<T>, any: fc.Arbitrary<T>): fc.Arbitrary<T> =>
  fc.oneof({ arbitrary: right, weight: 6 }, { arbitrary: any, weight: 1 });

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
    measured: measures('mm', 'in'),
    pitchPlane: mostly(fc.constant('normal' as const), fc.constant('transverse' as const)),
    otherPitch: mostly(fc.constant(measure('', 'module')), measures('module', 'dp')),
    helixFrom: mostly(fc.constant('angle' as const), fc.constantFrom(...HELIX_SOURCES)),
    lead: measures('mm', 'in'),
    crossed: fc.record({
      shafts: mostly(fc.constant('parallel' as const), fc.constant('crossed' as const)),
      helix: measures('deg'),
      hand: fc.constantFrom('right' as const, 'left' as const),
      shaftAngle: measures('deg'),
    }),
    leadOf: fc.record({
      drive: fc.constantFrom('worm' as const, 'spindle' as const),
      setUp: fc.constantFrom('table' as const, 'head' as const),
      side: fc.constantFrom('near' as const, 'far' as const),
      allowed: mostly(fc.constant(measure('', 'mm')), measures('mm', 'in')),
      choice: fc.constantFrom(
        null,
        { driver: 24, driven: 48, second: null },
        { driver: 28, driven: 64, second: { driver: 40, driven: 100 } },
        { driver: 7, driven: 9, second: null },
      ),
    }),
    helix: mostly(fc.constant(measure('', 'deg')), measures('deg')),
    thinning: measures('mm', 'in'),
    mate: fc.record({
      teeth: measures('count'),
      centre: measures('mm', 'in'),
      backlash: measures('mm', 'in'),
    }),
    finishStock: measures('mm', 'in'),
    startSpace: measures('count'),
    stride: measures('count'),
    passes: fc.constantFrom('one' as const, 'rough-finish' as const),
    headId: fc.constantFrom(...STOCK_HEADS.map(({ id }) => id), 'gone', null),
  })
  .map((given) =>
    withSpurPart(
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
          helix: given.helix,
          hand: 'right',
          thinning: given.thinning,
          pitchPlane: given.pitchPlane,
          otherPitch: given.otherPitch,
          helixFrom: given.helixFrom,
          lead: given.lead,
          mate: { ...part.gear.mate, ...given.mate, ...given.crossed },
        },
        lead: { ...part.lead, ...given.leadOf },
        blank: { faceWidth: given.faceWidth, bore: given.bore, measured: given.measured },
        dividing: { ...part.dividing, headId: given.headId, stride: given.stride },
        cut: {
          scratch: false,
          passes: given.passes,
          finishStock: given.finishStock,
          startSpace: given.startSpace,
        },
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
          expect([issue.path, hasPlace(job, issue.path)]).toEqual([issue.path, true]);
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

const WHOLE_SHOP = { ...STOCK_EQUIPMENT, heads: [...STOCK_HEADS, STOCK_ROTARY] };

/** Whatever is typed where nothing but dividing is asked for, on heads of every kind. */
const divideJobs: fc.Arbitrary<Job> = fc
  .record({
    by: fc.constantFrom('count' as const, 'angle' as const, 'pitch' as const, 'length' as const),
    count: mostly(
      fc.integer({ min: 1, max: 130 }).map((n) => measure(String(n), 'count')),
      measures('count'),
    ),
    angle: mostly(
      fc.integer({ min: 1, max: 4000 }).map((n) => measure(`${n}/60`, 'deg')),
      measures('deg'),
    ),
    pitch: mostly(fc.constantFrom(measure('1.5', 'module'), measure('16', 'dp')), measures('module', 'dp')),
    length: mostly(fc.constant(measure('3.3', 'mm')), measures('mm', 'in')),
    diameter: mostly(fc.constant(measure('', 'mm')), measures('mm', 'in')),
    depth: mostly(fc.constant(measure('', 'mm')), measures('mm', 'in')),
    stride: mostly(
      fc.constantFrom('1', '7').map((n) => measure(n, 'count')),
      measures('count'),
    ),
    pitchCircle: mostly(fc.constant(measure('100', 'mm')), measures('mm', 'in')),
    startSpace: mostly(fc.constant(measure('1', 'count')), measures('count')),
    head: fc.constantFrom(...STOCK_HEADS, STOCK_ROTARY),
  })
  .map(({ by, count, angle, pitch, length, diameter, depth, stride, pitchCircle, startSpace, head }) =>
    withPart(
      withHead({
        job: newDivideJob({ id: 'any', name: 'Any', units: 'mm', shop: WHOLE_SHOP }),
        partId: 'p1',
        head,
        shop: WHOLE_SHOP,
      }),
      'p1',
      (part) =>
        part.kind === 'divide'
          ? {
              ...part,
              spacing: { ...part.spacing, by, count, angle, pitch, length, diameter, depth },
              dividing: { ...part.dividing, stride, made: { ...part.dividing.made, pitchCircle } },
              cut: { ...part.cut, startSpace },
            }
          : part,
    ),
  );

test('whatever is asked to be divided: an answer, whole sentences, plain data; what may be cut freezes into a run that reads back (seed 531)', () => {
  let frozen = 0;
  fc.assert(
    fc.property(divideJobs, (job) => {
      expect(jobSchema.safeParse(job).success).toBe(true);
      const planned = plan(job, WHOLE_SHOP);
      expect(JSON.parse(JSON.stringify(planned))).toEqual(planned);
      const part = planned.parts[0]!;
      for (const { issues, answer, values, working } of part.stations) {
        expect(answer).not.toBe('');
        expect(answer).not.toMatch(/undefined|NaN|null/);
        for (const issue of issues) {
          expect([issue.path, hasPlace(job, issue.path)]).toEqual([issue.path, true]);
          expect(sayIssue(issue)).not.toMatch(/undefined|NaN|null|\[object/);
        }
        for (const value of values)
          if (value.kind === 'text') expect(value.text).not.toMatch(/undefined|NaN/);
        for (const { put, result } of working) expect(`${put}${result}`).not.toMatch(/undefined|NaN/);
      }
      if (!part.cutting || part.cutting.divisions > 400) return;
      const run = freezeRun({
        job,
        planned,
        shop: WHOLE_SHOP,
        start: { runId: 'r', jobRevision: 1, partId: 'p1' },
      });
      if (!run.ok) throw new Error(`ready, and not frozen: ${run.issues.map(sayIssue).join(' ')}`);
      expect(readRun(JSON.parse(JSON.stringify(run.value)))).toEqual(run.value);
      expect(new Set(run.value.cuts.map(({ space }) => space)).size).toBe(part.cutting.divisions);
      frozen += 1;
    }),
    { seed: 531, numRuns: 900 },
  );
  // the property says nothing when nothing was ever ready to cut
  expect(frozen).toBeGreaterThan(40);
});

const lengths = measures('mm', 'in');
const counts = measures('count');
const right = (...texts: string[]) => fc.constantFrom(...texts.map((text) => measure(text, 'mm')));
const rightCount = (...texts: string[]) => fc.constantFrom(...texts.map((text) => measure(text, 'count')));
const DRIVE_SHOP = {
  ...STOCK_EQUIPMENT,
  cutters: [{ ...plainCutter('c', 'm 2', measure('2', 'module')), diameter: measure('60', 'mm') }],
  lathes: [
    {
      ...plainLathe('l', 'Any lathe', measure('3', 'mm')),
      box: { by: 'mm' as const, settings: '1 2 3' },
      gearSetId: 'gears-twelve',
    },
  ],
};

const driveJobs: fc.Arbitrary<Job> = fc
  .record({
    drive: fc.record({
      pitchBy: fc.constantFrom('pitch' as const, 'axial' as const),
      pitch: mostly(fc.constantFrom(measure('2', 'module'), measure('12', 'dp')), measures('module', 'dp')),
      plane: fc.constantFrom('axial' as const, 'normal' as const),
      axialPitch: mostly(right('6', '4 tpi', '8.5'), lengths),
      starts: mostly(rightCount('1', '2', '3', '7'), counts),
      teeth: mostly(rightCount('20', '40', '61'), counts),
      sizeBy: fc.constantFrom('worm' as const, 'centre' as const),
      wormDiameter: mostly(right('24', '30.5', '1.25 in'), lengths),
      centre: mostly(right('52', '70'), lengths),
      hand: fc.constantFrom('right' as const, 'left' as const),
      thread: fc.record({
        school: fc.constantFrom('29' as const, '40' as const, 'typed' as const),
        angle: mostly(fc.constant(measure('30', 'deg')), measures('deg')),
        addendum: mostly(right('2'), lengths),
        depth: mostly(right('4.4'), lengths),
      }),
      friction: mostly(rightCount('', '0.05'), counts),
      sample: fc.record({
        outside: lengths,
        threads: counts,
        over: lengths,
        starts: counts,
        teeth: counts,
        throat: lengths,
        centre: lengths,
      }),
    }),
    rim: fc.record({
      rim: fc.constantFrom('throat' as const, 'plain' as const),
      faceWidth: mostly(right('', '14'), lengths),
      faceAngle: mostly(fc.constant(measure('60', 'deg')), measures('deg')),
      bore: mostly(right('12', '0'), lengths),
      measured: mostly(right('', '83.9'), lengths),
      corners: mostly(right('', '86.6', '83'), lengths),
    }),
    gash: fc.record({
      school: fc.constantFrom('plunge' as const, 'traverse' as const, 'hob' as const),
      setUp: fc.constantFrom('table' as const, 'head' as const),
      side: fc.constantFrom('near' as const, 'far' as const),
      hobStock: mostly(right('', '0.3'), lengths),
      flutes: mostly(rightCount('8'), counts),
    }),
    lathe: fc.record({
      allowed: mostly(right('', '0.01'), lengths),
      startsBy: fc.constantFrom('gear' as const, 'slide' as const, 'driver' as const),
    }),
    worm: fc.record({
      length: mostly(right('', '40'), lengths),
      tool: fc.constantFrom('axis' as const, 'thread' as const),
      scale: mostly(rightCount('20'), counts),
    }),
    cutterId: fc.constantFrom(null, 'c'),
  })
  .map(({ drive, rim, gash, lathe, worm, cutterId }) => {
    const job = newDriveJob({ id: 'd', name: 'Any drive', units: 'mm', shop: DRIVE_SHOP });
    const parts = job.parts.map((part) =>
      part.kind === 'worm'
        ? { ...part, drive, worm, lathe: { ...part.lathe, ...lathe } }
        : part.kind === 'wheel'
          ? { ...part, drive, rim, gash, cutter: { ...part.cutter, cutterId } }
          : part,
    );
    return { ...job, parts };
  });
test('whatever is typed of a worm drive: an answer, whole sentences, plain data; a wheel that may be cut freezes into a run (seed 88)', () => {
  let frozen = 0;
  fc.assert(
    fc.property(driveJobs, (job) => {
      expect(jobSchema.safeParse(job).success).toBe(true);
      const planned = plan(job, DRIVE_SHOP);
      expect(JSON.parse(JSON.stringify(planned))).toEqual(planned);
      expect(planned.findings.filter(({ code }) => code === 'drive-differs')).toEqual([]);
      for (const { issues, answer, values, working } of planned.parts.flatMap(({ stations }) => [
        ...stations,
      ])) {
        expect(answer).not.toMatch(/undefined|NaN|null|^$/);
        for (const issue of issues) {
          expect([issue.path, hasPlace(job, issue.path)]).toEqual([issue.path, true]);
          expect(sayIssue(issue)).not.toMatch(/undefined|NaN|null|\[object/);
        }
        for (const value of values) {
          if (value.kind === 'length') expect(Number.isFinite(value.mm)).toBe(true);
          if (value.kind === 'text') expect(value.text).not.toMatch(/undefined|NaN/);
        }
        for (const { put, result } of working) expect(`${put}${result}`).not.toMatch(/undefined|NaN/);
      }
      const wheel = planned.parts.find(({ kind }) => kind === 'wheel')!;
      if (!wheel.cutting || wheel.cutting.divisions > 400) return;
      const run = freezeRun({
        job,
        planned,
        shop: DRIVE_SHOP,
        start: { runId: 'r', jobRevision: 1, partId: wheel.id },
      });
      if (!run.ok) throw new Error(`ready, and not frozen: ${run.issues.map(sayIssue).join(' ')}`);
      expect(readRun(JSON.parse(JSON.stringify(run.value)))).toEqual(run.value);
      frozen += 1;
    }),
    { seed: 88, numRuns: 300 },
  );
  expect(frozen).toBeGreaterThan(40);
});
