import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { withPart, type Job } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { foldRun } from '../run/index.ts';
import { jobOfRack, performed, rackBench, readRow } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { causesOf, troubleFacts, wrongAlong } from '../trouble/index.ts';
import { measure } from '../units/index.ts';
import { benchOf, faultOf, faultsFor, freshMachine } from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');
const partOf = (job: Job) => plan(job, shop).parts[0]!;
const runOf = (job: Job) => need(beginRun(job, {}, shop));

/** The screw’s marks, nearest to each space: 5 mm of 100 marks, a mark 0.05. */
const NEAREST = Array.from({ length: 12 }, (_, k) => Math.round((k * 2 * Math.PI) / 0.05) * 0.05);

describe('each cause on a table has a fault here, and the piece shows what the cause claims', () => {
  const bench = rackBench(jobOfRack());
  const facts = troubleFacts(bench.run, foldRun(bench.run, []));
  const cutWith = (key: Parameters<typeof faultOf>[1]) => {
    const ground = faultOf(bench, key)!.hide(freshMachine(bench));
    return { bench: ground.bench, ...performed(ground.bench, ground.machine) };
  };

  test('every fault stands among the causes of its symptom', () => {
    expect(faultsFor(bench).map(({ key }) => key)).toEqual([
      ...['slack', 'screw', 'slipped', 'askew', 'packing', 'knee', 'early'],
    ]);
    for (const { key, symptom } of faultsFor(bench))
      expect(causesOf(symptom, { facts, part: 0.5, units: 'mm' }).map((cause) => cause.key)).toContain(key);
  });

  test('slack on the wrong side: the first space stands too near to the second, the others right', () => {
    const { machine } = cutWith('slack');
    const step = readRow(bench, machine, 'step');
    expect(step.least).toBeCloseTo(6.3 - 0.4, 3);
    expect(step.most).toBeCloseTo(6.3, 3);
  });

  test('a screw of a fifth of an inch under a dial of 5 mm: off as the cause says', () => {
    const { machine } = cutWith('screw');
    const length = readRow(bench, machine, 'length');
    expect(length.most - length.wanted).toBeCloseTo(wrongAlong(facts.table!).screw.all, 1);
    expect(length.most).toBeCloseTo(NEAREST[11]! * 1.016, 3);
  });

  test('a bar that slips: off bit by bit', () => {
    const { machine } = cutWith('slipped');
    const length = readRow(bench, machine, 'length');
    expect(length.most - NEAREST[11]!).toBeCloseTo(11 * 0.008 * 2 * Math.PI, 3);
  });

  test('askew, low at one side, a knee that sinks: lean and depth', () => {
    expect(readRow(bench, cutWith('askew').machine, 'lean', 'exit').most).toBeCloseTo(0.25, 3);
    const { machine } = cutWith('packing');
    expect(readRow(bench, machine, 'depth', 'entry').most).toBeCloseTo(4.5, 3);
    expect(readRow(bench, machine, 'depth', 'exit').most).toBeCloseTo(4.38, 3);
    expect(readRow(bench, cutWith('knee').machine, 'depth').most).toBeCloseTo(4.38, 3);
  });

  test('moved on too early: the land is nicked where it enters, and not where it leaves', () => {
    const { machine, told } = cutWith('early');
    expect(told.some(({ what }) => what === 'dragged')).toBe(true);
    const land = (i: 0 | 2) => {
      const { metal } = machine.work.sections[i];
      const step = bench.bar.lies.length / (metal.length - 1);
      return metal[Math.round((Math.PI - bench.bar.lies.from) / step)]!;
    };
    expect(land(0)).toBeLessThan(bench.bar.high - 0.5);
    expect(land(2)).toBeCloseTo(bench.bar.high, 6);
  });

  test('“Something looks wrong” speaks of a bar and a table, and offers nothing that goes round', () => {
    const all = ['end-tooth', 'drift', 'nick', 'lean', 'shallow', 'tight', 'loose', 'count'] as const;
    const words = all
      .flatMap((symptom) => causesOf(symptom, { facts, part: 0.5, units: 'mm' }))
      .flatMap(({ cause, test: how, mend }) => [cause, how, mend])
      .join(' ');
    expect(words).not.toMatch(/crank|mandrel|plate|arms|tailstock|worm|blank/i);
    expect(causesOf('once-round', { facts, part: 0.5, units: 'mm' })).toEqual([]);
    expect(words).toContain('A gear-tooth caliper set to 2.000 mm should read 3.142 mm');
  });
});

test('what a rack’s bench waits for, and what it has no place for', () => {
  const job = jobOfRack();
  const without = withPart(job, 'p1', (part) =>
    part.kind === 'divide'
      ? { ...part, setup: { ...part.setup, face: mm(''), cutterDiameter: mm('') } }
      : part,
  );
  expect(benchOf(partOf(without), runOf(without))).toMatchObject({
    ok: false,
    issues: [{ code: 'practice-waits', given: 'the diameter of the cutter, the width that is cut across' }],
  });
  const holes = jobOfRack({ spacing: { by: 'length', what: 'holes', length: mm('10') } });
  expect(benchOf(partOf(holes), runOf(holes))).toMatchObject({
    ok: false,
    issues: [{ code: 'practice-other' }],
  });
});
