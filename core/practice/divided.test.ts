import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { withPart, type Job } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { performed, readRow, spacedJob } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { causesOf, troubleFacts } from '../trouble/index.ts';
import { measure } from '../units/index.ts';
import {
  act,
  benchOf,
  cutsMade,
  faultOf,
  faultsFor,
  freshMachine,
  isHarm,
  outlineOf,
  spacesBelow,
  type Action,
  type PracticeBench,
} from './index.ts';

const mm = (typed: string) => measure(typed, 'mm');

/** Round a bar on the stock head: a cutter of 50 by 4 over a length of 15. */
const roundJob = (
  spacing: Readonly<Record<string, unknown>>,
  said: Parameters<typeof spacedJob>[2] = {},
): Job =>
  spacedJob({ id: 'j', name: 'Round' }, spacing, {
    ...{ face: mm('15'), cutterDiameter: mm('50'), cutterWidth: mm('4'), ...said },
  });

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

describe.each([
  ['slots', '6', '3'],
  ['splines', '8', '5'],
  ['slots', '1', '12'],
])('%s: %s of 4 round 40, %s deep', (what, n, deep) => {
  const bench = benchFor(roundJob({ what, count: count(n), diameter: mm('40'), depth: mm(deep) }));
  const { machine, told } = performed(bench);
  const middle = machine.work.sections[1];
  const half = Number(deep) / 2;

  test('harms nothing; each is as wide as its cutter, as deep, and at its place', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(cutsMade(bench, machine.work)).toBe(Number(n));
    for (const [row, wanted] of [
      ['depth', Number(deep)],
      ['width', 4],
      ['aside', 0],
    ] as const)
      // within a micrometre
      for (const end of ['least', 'most'] as const)
        expect(Math.abs(readRow(bench, machine, row)[end] - wanted)).toBeLessThan(1e-3);
    if (n === '1') return;
    expect(readRow(bench, machine, 'step').most).toBeCloseTo(360 / Number(n), 4);
    expect(readRow(bench, machine, 'lean', 'exit').most).toBeCloseTo(0, 4);
  });

  test('its walls are parallel: a wall at any height is 2 from the middle', () => {
    for (const radius of [19.9, 20 - half, 20 - Number(deep) + 0.3]) {
      const [slot] = spacesBelow(machine.work, radius, 'middle');
      const across = 2 * radius * Math.sin(Math.PI * (slot!.to - slot!.from));
      expect(across).toBeCloseTo(4, 3);
    }
  });

  test('its outline, drawn, encloses what is left of the disk', () => {
    const many = middle.metal.length;
    const points = outlineOf(middle, 0, many - 1).map(({ radius, place }) => {
      const angle = (2 * Math.PI * place) / many;
      return [radius * Math.sin(angle), radius * Math.cos(angle)] as const;
    });
    const twice = points.reduce((sum, [x, y], i) => {
      const [nx, ny] = points[(i + 1) % points.length]!;
      return sum + (nx * y - x * ny);
    }, 0);
    // a slot takes what is between its walls, above its floor, below the outside
    const arc = 20 * 20 * Math.asin(2 / 20) + 2 * Math.sqrt(20 * 20 - 4);
    const slot = arc - 4 * (20 - Number(deep));
    expect(twice / 2).toBeCloseTo(Math.PI * 20 * 20 - Number(n) * slot, 1);
  });
});

test.each([
  ['in two rounds', { passes: 'rough-finish' as const }],
  ['indexed where the cutter leaves', { indexAt: 'exit' }],
  ['in two rounds, indexed where it leaves', { passes: 'rough-finish' as const, indexAt: 'exit' }],
])('slots %s: harmed by nothing, and as in one', (_, said) => {
  const bench = benchFor(
    roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('3') }, said),
  );
  const { machine, told } = performed(bench);
  expect(bench.run.rounds).toHaveLength('passes' in said ? 2 : 1);
  expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
  expect(cutsMade(bench, machine.work)).toBe(6);
  expect(Math.abs(readRow(bench, machine, 'width').most - 4)).toBeLessThan(1e-3);
  expect(readRow(bench, machine, 'depth').least).toBeCloseTo(3, 4);
  expect(readRow(bench, machine, 'step').most).toBeCloseTo(60, 4);
});

test('slots beside the middle, and askew, measure so', () => {
  const bench = benchFor(roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('3') }));
  const beside = faultOf(bench, 'off-centre')!.hide(freshMachine(bench));
  const aside = readRow(beside.bench, performed(beside.bench, beside.machine).machine, 'aside');
  expect([Math.abs(aside.least), Math.abs(aside.most)]).toEqual([
    expect.closeTo(0.25, 3),
    expect.closeTo(0.25, 3),
  ]);
  const along = faultOf(bench, 'along')!.hide(freshMachine(bench));
  const lean = readRow(along.bench, performed(along.bench, along.machine).machine, 'lean', 'exit');
  // by as much on the walls, which at half the depth is a little more at the outside
  expect(Math.abs(lean.most)).toBeCloseTo((0.25 * 20) / 18.5, 2);
});

test('by a cutter that runs out sideways slots are as much wider; each fault is among the causes', () => {
  const bench = benchFor(roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('3') }));
  const hidden = faultOf(bench, 'wide')!.hide(freshMachine(bench));
  const { machine } = performed(hidden.bench, hidden.machine);
  expect(readRow(bench, machine, 'width').most).toBeCloseTo(4.12, 3);
  expect(readRow(bench, machine, 'width').wanted).toBe(4);
  for (const each of [bench, benchFor(flats('6', '22', '19'))]) {
    const facts = troubleFacts(each.run, { next: null, last: null, doneCuts: [] });
    for (const { key, symptom } of faultsFor(each)) {
      const causes = causesOf(symptom, { facts, part: 0.5, units: 'mm' });
      expect([key, causes.map((cause) => cause.key)]).toEqual([key, expect.arrayContaining([key])]);
    }
  }
});

test('turned with the cutter in it, a slot is as much wider as the work went on under it', () => {
  const bench = benchFor(roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('3') }));
  let machine = freshMachine(bench);
  const doing: readonly Action[] = [
    { do: 'depth', to: 3 },
    { do: 'run', on: true },
    { do: 'table', to: 7.5 },
    { do: 'pin', to: 'out' },
    { do: 'crank', turns: '1/2' },
  ];
  const told = doing.flatMap((action) => {
    const done = act(bench, machine, action);
    machine = done.machine;
    return done.told;
  });
  expect(told).toContainEqual(expect.objectContaining({ what: 'gouged' }));
  const [slot] = spacesBelow(machine.work, 18.5, 'middle');
  // half a turn of 40 is 4.5°; the slack of the worm is on the right side
  expect(360 * (slot!.to - slot!.from)).toBeCloseTo((2 * Math.asin(2 / 18.5) * 180) / Math.PI + 4.5, 2);
});

test('cut again deeper and a mm to the side, the first wall stays where it was', () => {
  const bench = benchFor(roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('5') }));
  let machine = freshMachine(bench);
  for (const action of [
    { do: 'run', on: true },
    { do: 'lock', on: true },
    { do: 'depth', to: 5 },
    { do: 'table', to: 30 },
    { do: 'depth', to: -10 },
    { do: 'table', to: -60 },
    // past it, so that the slack of the slide is through
    { do: 'beside', to: 1 },
    { do: 'depth', to: 7 },
    { do: 'table', to: 30 },
  ] satisfies Action[])
    machine = act(bench, machine, action).machine;
  const over = machine.over.beside;
  for (const radius of [19.9, 19.5, 18, 15.6]) {
    const [slot] = spacesBelow(machine.work, radius, 'middle');
    const wall = (turn: number) => radius * Math.sin(2 * Math.PI * turn);
    const under = slot!.from < -0.5 || slot!.from > 0.5 ? slot!.from - Math.round(slot!.from) : slot!.from;
    expect(wall(under)).toBeCloseTo(-2, 2);
    expect(wall(slot!.to)).toBeCloseTo(3 + over, 2);
  }
});

test('holes have no place; flats and slots wait for what they lack', () => {
  const asked = (job: Job) => benchOf(plan(job, shop).parts[0]!, need(beginRun(job, {}, shop)));
  const holes = roundJob({ what: 'holes', count: count('6'), diameter: mm('40') });
  expect(asked(holes)).toMatchObject({ ok: false, issues: [{ code: 'practice-other' }] });
  const slots = roundJob({ what: 'slots', count: count('6'), diameter: mm('40'), depth: mm('3') });
  const noWidth = withPart(slots, 'p1', (part) =>
    part.kind === 'divide' ? { ...part, setup: { ...part.setup, cutterWidth: mm('') } } : part,
  );
  expect(asked(noWidth)).toMatchObject({
    ok: false,
    issues: [{ code: 'practice-waits', given: 'the width of the cutter' }],
  });
  const bare = withPart(flats('6', '22', '19'), 'p1', (part) =>
    part.kind === 'divide' ? { ...part, setup: { ...part.setup, face: mm('') } } : part,
  );
  expect(asked(bare)).toMatchObject({
    ok: false,
    issues: [{ code: 'practice-waits', given: 'the width of the face' }],
  });
});
