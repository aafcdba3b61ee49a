import { describe, expect, test } from '@jest/globals';
import { withMill } from '../job/index.ts';
import { foldRun } from '../run/index.ts';
import { cutByHand, jobOfRack, performed, rackBench, readRow } from '../sampleBench.ts';
import { shop } from '../sampleRuns.ts';
import { STOCK_MILL } from '../shop/index.ts';
import { causesOf, troubleFacts, wrongAlong } from '../trouble/index.ts';
import { measure } from '../units/index.ts';
import {
  act,
  cutsMade,
  cycleOf,
  freshMachine,
  goOnLikeThis,
  isHarm,
  newSession,
  perform,
  sayPin,
  sayTold,
  takeBack,
  type Action,
  type Machine,
  type PracticeBench,
  type Told,
} from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');

const doAll = (bench: PracticeBench, machine: Machine, ...actions: readonly Action[]) =>
  actions.reduce((now, action) => act(bench, now.machine, action), {
    machine,
    told: [] as readonly Told[],
  });

/** The screw’s marks, nearest to each space: 5 mm of 100 marks, a mark 0.05. */
const NEAREST = Array.from({ length: 12 }, (_, k) => Math.round((k * 2 * Math.PI) / 0.05) * 0.05);

describe.each([
  { passes: 'one', indexAt: 'entry' },
  { passes: 'one', indexAt: 'exit' },
  { passes: 'rough-finish', indexAt: 'entry' },
  { passes: 'rough-finish', indexAt: 'exit' },
] as const)('a rack cut as the prompts say: %p', (how) => {
  const bench = rackBench(jobOfRack(how));
  const { machine, told } = performed(bench);

  test('harms nothing, and is whole', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(cutsMade(bench, machine.work)).toBe(12);
  });

  test('every space stands at its mark, within 1 µm, and deep as planned', () => {
    const steps = NEAREST.slice(1).map((at, i) => at - NEAREST[i]!);
    const step = readRow(bench, machine, 'step');
    expect(step.least).toBeCloseTo(Math.min(...steps), 3);
    expect(step.most).toBeCloseTo(Math.max(...steps), 3);
    expect(step.wanted).toBeCloseTo(2 * Math.PI, 6);
    expect(readRow(bench, machine, 'length').most).toBeCloseTo(NEAREST[11]!, 3);
    for (const where of ['entry', 'middle', 'exit'] as const) {
      const depth = readRow(bench, machine, 'depth', where);
      expect([depth.least, depth.most]).toEqual([expect.closeTo(4.5, 6), expect.closeTo(4.5, 6)]);
    }
    expect(readRow(bench, machine, 'lean', 'exit').most).toBeCloseTo(0, 6);
  });

  test('a tooth at the pitch line is half the pitch, but for the marks', () => {
    const tooth = readRow(bench, machine, 'tooth');
    const steps = NEAREST.slice(1).map((at, i) => at - NEAREST[i]!);
    // the basic rack: a space of π·m/2 at the pitch line, a module below the top
    expect(tooth.least).toBeCloseTo(Math.min(...steps) - Math.PI, 3);
    expect(tooth.most).toBeCloseTo(Math.max(...steps) - Math.PI, 3);
  });
});

test.each([20, 14.5])('the flanks of a rack cutter of %p° stand as it does', (angle) => {
  const bench = rackBench(jobOfRack(), angle);
  const { machine } = performed(bench);
  const { metal } = machine.work.sections[1];
  const { lies, high } = bench.bar;
  const step = lies.length / (metal.length - 1);
  // along the flank to the right of the first space, between 0.5 and 4 below the top
  for (const below of [0.5, 2, 4]) {
    const half = Math.PI / 2 + (2 - below) * Math.tan((angle * Math.PI) / 180);
    const at = metal.findIndex((_, i) => lies.from + i * step > 0 && metal[i]! > high - below);
    const [a, b] = [metal[at - 1]!, metal[at]!];
    const crosses = lies.from + (at - 1 + (high - below - a) / (b - a)) * step;
    expect(crosses).toBeCloseTo(half, 3);
  }
});

test('slots in a row: as wide as the cutter, at their length', () => {
  const bench = rackBench(
    jobOfRack({
      width: '3',
      spacing: { by: 'length', what: 'slots', length: mm('12.5'), count: measure('5', 'count') },
    }),
  );
  const { machine } = performed(bench);
  expect(cutsMade(bench, machine.work)).toBe(5);
  expect(Math.abs(readRow(bench, machine, 'step').most - 12.5)).toBeLessThan(0.005);
  expect(Math.abs(readRow(bench, machine, 'length').most - 50)).toBeLessThan(0.005);
  // a wall is found to one place of the outline
  const { metal } = machine.work.sections[0];
  const place = bench.bar.lies.length / (metal.length - 1);
  expect(place).toBeLessThan(0.0051);
  expect(Math.abs(readRow(bench, machine, 'width').most - 3)).toBeLessThan(2 * place);
});

describe('handled wrongly', () => {
  const bench = rackBench(jobOfRack());
  const start = freshMachine(bench);
  const cutOne: readonly Action[] = [
    { do: 'lock', on: true },
    { do: 'run', on: true },
    { do: 'depth', to: 4.5 },
    { do: 'table', to: 15 },
  ];

  test('moved on with the cutter in the work: gouged, by as much as it was moved', () => {
    const inWork = doAll(bench, start, ...cutOne, { do: 'lock', on: false }, { do: 'table', to: 7 });
    const { machine, told } = act(bench, inWork.machine, { do: 'along', to: 1.5 });
    expect(told).toEqual([{ what: 'dragged', by: 1.5, depth: expect.any(Number) }]);
    expect(sayTold(told[0]!, 'mm')).toContain('Moved 1.50 mm while the cutter was in the work: gouged');
    const width = machine.work.sections[1].metal.filter((at) => at < bench.bar.high - 2).length;
    const place = bench.bar.lies.length / (machine.work.sections[1].metal.length - 1);
    // at the pitch line a space of π, and 1.5 more
    expect(Math.abs(width * place - (Math.PI + 1.5))).toBeLessThan(2 * place);
  });

  test('locked it does not move; unlocked it is pushed through its slack', () => {
    const locked = act(bench, doAll(bench, start, { do: 'lock', on: true }).machine, { do: 'along', to: 5 });
    expect(locked.told).toEqual([{ what: 'held', by: 'table-locked' }]);
    expect(locked.machine.along!.dial).toBe(0);
    const loose = doAll(bench, start, ...cutOne.slice(1));
    expect(loose.told).toEqual([
      { what: 'cut', depth: 4.5 },
      { what: 'slid', by: 0.2 },
    ]);
  });

  test('overshot and brought straight back it stays on by the slack; half a turn back and up again it is right', () => {
    const at = (...readings: readonly number[]) => {
      const { machine } = doAll(bench, start, ...readings.map((to): Action => ({ do: 'along', to })));
      return machine.along!.dial + machine.over.along;
    };
    expect(at(6.5, 6.3)).toBeCloseTo(6.5, 9);
    expect(at(6.5, 6.4)).toBeCloseTo(6.5, 9);
    expect(at(6.5, 5, 6.3)).toBeCloseTo(6.3, 9);
    // the slack once gone through, it goes back with the screw
    expect(at(6.5, 5)).toBeCloseTo(5.2, 9);
  });

  test('each step reckoned from the last, rounded: off from first to last by what the cause claims', () => {
    const rounded = Array.from({ length: 12 }, (_, k) => k * 6.3);
    let { machine } = doAll(bench, start, { do: 'lock', on: false }, { do: 'run', on: true });
    for (const to of rounded)
      machine = doAll(
        bench,
        machine,
        { do: 'along', to },
        { do: 'lock', on: true },
        { do: 'depth', to: 4.5 },
        { do: 'table', to: 60 },
        { do: 'depth', to: -10 },
        { do: 'table', to: -60 },
        { do: 'lock', on: false },
      ).machine;
    const facts = troubleFacts(bench.run, foldRun(bench.run, []));
    const said = wrongAlong(facts.table!).rounded;
    expect(said.step).toBeCloseTo(6.3, 9);
    // 6.3 − 2π = 0.0168 each, 0.185 over eleven
    expect(said.all).toBeCloseTo(11 * (6.3 - 2 * Math.PI), 5);
    const length = readRow(bench, machine, 'length');
    expect(length.most - length.wanted).toBeCloseTo(said.all, 3);
    expect(causesOf('drift', { facts, part: 0, units: 'mm' })[0]!.cause).toBe(
      'Each move was reckoned from the last: 6.300 mm a space is off by 0.017 mm, 0.185 mm from the first to the last',
    );
  });

  test('a crank, a pin, a plate: there is none, and it is said', () => {
    for (const action of [
      { do: 'crank', turns: '1' },
      { do: 'pin', to: 'in' },
      { do: 'steps', to: 5 },
    ] as const)
      expect(act(bench, start, action).told).toEqual([{ what: 'held', by: 'no-head' }]);
  });

  test('taken back, it stands where it stood; its dial is said from its 0', () => {
    let session = newSession(bench);
    session = perform(session, { do: 'along', to: 11.3 });
    session = perform(session, { do: 'mark' });
    session = perform(session, { do: 'along', to: 19.85 });
    expect(sayPin(bench, session.machine)).toBe('Table at 1 turn + 71 of 100, 8.550 mm');
    expect(sayPin(bench, takeBack(session).machine)).toBe('Table at 0 of 100, 0.000 mm');
    // dragged on by a finger it is one turn of the hand; back again another
    for (const to of [19.9, 19.95, 20, 19.95]) session = perform(session, { do: 'along', to });
    expect(takeBack(session).machine.along!.dial).toBe(20);
    expect(takeBack(takeBack(session)).machine.along!.dial).toBe(11.3);
    session = takeBack(takeBack(session));
    session = perform(session, { do: 'along', to: 19.85 });
    expect(sayPin(bench, takeBack(takeBack(session)).machine)).toBe(
      'Table at 2 turns + 26 of 100, 11.300 mm',
    );
  });
});

describe('go on like this', () => {
  const bench = rackBench(jobOfRack());
  /** Two spaces by hand, at these readings, and the rest by one press. */
  function goneOn(first: number, second: number, by: readonly number[] = []): Machine {
    let session = newSession(bench);
    const cycle = (to: number) => cutByHand({ do: 'along', to }, 4.5);
    const dragged = by.map((to): Action => ({ do: 'along', to }));
    for (const action of [{ do: 'run', on: true } as const, ...cycle(first), ...dragged, ...cycle(second)])
      session = perform(session, action);
    expect(cycleOf(session)).toMatchObject({ left: 10, done: 3 });
    return goOnLikeThis(session).machine;
  }

  test('by the readings of the list it is the rack that is planned', () => {
    const machine = goneOn(0, 6.3);
    expect(cutsMade(bench, machine.work)).toBe(12);
    expect(readRow(bench, machine, 'length').most).toBeCloseTo(NEAREST[11]!, 3);
  });

  test('dragged there, past it and up again, it goes on to the list’s next all the same', () => {
    const machine = goneOn(0, 6.3, [5.9, 6.1, 6.5, 5.5]);
    expect(cutsMade(bench, machine.work)).toBe(12);
    expect(readRow(bench, machine, 'length').most).toBeCloseTo(NEAREST[11]!, 3);
  });

  test('by a step of one’s own it goes on by that step, and is off as much as it makes', () => {
    const machine = goneOn(0, 6.25);
    expect(cutsMade(bench, machine.work)).toBe(12);
    expect(readRow(bench, machine, 'length').most).toBeCloseTo(11 * 6.25, 3);
  });
});

describe('an inch mill: a rack of 10 DP by a screw of a fifth of an inch with 200 marks', () => {
  const mill = {
    ...STOCK_MILL,
    ...{ id: 'inch-mill', name: 'Inch mill', lead: measure('0.2', 'in'), marks: 200 },
  };
  const equipment = { ...shop, mills: [mill] };
  const drawn = jobOfRack({ spacing: { pitch: measure('10', 'dp'), depth: measure('0.2157', 'in') } });
  const job = withMill({
    ...{ job: { ...drawn, units: 'in' as const }, partId: 'p1' },
    ...{ millId: mill.id, shop: equipment },
  });
  const bench = rackBench(job, undefined, equipment);
  const { machine, told } = performed(bench);
  // π/10 in is 314.16 thou, a mark one thou: 1 turn and 114; eleven are 3455.75: 17 turns and 56
  test('each space at its thou; said in the job’s inches', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(readRow(bench, machine, 'length').most / 25.4).toBeCloseTo(3.456, 4);
    expect(readRow(bench, machine, 'step').wanted / 25.4).toBeCloseTo(Math.PI / 10, 6);
    const second = act(bench, freshMachine(bench), { do: 'along', to: 0.314 * 25.4 }).machine;
    expect(sayPin(bench, second)).toBe('Table at 1 turn + 114 of 200, 0.3140 in');
    const before = act(bench, freshMachine(bench), { do: 'along', to: -0.01 * 25.4 }).machine;
    expect(sayPin(bench, before)).toBe('Table at 190 of 200, 1 turn back, -0.0100 in');
  });

  test('the screw it may be mistaken for is the metric one of 5 mm', () => {
    const facts = troubleFacts(bench.run, foldRun(bench.run, []));
    // 5 for 5.08 is 1.575 in a hundred short: 0.00495 in a space, 0.0544 over eleven
    expect(wrongAlong(facts.table!).screw.other).toBe(5);
    expect(wrongAlong(facts.table!).screw.all / 25.4).toBeCloseTo((11 * Math.PI * 0.08) / 10 / 5.08, 5);
    expect(causesOf('drift', { facts, part: 0, units: 'in' })[1]!.cause).toContain(
      'one of 0.1969 in under a dial for 0.2000 in is off by 0.0049 in a space, 0.0544 in from the first to the last',
    );
  });
});

test('a rack that is not sunk to its pitch line is measured at half its depth, and has no tooth to measure', () => {
  const bench = rackBench(jobOfRack({ spacing: { depth: mm('1.5') } }));
  const { machine } = performed(bench);
  expect(cutsMade(bench, machine.work)).toBe(12);
  expect(readRow(bench, machine, 'depth').most).toBeCloseTo(1.5, 4);
  expect(() => readRow(bench, machine, 'tooth')).toThrow();
});
