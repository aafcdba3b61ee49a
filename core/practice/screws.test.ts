import { describe, expect, test } from '@jest/globals';
import { benchFor, jobOfRack } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { need } from '../findings/index.ts';
import { plan } from '../plan/index.ts';
import { act, benchOf, freshMachine, outsideReads, type Action, type PracticeBench } from './index.ts';

const gear = benchFor({ teeth: 26, module: 1.5 });
type Mount = NonNullable<PracticeBench['run']['mount']>;
const mounted = (change: Partial<Mount>): PracticeBench => ({
  ...gear,
  run: { ...gear.run, mount: { ...gear.run.mount!, ...change } },
});
const upright = mounted({ axis: 'vertical', place: 'behind' });
const arbor = mounted({ axis: 'horizontal' });

/** How deep the first space is after these, in the middle of the face. */
function cutAfter(bench: PracticeBench, ...actions: readonly Action[]): number {
  const all: readonly Action[] = [
    { do: 'run', on: true },
    { do: 'lock', on: true },
    ...actions,
    { do: 'table', to: bench.face + 1 },
  ];
  const { machine } = all.reduce((now, action) => act(bench, now.machine, action), {
    machine: freshMachine(bench),
  });
  return -outsideReads(machine.work, [0], 'middle')[0]!;
}
const deep = (to: number): Action => ({ do: 'depth', to });

describe('a depth overshot and turned straight back', () => {
  test('by the cross slide, beside an upright spindle: too deep by its slack, 0.2', () => {
    expect(cutAfter(upright, deep(2))).toBeCloseTo(2, 4);
    expect(cutAfter(upright, deep(2.1), deep(2))).toBeCloseTo(2.1, 4);
    expect(cutAfter(upright, deep(2.5), deep(2))).toBeCloseTo(2.2, 4);
    // back past it and up again it is right
    expect(cutAfter(upright, deep(2.5), deep(1), deep(2))).toBeCloseTo(2, 4);
  });

  test('by the knee: it hangs on its screw and follows', () => {
    expect(cutAfter(arbor, deep(2.5), deep(2))).toBeCloseTo(2, 4);
  });

  test('by a readout it is where it is read', () => {
    expect(cutAfter(mounted({ axis: 'vertical', readout: true }), deep(2.5), deep(2))).toBeCloseTo(2, 4);
  });
});

test('beside the middle under an arbor: come to from the other side it stands 0.2 on', () => {
  const beside = (bench: PracticeBench, ...to: readonly number[]) => {
    const { machine } = to.reduce((now, each) => act(bench, now.machine, { do: 'beside', to: each }), {
      machine: freshMachine(bench),
    });
    return machine.beside + machine.over.beside;
  };
  expect(beside(arbor, 0.5)).toBeCloseTo(0.5, 9);
  expect(beside(arbor, 0.5, 0)).toBeCloseTo(0.2, 9);
  expect(beside(arbor, 0.5, -1, 0)).toBeCloseTo(0, 9);
  // beside an upright spindle it is the knee
  expect(beside(upright, 0.5, 0)).toBeCloseTo(0, 9);
});

test('a table that is read on a readout has no slack to be minded', () => {
  const job = jobOfRack();
  const bench = need(benchOf(plan(job, shop).parts[0]!, need(beginRun(job, {}, shop))));
  const read = { ...bench, run: { ...bench.run, mount: { ...bench.run.mount!, readout: true } } };
  const after = (on: PracticeBench) =>
    [6.5, 6.3].reduce((now, to) => act(on, now, { do: 'along', to }).machine, freshMachine(on)).over.along;
  expect(after(bench)).toBeCloseTo(0.2, 9);
  expect(after(read)).toBe(0);
});
