import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { withPart, type Job } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { foldRun } from '../run/index.ts';
import { jobOfRack } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { causesOf, troubleFacts, wrongAlong } from '../trouble/index.ts';
import { measure } from '../units/index.ts';
import {
  act,
  benchOf,
  cutsMade,
  cycleOf,
  demonstrate,
  dividedReadings,
  faultOf,
  faultsFor,
  freshMachine,
  goOnLikeThis,
  isHarm,
  perform,
  newSession,
  takeBack,
  sayPin,
  sayTold,
  type Action,
  type DividedWhat,
  type Machine,
  type PracticeBench,
  type TableBench,
  type Told,
  type Where,
} from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');

const partOf = (job: Job) => plan(job, shop).parts[0]!;
const runOf = (job: Job) => need(beginRun(job, {}, shop));

function benchFor(job: Job, rackAngleDeg?: number): TableBench {
  const bench = need(benchOf(partOf(job), runOf(job), rackAngleDeg ? { rackAngleDeg } : {}));
  if (bench.on !== 'table') throw new Error('that is no table');
  return bench;
}

function performed(bench: PracticeBench, start = freshMachine(bench)): { machine: Machine; told: Told[] } {
  let machine = start;
  const told: Told[] = [];
  for (const shown of demonstrate(bench, { machine: start })) {
    machine = shown.machine;
    told.push(...shown.told);
  }
  return { machine, told };
}

function read(bench: PracticeBench, machine: Machine, what: DividedWhat, where: Where = 'middle') {
  const row = dividedReadings(bench, machine).rows.find((each) => each.what === what && each.where === where);
  if (!row) throw new Error(`no ${what}`);
  return row;
}

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
  const bench = benchFor(jobOfRack(how));
  const { machine, told } = performed(bench);

  test('harms nothing, and is whole', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(cutsMade(bench, machine.work)).toBe(12);
  });

  test('every space stands at its mark, within 1 µm, and deep as planned', () => {
    const steps = NEAREST.slice(1).map((at, i) => at - NEAREST[i]!);
    const step = read(bench, machine, 'step');
    expect(step.least).toBeCloseTo(Math.min(...steps), 3);
    expect(step.most).toBeCloseTo(Math.max(...steps), 3);
    expect(step.wanted).toBeCloseTo(2 * Math.PI, 6);
    expect(read(bench, machine, 'length').most).toBeCloseTo(NEAREST[11]!, 3);
    for (const where of ['entry', 'middle', 'exit'] as const) {
      const depth = read(bench, machine, 'depth', where);
      expect([depth.least, depth.most]).toEqual([expect.closeTo(4.5, 6), expect.closeTo(4.5, 6)]);
    }
    expect(read(bench, machine, 'lean', 'exit').most).toBeCloseTo(0, 6);
  });

  test('a tooth at the pitch line is half the pitch, but for the marks', () => {
    const tooth = read(bench, machine, 'tooth');
    const steps = NEAREST.slice(1).map((at, i) => at - NEAREST[i]!);
    // the basic rack: a space of π·m/2 at the pitch line, a module below the top
    expect(tooth.least).toBeCloseTo(Math.min(...steps) - Math.PI, 3);
    expect(tooth.most).toBeCloseTo(Math.max(...steps) - Math.PI, 3);
  });
});

test.each([20, 14.5])('the flanks of a rack cutter of %p° stand as it does', (angle) => {
  const bench = benchFor(jobOfRack(), angle);
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
  const bench = benchFor(
    jobOfRack({
      width: '3',
      spacing: { by: 'length', what: 'slots', length: mm('12.5'), count: measure('5', 'count') },
    }),
  );
  const { machine } = performed(bench);
  expect(cutsMade(bench, machine.work)).toBe(5);
  expect(Math.abs(read(bench, machine, 'step').most - 12.5)).toBeLessThan(0.005);
  expect(Math.abs(read(bench, machine, 'length').most - 50)).toBeLessThan(0.005);
  // a wall is found to one place of the outline
  const { metal } = machine.work.sections[0];
  const place = bench.bar.lies.length / (metal.length - 1);
  expect(place).toBeLessThan(0.0051);
  expect(Math.abs(read(bench, machine, 'width').most - 3)).toBeLessThan(2 * place);
});

describe('handled wrongly', () => {
  const bench = benchFor(jobOfRack());
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
    const length = read(bench, machine, 'length');
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
  const bench = benchFor(jobOfRack());
  /** Two spaces by hand, at these readings, and the rest by one press. */
  function goneOn(first: number, second: number, by: readonly number[] = []): Machine {
    let session = newSession(bench);
    const cycle = (to: number): readonly Action[] => [
      { do: 'along', to },
      { do: 'lock', on: true },
      { do: 'depth', to: 4.5 },
      { do: 'table', to: 30 },
      { do: 'depth', to: -10 },
      { do: 'table', to: -60 },
      { do: 'lock', on: false },
    ];
    const dragged = by.map((to): Action => ({ do: 'along', to }));
    for (const action of [{ do: 'run', on: true } as const, ...cycle(first), ...dragged, ...cycle(second)])
      session = perform(session, action);
    expect(cycleOf(session)).toMatchObject({ left: 10, done: 3 });
    return goOnLikeThis(session).machine;
  }

  test('by the readings of the list it is the rack that is planned', () => {
    const machine = goneOn(0, 6.3);
    expect(cutsMade(bench, machine.work)).toBe(12);
    expect(read(bench, machine, 'length').most).toBeCloseTo(NEAREST[11]!, 3);
  });

  test('dragged there, past it and up again, it goes on to the list’s next all the same', () => {
    const machine = goneOn(0, 6.3, [5.9, 6.1, 6.5, 5.5]);
    expect(cutsMade(bench, machine.work)).toBe(12);
    expect(read(bench, machine, 'length').most).toBeCloseTo(NEAREST[11]!, 3);
  });

  test('by a step of one’s own it goes on by that step, and is off as much as it makes', () => {
    const machine = goneOn(0, 6.25);
    expect(cutsMade(bench, machine.work)).toBe(12);
    expect(read(bench, machine, 'length').most).toBeCloseTo(11 * 6.25, 3);
  });
});

describe('each cause on a table has a fault here, and the piece shows what the cause claims', () => {
  const bench = benchFor(jobOfRack());
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
    const step = read(bench, machine, 'step');
    expect(step.least).toBeCloseTo(6.3 - 0.4, 3);
    expect(step.most).toBeCloseTo(6.3, 3);
  });

  test('a screw of a fifth of an inch under a dial of 5 mm: off as the cause says', () => {
    const { machine } = cutWith('screw');
    const length = read(bench, machine, 'length');
    expect(length.most - length.wanted).toBeCloseTo(wrongAlong(facts.table!).screw.all, 1);
    expect(length.most).toBeCloseTo(NEAREST[11]! * 1.016, 3);
  });

  test('a bar that slips: off bit by bit', () => {
    const { machine } = cutWith('slipped');
    const length = read(bench, machine, 'length');
    expect(length.most - NEAREST[11]!).toBeCloseTo(11 * 0.008 * 2 * Math.PI, 3);
  });

  test('askew, low at one side, a knee that sinks: lean and depth', () => {
    expect(read(bench, cutWith('askew').machine, 'lean', 'exit').most).toBeCloseTo(0.25, 3);
    const { machine } = cutWith('packing');
    expect(read(bench, machine, 'depth', 'entry').most).toBeCloseTo(4.5, 3);
    expect(read(bench, machine, 'depth', 'exit').most).toBeCloseTo(4.38, 3);
    expect(read(bench, cutWith('knee').machine, 'depth').most).toBeCloseTo(4.38, 3);
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
