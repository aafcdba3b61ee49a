import { describe, expect, test } from '@jest/globals';
import { exact } from '../units/index.ts';
import {
  act,
  demonstrate,
  freshMachine,
  holeUnderPin,
  isHarm,
  outsideReads,
  reachOf,
  spacesBelow,
  spacesInOrder,
  spanAcross,
  type Action,
  type Machine,
  type PracticeBench,
  type Told,
} from './index.ts';
import { benchFor } from '../sampleBench.ts';
import { blank } from './work.ts';

const RAD = Math.PI / 180;

/** Hands on the bench, one action after the other. */
function hands(bench: PracticeBench, actions: readonly Action[], from = freshMachine(bench)) {
  let machine = from;
  const told: Told[] = [];
  for (const action of actions) {
    const done = act(bench, machine, action);
    machine = done.machine;
    told.push(...done.told);
  }
  return { machine, told };
}

/** 26 teeth, module 1.5: a turn and 14 spaces on 26 … by the plates 1 + 15/… ; whatever the plan says. */
const bench = benchFor({ teeth: 26, module: 1.5 });
const deep = bench.run.rounds.at(-1)!.depthMm!;
const far = bench.face + reachOf(bench, deep) + 5;

const cutHere = (locked = true): Action[] => [
  { do: 'run', on: true },
  { do: 'lock', on: locked },
  { do: 'table', to: -60 },
  { do: 'depth', to: deep },
  { do: 'table', to: bench.face + 1 },
  { do: 'table', to: -60 },
  { do: 'lock', on: false },
];
const move = (turns: string): Action[] => [
  { do: 'pin', to: 'out' },
  { do: 'crank', turns },
  { do: 'pin', to: 'in' },
];
const planned = bench.run.move as { turns: number; spaces: number; circle: number };
const right = `${planned.turns * planned.circle + planned.spaces}/${planned.circle}`;
const short = `${planned.turns * planned.circle + planned.spaces - 1}/${planned.circle}`;

/** A gear cut with so long a move, as often as teeth are wanted. */
function cutWith(turns: string, by: readonly Action[] = []): Machine {
  let { machine } = hands(bench, by);
  for (let i = 0; i < 26; i += 1) machine = hands(bench, [...cutHere(), ...move(turns)], machine).machine;
  return machine;
}

describe('a hand that goes wrong', () => {
  test('the pin’s own hole counted: no pitch is right, and the last tooth is what is left over', () => {
    const found = spacesBelow(cutWith(short).work, 19.5, 'middle');
    const middles = found.map(({ from, to }) => ((from + to) / 2) % 1).sort((a, b) => a - b);
    expect(found).toHaveLength(26);
    const gaps = middles.map((at, i) => (i === 25 ? 1 + middles[0]! - at : middles[i + 1]! - at));
    const each = exact(short).div(40).valueOf();
    // 25 moves too short by a hole: the last gap has what they lack
    expect(Math.max(...gaps)).toBeCloseTo(1 - 25 * each, 6);
    expect(gaps.filter((gap) => Math.abs(gap - each) < 1e-6)).toHaveLength(25);
  });

  test('indexed with the cutter in the work: the land is gouged, by as much as it was turned', () => {
    const inWork = hands(bench, [
      ...cutHere().slice(0, 5),
      // back, but not past the first touch
      { do: 'table', to: -reachOf(bench, deep) + 3 },
      { do: 'lock', on: false },
      ...move(right),
    ]);
    const gouged = inWork.told.find(({ what }) => what === 'gouged');
    expect(gouged).toMatchObject({ degrees: expect.closeTo(360 / 26, 6) });
    expect(inWork.told.filter(isHarm)).toHaveLength(1);
    const { work } = inWork.machine;
    // at the entry a nick all over the land, as deep as the disk reached there; none at the far side
    const land = [1 / 26 / 2];
    const r = 30;
    const reach = reachOf(bench, deep) - 3;
    expect(outsideReads(work, land, 'entry')[0]).toBeCloseTo(
      -(deep - r + Math.sqrt(r * r - reach * reach)),
      3,
    );
    expect(outsideReads(work, land, 'exit')[0]).toBeCloseTo(0, 9);
  });

  test('past the first touch nothing happens', () => {
    const clear = hands(bench, [
      ...cutHere().slice(0, 5),
      { do: 'table', to: -reachOf(bench, deep) - 0.05 },
      { do: 'lock', on: false },
      ...move(right),
    ]);
    expect(clear.told.filter(isHarm)).toEqual([]);
    expect(hands(bench, [{ do: 'table', to: far }], clear.machine).told[0]!.what).toBe('cut');
  });

  test('cranked against the lock it stops where the slack ends; the pin has to find a hole', () => {
    const against = hands(bench, [
      { do: 'lock', on: true },
      { do: 'pin', to: 'out' },
      { do: 'crank', turns: '-1/2' },
    ]);
    expect(against.told.at(-1)).toEqual({ what: 'held', by: 'lock' });
    expect(against.machine.crank.toFraction()).toBe('-1/24');
    expect(holeUnderPin(against.machine)).toBeNull();
    // the slack is gone: a second try moves nothing
    const twice = hands(bench, [{ do: 'crank', turns: '-1/2' }], against.machine);
    expect(twice.machine.crank.toFraction()).toBe('-1/24');
    expect(act(bench, against.machine, { do: 'pin', to: 'in' }).told).toEqual([
      { what: 'held', by: 'no-hole' },
    ]);
    expect(act(bench, freshMachine(bench), { do: 'crank', turns: '1' }).told).toEqual([
      { what: 'held', by: 'pin' },
    ]);
  });

  test('overshot and brought straight back the slack stays in the work; half a turn back and up again it is gone', () => {
    const over = exact(right).add(exact(2, planned.circle)).toFraction();
    const back = hands(bench, [
      { do: 'pin', to: 'out' },
      { do: 'crank', turns: over },
      { do: 'crank', turns: `-2/${planned.circle}` },
    ]);
    const wanted = 1 / 26;
    // two spaces are more than the slack: it came back by what is beyond it
    expect(back.machine.spindle.valueOf() - wanted).toBeCloseTo(1 / 24 / 40, 9);
    const again = hands(
      bench,
      [
        { do: 'crank', turns: '-1/2' },
        { do: 'crank', turns: '1/2' },
      ],
      back.machine,
    );
    expect(again.machine.spindle.valueOf()).toBeCloseTo(wanted, 12);
  });

  test('cut with the spindle loose it gives by the slack, and the next space is not where it should be', () => {
    const loose = hands(bench, cutHere(false));
    expect(loose.told).toContainEqual({ what: 'shifted', degrees: expect.closeTo(360 / 24 / 40, 9) });
    expect(loose.told.filter(isHarm)).toHaveLength(1);
    // what it gave it cannot give again: run through once more, deeper, it stands against the worm
    const again = hands(
      bench,
      cutHere(false).map((each) => (each.do === 'depth' ? { ...each, to: 2 * deep } : each)),
      loose.machine,
    );
    expect(again.told.some(({ what }) => what === 'shifted')).toBe(false);
    expect(again.machine.spindle.valueOf()).toBeCloseTo(1 / 24 / 40, 12);
  });

  test('without a key the blank creeps: the gear closes short of a part of a tooth', () => {
    const crept = cutWith(right, [{ do: 'key', on: false }]);
    const keyed = cutWith(right);
    const gap = (machine: Machine) => {
      const found = spacesBelow(machine.work, 19.5, 'middle');
      const middles = found.map(({ from, to }) => ((from + to) / 2) % 1).sort((a, b) => a - b);
      return 1 + middles[0]! - middles[25]!;
    };
    expect(gap(keyed)).toBeCloseTo(1 / 26, 6);
    // 25 creeps of 0.008 of a tooth before the last
    expect(gap(crept)).toBeCloseTo((1 - 25 * 0.008) / 26, 5);
  });

  test('beside the middle the spaces lean, by as much over the radius', () => {
    const { machine } = hands(bench, [{ do: 'beside', to: 0.1 }, ...cutHere()]);
    const at = (radius: number) => {
      const [space] = spacesBelow(machine.work, radius, 'middle');
      return (((space!.from + space!.to) / 2 + 0.5) % 1) - 0.5;
    };
    // the middle of the space lies on a line 0.1 beside the axis
    for (const radius of [18.5, 20]) expect(at(radius) * 2 * Math.PI).toBeCloseTo(Math.asin(0.1 / radius), 3);
  });

  test('fed into it with the cutter standing it stalls, and nothing is cut', () => {
    const { machine, told } = hands(bench, [
      { do: 'depth', to: deep },
      { do: 'table', to: 0 },
    ]);
    expect(told.at(-1)).toEqual({ what: 'stalled' });
    expect(spacesBelow(machine.work, 20, 'entry')).toEqual([]);
  });

  test('sunk by the knee over the work it plunges, and says so', () => {
    const { told } = hands(bench, [
      { do: 'lock', on: true },
      { do: 'run', on: true },
      { do: 'table', to: 6 },
      { do: 'depth', to: 1 },
    ]);
    expect(told.at(-1)).toMatchObject({ what: 'plunged', depth: expect.closeTo(1, 3) });
  });
});

test('what is cut so far stands together for the caliper, wherever the first space lies', () => {
  let { machine } = hands(bench, []);
  for (let i = 0; i < 4; i += 1) machine = hands(bench, [...cutHere(), ...move(right)], machine).machine;
  const [first, , , last, ...more] = spacesInOrder(machine.work, 19.5, 'middle');
  expect(more).toEqual([]);
  const middle = ({ from, to }: { from: number; to: number }) => (from + to) / 2;
  expect(middle(last!) - middle(first!)).toBeCloseTo(3 / 26, 6);
  // m·cos α·(2.5π + z·inv α) for m 1.5 and 26 teeth: cut with a cutter that is exact for 26
  const reads = spanAcross(machine.work, { from: middle(first!), to: middle(last!), where: 'middle' });
  expect(reads).toBeCloseTo(
    1.5 * Math.cos(20 * RAD) * (Math.PI * 2.5 + 26 * (Math.tan(20 * RAD) - 20 * RAD)),
    3,
  );
});

describe('the head', () => {
  test('a geared plate that is locked holds the spindle', () => {
    const geared = benchFor({ teeth: 55, module: 1, method: 'differential' });
    const tried = hands(geared, [
      { do: 'plate-lock', to: 'in' },
      { do: 'pin', to: 'out' },
      { do: 'crank', turns: '1' },
    ]);
    expect(tried.told.at(-1)).toEqual({ what: 'held', by: 'gears' });
    expect(tried.machine.spindle.valueOf()).toBe(0);
  });

  test('cranked with the direct pin in, the pin breaks', () => {
    const direct = benchFor({ teeth: 12, module: 2, method: 'direct' });
    const cranked = hands(direct, [
      { do: 'worm', to: 'in' },
      { do: 'pin', to: 'out' },
      { do: 'crank', turns: '1' },
    ]);
    expect(cranked.told.at(-1)).toEqual({ what: 'pin-broken' });
    expect(hands(direct, [{ do: 'direct-pin', to: 'in' }], cranked.machine).told).toEqual([
      { what: 'held', by: 'pin-broken' },
    ]);
    // with the worm in nothing is turned by hand
    expect(
      hands(direct, [
        { do: 'worm', to: 'in' },
        { do: 'spindle', turns: '1/12' },
      ]).told.at(-1),
    ).toEqual({
      what: 'held',
      by: 'worm-in',
    });
  });

  test('the prompts in the wrong order cut another gear', () => {
    const told: Told[] = [];
    for (const shown of demonstrate(bench, { order: (now) => [...now].reverse(), eachStep: false }))
      told.push(...shown.told);
    expect(told.some(isHarm) || told.some(({ what }) => what === 'held')).toBe(true);
  });

  test('a blank that stands off shows it to the indicator: the reading is twice as much', () => {
    const off = blank({ outside: 42, face: 12, teeth: 26, eccentric: { by: 0.05, at: 0.25 } });
    const read = outsideReads(off, [0, 0.25, 0.5, 0.75], 'middle');
    expect(Math.max(...read) - Math.min(...read)).toBeCloseTo(0.1, 6);
    expect(read[1]).toBeCloseTo(0.05, 6);
  });

  test('a span over a gouged land still stands on the flanks beside it', () => {
    const whole = cutWith(right).work;
    expect(spanAcross(whole, { from: 0, to: 3 / 26, where: 'middle' })).toBeCloseTo(
      1.5 * Math.cos(20 * RAD) * (Math.PI * 2.5 + 26 * (Math.tan(20 * RAD) - 20 * RAD)),
      3,
    );
  });
});

describe('a motor and a wheel, handled wrongly', () => {
  const byMotor = benchFor({ teeth: 26, module: 1.5, method: 'stepper' });
  const byWheel = benchFor({ teeth: 12, module: 2, method: 'handwheel' });
  // 200 steps of 8 microsteps, 90 turns of the worm: a turn of the work
  const perTurn = 144_000;

  test('sent against the lock it loses all its steps, and its count goes on', () => {
    const { machine, told } = hands(byMotor, [
      { do: 'lock', on: true },
      { do: 'steps', to: 5538 },
    ]);
    expect(told.at(-1)).toEqual({ what: 'laboured', steps: 5538 });
    expect(isHarm(told.at(-1)!)).toBe(true);
    expect([machine.steps, machine.spindle.valueOf()]).toEqual([5538, 0]);
    // freed, it goes on from where it is, and the work stands that much behind
    const freed = act(byMotor, { ...machine, locked: false }, { do: 'steps', to: 11077 }).machine;
    expect(freed.spindle.valueOf()).toBeCloseTo(5539 / perTurn, 12);
  });

  test('sent back and on it goes through the slack of the worm both ways, and ends where it was', () => {
    const there = hands(byMotor, [{ do: 'steps', to: 5538 }]).machine;
    const back = hands(byMotor, [{ do: 'steps', to: 4738 }], there).machine;
    // a 24th of a turn of the worm
    expect(back.spindle.valueOf()).toBeCloseTo(4738 / perTurn + 1 / 24 / 90, 12);
    const again = hands(byMotor, [{ do: 'steps', to: 5538 }], back).machine;
    expect(again.spindle.valueOf()).toBeCloseTo(5538 / perTurn, 12);
  });

  test('turned by the motor into a cutter that turns, the land is gouged; into one that stands, steps are lost', () => {
    const sunk = hands(byMotor, [
      { do: 'run', on: true },
      { do: 'lock', on: true },
      { do: 'depth', to: byMotor.run.rounds.at(-1)!.depthMm! },
      { do: 'table', to: byMotor.face / 2 },
      { do: 'lock', on: false },
    ]).machine;
    const gouged = act(byMotor, sunk, { do: 'steps', to: 800 });
    expect(gouged.told).toEqual([expect.objectContaining({ what: 'gouged', degrees: 2 })]);
    const standing = act(byMotor, { ...sunk, running: false }, { do: 'steps', to: 800 });
    expect(standing.told).toEqual([expect.objectContaining({ what: 'laboured' })]);
    expect(standing.machine.spindle.equals(sunk.spindle)).toBe(true);
  });

  test('there is no pin on a wheel and no crank on a motor; no wheel is sent', () => {
    const by = (on: PracticeBench, action: Action) => act(on, freshMachine(on), action).told;
    expect(by(byWheel, { do: 'pin', to: 'in' })).toEqual([{ what: 'held', by: 'no-pin' }]);
    expect(by(byMotor, { do: 'crank', turns: '1' })).toEqual([{ what: 'held', by: 'motor-holds' }]);
    expect(by(byWheel, { do: 'steps', to: 9 })).toEqual([{ what: 'held', by: 'no-motor' }]);
  });

  test('each move into its nearest hole of a plate is counted, as the prompt counts it', () => {
    const nearest = benchFor({
      ...{ teeth: 53, module: 1, method: 'approximate' },
      fits: ({ method }) => method === 'nearest-hole',
    });
    let machine = freshMachine(nearest);
    for (const shown of demonstrate(nearest, { eachStep: false })) machine = shown.machine;
    const middles = spacesBelow(machine.work, 26, 'middle').map(({ from, to }) => (from + to) / 2);
    expect(middles).toHaveLength(53);
    const { circle } = nearest.run.move as { circle: number };
    // no farther apart than a hole: each is half of one off at most
    const turns = middles.map((at) => at * 53).sort((a, b) => a - b);
    turns.forEach((at, i) => expect(Math.abs(at - turns[0]! - i) / 53).toBeLessThan(1 / circle / 40));
  });
});
