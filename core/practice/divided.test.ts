import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { newDivideJob, withPart, type Job } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { performed, readRow } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { measure } from '../units/index.ts';
import { benchOf, cutsMade, faultOf, faultsFor, freshMachine, isHarm, type PracticeBench } from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');

/** Round a bar on the stock head: a cutter of 50 by 4 over a length of 15. */
function roundJob(spacing: Readonly<Record<string, unknown>>): Job {
  return withPart(newDivideJob({ id: 'j', name: 'Round', units: 'mm', shop }), 'p1', (part) =>
    part.kind === 'divide'
      ? {
          ...part,
          spacing: { ...part.spacing, ...spacing },
          setup: { ...part.setup, face: mm('15'), cutterDiameter: mm('50'), cutterWidth: mm('4') },
        }
      : part,
  );
}

const benchFor = (job: Job): PracticeBench =>
  need(benchOf(plan(job, shop).parts[0]!, need(beginRun(job, {}, shop))));

const count = (typed: string) => measure(typed, 'count');
const flats = (n: string, from: string, across: string) =>
  roundJob({ what: 'flats', count: count(n), diameter: mm(from), acrossFlats: mm(across) });

describe.each([
  ['6', '22', '19'],
  // sharp corners, none of the round left: 24·cos 30° is 20.78
  ['6', '24', '19'],
  ['4', '20', '15'],
  ['2', '20', '16'],
])('%s flats from %s, %s across', (n, from, across) => {
  const bench = benchFor(flats(n, from, across));
  const { machine, told } = performed(bench);

  test('harms nothing; all are there, and none before the last', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(cutsMade(bench, machine.work)).toBe(Number(n));
    expect(cutsMade(bench, freshMachine(bench).work)).toBe(0);
  });

  test('across flats, from one to the next, and square along', () => {
    const over = readRow(bench, machine, 'across-flats');
    expect([over.least, over.most]).toEqual([
      expect.closeTo(Number(across), 4),
      expect.closeTo(Number(across), 4),
    ]);
    expect(over.wanted).toBeCloseTo(Number(across), 9);
    const step = readRow(bench, machine, 'step');
    expect([step.least, step.most]).toEqual([
      expect.closeTo(360 / Number(n), 3),
      expect.closeTo(360 / Number(n), 3),
    ]);
  });

  test('a flat is flat: between its corners metal goes as a straight line does', () => {
    const { metal } = machine.work.sections[1];
    const many = metal.length;
    for (const turn of [-0.04, -0.02, 0.02, 0.04]) {
      const at = metal[(Math.round(turn * many) + many) % many]!;
      const angle = (Math.round(turn * many) / many) * 2 * Math.PI;
      expect(at).toBeCloseTo(Math.min(Number(from) / 2, Number(across) / 2 / Math.cos(angle)), 6);
    }
  });
});

test('five flats: the depth tells, and nothing stands across', () => {
  const bench = benchFor(flats('5', '22', '19'));
  const { machine } = performed(bench);
  expect(cutsMade(bench, machine.work)).toBe(5);
  // twice from the middle to a flat is 19
  expect(readRow(bench, machine, 'depth').most).toBeCloseTo(11 - 9.5, 4);
  expect(() => readRow(bench, machine, 'across-flats')).toThrow();
});

test('flats at an angle, a part of a turn: each at its place', () => {
  const bench = benchFor(
    roundJob({
      by: 'angle',
      what: 'flats',
      count: count('4'),
      angle: measure('65', 'deg'),
      diameter: mm('40'),
      depth: mm('3'),
    }),
  );
  const { machine, told } = performed(bench);
  expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
  expect(cutsMade(bench, machine.work)).toBe(4);
  const step = readRow(bench, machine, 'step');
  expect(step.wanted).toBeCloseTo(65, 9);
  expect(step.least).toBeCloseTo(65, 3);
  expect(step.most).toBeCloseTo(65, 3);
  expect(readRow(bench, machine, 'depth').most).toBeCloseTo(3, 4);
});

test('what is wrong with a gear alone cannot be hidden here; a blank that runs out can, and shows', () => {
  const bench = benchFor(flats('6', '22', '19'));
  const keys = faultsFor(bench).map(({ key }) => key);
  for (const none of ['school', 'blank-over', 'blank-under'] as const) expect(keys).not.toContain(none);
  const ground = faultOf(bench, 'crept')!.hide(freshMachine(bench));
  const { machine } = performed(ground.bench, ground.machine);
  // a creep of 0.008 of a space at each cut, five times before the last
  const step = readRow(bench, machine, 'step');
  expect(step.most - step.least).toBeGreaterThan(5 * 0.008 * 60 * 0.9);
});

test('slots round the work and holes have no place; flats wait for what they lack', () => {
  const asked = (job: Job) => benchOf(plan(job, shop).parts[0]!, need(beginRun(job, {}, shop)));
  const slots = roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('3') });
  for (const job of [slots, roundJob({ what: 'holes', count: count('6'), diameter: mm('40') })])
    expect(asked(job)).toMatchObject({ ok: false, issues: [{ code: 'practice-other' }] });
  const bare = withPart(flats('6', '22', '19'), 'p1', (part) =>
    part.kind === 'divide' ? { ...part, setup: { ...part.setup, face: mm('') } } : part,
  );
  expect(asked(bare)).toMatchObject({
    ok: false,
    issues: [{ code: 'practice-waits', given: 'the width of the face' }],
  });
});
