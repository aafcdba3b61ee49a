import { describe, expect, test } from '@jest/globals';
import { sayIssue } from '../messages/index.ts';
import { need } from '../findings/index.ts';
import {
  newDivideJob,
  readJob,
  withDividing,
  withHead,
  withPart,
  withRingPart,
  drawnSpurJob,
  type Job,
} from '../job/index.ts';
import type { DividePart } from '../kinds/index.ts';
import { plan, refusals, settleOpen, stationOf } from '../plan/index.ts';
import { foldRun, freezeRun } from '../run/index.ts';
import { STOCK_EQUIPMENT, STOCK_ROTARY } from '../shop/index.ts';
import { measure, type Unit } from '../units/index.ts';

const shop = { ...STOCK_EQUIPMENT, heads: [...STOCK_EQUIPMENT.heads, STOCK_ROTARY] };
const fresh = newDivideJob({ id: 'd1', name: 'Divide', units: 'mm', shop });
const UNITS: Readonly<Record<string, Unit>> = {
  count: 'count',
  angle: 'deg',
  pitch: 'module',
  length: 'mm',
  diameter: 'mm',
  depth: 'mm',
};
type Asked = Partial<Record<'count' | 'angle' | 'pitch' | 'length' | 'diameter' | 'depth', string>>;

const asks = (by: DividePart['spacing']['by'], figures: Asked, job: Job = fresh): Job =>
  withPart(job, 'p1', (part) =>
    part.kind === 'divide'
      ? {
          ...part,
          spacing: {
            ...part.spacing,
            by,
            ...Object.fromEntries(
              Object.entries(figures).map(([key, typed]) => [key, measure(typed, UNITS[key]!)]),
            ),
          },
        }
      : part,
  );
const partOf = (job: Job) => plan(job, shop).parts[0]!;
const answers = (job: Job) => Object.fromEntries(partOf(job).stations.map(({ id, answer }) => [id, answer]));
const said = (job: Job) => partOf(job).stations.flatMap(({ issues }) => issues.map(sayIssue));
const run = (job: Job) =>
  need(
    freezeRun({ job, planned: plan(job, shop), shop, start: { runId: 'r', jobRevision: 1, partId: 'p1' } }),
  );

describe('figures that go together and are hardly meant', () => {
  test.each([
    ['5', '90', /^From the first to the last of them is 360°, a whole turn: the last falls on the first/],
    ['13', '30', /a whole turn: the last falls on the first/],
    ['6', '90', /^6 × 90° come to 450°, more than a whole turn/],
  ])('%s at %s°: asked', (count, angle, asked) => {
    expect(said(asks('angle', { count, angle })).join('\n')).toMatch(asked);
  });
  test.each([
    ['4', '90'],
    ['12', '30'],
    ['3', '90'],
    ['1', '360'],
  ])('%s at %s° go round, or are a part of it: nothing is asked', (count, angle) => {
    expect(said(asks('angle', { count, angle })).join()).not.toMatch(/whole turn/);
  });

  test('a row finer than the marks of the dial: said, with both; with a readout it is cut', () => {
    // a screw of 5 mm with 100 marks
    const row = (length: string) => asks('length', { count: '9', length });
    expect(said(row('0.02')).join()).toMatch(
      /A move is 0\.020 mm \(0\.0008 in\), and a mark of the dial 0\.050 mm \(0\.0020 in\): some places would be read on the same mark/,
    );
    expect(said(row('0.04')).join()).toMatch(/on the same mark/);
    expect(said(row('0.05')).join()).not.toMatch(/mark of the dial/);
    const mills = shop.mills.map((mill) => ({ ...mill, readout: true }));
    const fine = row('0.02');
    const read = { ...fine, equipment: { ...fine.equipment, mills } };
    const issues = plan(read, { ...shop, mills }).parts[0]!.stations.flatMap((station) => station.issues);
    expect(issues.map(({ code }) => code)).not.toContain('marks-too-coarse');
  });
});

describe('just divide', () => {
  test('seven holes round: no gear, no depth, and a run that closes', () => {
    const job = asks('count', { count: '7' });
    expect(readJob(job).ok).toBe(true);
    expect(answers(job)).toEqual({
      spacing: '7 holes round',
      dividing: '5 turns + 15 spaces on 21',
      setup: 'waits for the cutter’s size',
      cut: '1 pass, no depth given',
    });
    const frozen = run(job);
    expect(frozen).toMatchObject({ full: true, divisions: 7, rounds: [{ depthMm: null }] });
    expect(frozen.closing).toEqual({ on: 'plate', turns: 5, spaces: 15, hole: 0 });
    expect(foldRun(frozen, []).total).toBe(7);
  });

  test('an angle in degrees, minutes and seconds: a part of a turn, four moves, nothing to close', () => {
    const job = asks('angle', { count: '5', angle: '4°30′', diameter: '80', depth: '2' });
    expect(answers(job)).toMatchObject({ spacing: '5 holes, 4° 30′ apart', dividing: '10 spaces on 20' });
    const frozen = run(job);
    expect(frozen.closing).toBeNull();
    expect(frozen.cuts.map(({ landing }) => landing.on === 'plate' && landing.hole)).toEqual([
      0, 10, 0, 10, 0,
    ]);
  });

  test('a rack: the table read from the first tooth, π never rounded and then added up', () => {
    const job = asks('pitch', { count: '40', pitch: '1.5' });
    expect(answers(job)).toMatchObject({
      spacing: '40 holes, rack of m 1.5',
      dividing: 'table 4.7124 mm on',
    });
    const frozen = run(job);
    expect([frozen.head, frozen.mill?.name]).toEqual([null, 'Mill with a 5 mm screw']);
    for (const { index, landing } of frozen.cuts) {
      if (landing.on !== 'dial') throw new Error('no dial');
      const reading = landing.turns * 5 + (Number(landing.mark) * 5) / 100;
      expect(Math.abs(reading - (index - 1) * 1.5 * Math.PI)).toBeLessThanOrEqual(0.025 + 1e-9);
    }
    const worst = stationOf(partOf(job), 'dividing')!.detail.inForce!.proof.worst;
    expect(Math.abs(worst.turns)).toBeLessThanOrEqual(0.025);
  });

  test('a rack longer than the table travels is asked about', () => {
    const short = { ...shop, mills: [{ ...shop.mills[0]!, travel: measure('180', 'mm') }] };
    const job = {
      ...asks('pitch', { count: '40', pitch: '1.5' }),
      equipment: { ...fresh.equipment, mills: short.mills },
    };
    const issues = stationOf(plan(job, short).parts[0]!, 'dividing')!.issues;
    expect(issues.map(sayIssue)[0]).toMatch(
      /From first to last is 183.8 mm, and the table .* travels 180 mm/,
    );
  });

  test.each([
    ['angle', { count: '5', angle: '0' }, /more than 0 and at most a whole turn/],
    ['angle', { count: '5', angle: '361' }, /more than 0 and at most a whole turn/],
    ['angle', { count: '5', angle: '4°75′' }, /Minutes and seconds run from 0 to 59/],
    ['angle', { count: '50', angle: '10' }, /more than a whole turn: the last ones fall among the first/],
    ['count', { count: '0' }, /out of range/],
    ['count', { count: '2.5' }, /whole number/],
    ['length', { count: '5', length: '0' }, /more than zero/],
    ['length', { count: '5', length: '20000' }, /From one to the next is 0.001 mm to 10 m/],
    ['pitch', { count: '5', pitch: '0.0001' }, /From one to the next is 0.001 mm to 10 m/],
  ] as const)('%s %o is answered at its field', (by, figures, wanted) => {
    expect(said(asks(by, figures)).join(' ')).toMatch(wanted);
  });

  test('a rotary table goes by its wheel', () => {
    const job = withHead({
      job: asks('count', { count: '53', diameter: '60' }),
      partId: 'p1',
      head: STOCK_ROTARY,
      shop,
    });
    // it has nothing but its wheel, so that is in force without being chosen
    expect(answers(job)['dividing']).toBe('6° 47′ 33″ by the wheel');
    const wheel = stationOf(partOf(job), 'dividing')!.detail.methods.find(
      ({ method }) => method === 'handwheel',
    )!.ways[0]!;
    const chosen = withDividing(job, 'p1', (dividing) => ({ ...dividing, choice: wheel.choice }));
    expect(answers(chosen)['dividing']).toBe('6° 47′ 33″ by the wheel');
    const frozen = run(chosen);
    expect(frozen.cuts[1]!.landing).toEqual({ on: 'dial', turns: 1, mark: '335/2' });
    // after 53 moves the table is back at 0
    expect(frozen.closing).toEqual({ on: 'dial', turns: 0, mark: '0' });
  });

  test('block order freezes the spaces in the order they are cut', () => {
    const job = withDividing(asks('count', { count: '7' }), 'p1', (dividing) => ({
      ...dividing,
      stride: measure('3', 'count'),
    }));
    expect(run(job).cuts.map(({ space }) => space)).toEqual([1, 4, 7, 3, 6, 2, 5]);
  });
});

describe('jobs chain: a ring for a gear', () => {
  const gear = drawnSpurJob({ id: 'g', name: 'Year wheel', pitch: '0.8', teeth: 73, face: '4', bore: '6' });
  test('the ring is a part of the same job, asked for once, planned on the same head', () => {
    const { job, ringId } = withRingPart(gear, 'p1', 73);
    expect(withRingPart(job, 'p1', 73)).toEqual({ job, ringId });
    // another count needs another ring; the first may be drilled already
    expect(withRingPart(job, 'p1', 71)).toMatchObject({
      ringId: 'p3',
      job: { parts: [{}, { name: 'Ring of 73' }, { name: 'Ring of 71' }] },
    });
    expect(readJob(job).ok).toBe(true);
    const ring = plan(job, shop).parts.find(({ id }) => id === ringId)!;
    expect(ring).toMatchObject({ kind: 'divide', name: 'Ring of 73' });
    expect(ring.stations[0]!.answer).toBe('73 holes round');
    expect(job.relations).toEqual([{ id: 'ring-p2', kind: 'ring-for', parts: ['p2', 'p1'] }]);
    expect(refusals(plan(settleOpen(job, ring), shop))).toEqual([]);
  });
});
