import { describe, expect, test } from '@jest/globals';
import { benchFor } from '../sampleBench.ts';
import { diskErrors } from '../toothform/index.ts';
import {
  act,
  demonstrate,
  freshMachine,
  isHarm,
  readingsOf,
  spacesInOrder,
  type Action,
  type Machine,
  type GearBench,
  type Told,
} from './index.ts';

function performed(bench: GearBench): { machine: Machine; told: Told[] } {
  let machine = freshMachine(bench);
  const told: Told[] = [];
  for (const shown of demonstrate(bench)) {
    machine = shown.machine;
    told.push(...shown.told);
  }
  return { machine, told };
}

const does = (bench: GearBench, machine: Machine, ...actions: readonly Action[]) => {
  const told: Told[] = [];
  let now = machine;
  for (const action of actions) {
    const done = act(bench, now, action);
    now = done.machine;
    told.push(...done.told);
  }
  return { machine: now, told };
};

/** Middle of a tooth space at a place of the face, parts of a turn. */
const middlesAt = ({ work }: Machine, bench: GearBench, where: 'entry' | 'middle' | 'exit') =>
  spacesInOrder(work, bench.gear.pitchDiameter / 2, where).map(({ from, to }) => (from + to) / 2);

describe.each([
  { hand: 'right', sign: 1 },
  { hand: 'left', sign: -1 },
] as const)('a helical gear of 30 teeth, m 2, 20°, $hand hand', ({ hand, sign }) => {
  const bench = benchFor({ teeth: 30, module: 2, helix: '20', hand });
  const { machine, told } = performed(bench);

  test('the prompts, obeyed to the letter, harm nothing and cut thirty spaces', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(middlesAt(machine, bench, 'middle')).toHaveLength(30);
  });

  test('every space at its place within 1 µm, at either end as well', () => {
    // 30·2/cos 20° round
    const round = (Math.PI * 60) / Math.cos((20 * Math.PI) / 180);
    for (const where of ['entry', 'middle', 'exit'] as const) {
      const middles = middlesAt(machine, bench, where)
        .map((at) => (((at % 1) + 1) % 1) * 30)
        .sort((a, b) => a - b);
      middles.forEach((at, i) => expect((Math.abs(at - middles[0]! - i) / 30) * round).toBeLessThan(1e-3));
    }
  });

  test('the teeth go round by face over lead, the way of their hand', () => {
    // gears 32 : 44 and 24 : 48 on a machine of 200: 550 mm, over a face of 12
    expect(bench.helix).toEqual({ lead: 550, drawnLead: expect.closeTo(551.124, 3), hand });
    const one = does(
      bench,
      freshMachine(bench),
      { do: 'run', on: true },
      { do: 'depth', to: 4.5 },
      { do: 'table', to: 12.5 },
    ).machine;
    const [entry] = middlesAt(one, bench, 'entry');
    const [exit] = middlesAt(one, bench, 'exit');
    // going away, a right-hand tooth leans clockwise seen from where the cutter enters
    expect((((exit! - entry! + 0.5) % 1) - 0.5) * 360).toBeCloseTo(sign * (12 / 550) * 360, 3);
  });

  test('measures as the card wants, to what a round cutter leaves of a helix', () => {
    const { span, depth, pins, outside } = readingsOf(bench, machine);
    const middle = span!.at.find(({ where }) => where === 'middle')!;
    // W = m·cos 20°·(π(k − ½) + z·inv αt), αt = atan(tan 20°/cos 20°)
    const [a, b] = [(20 * Math.PI) / 180, (20 * Math.PI) / 180];
    const at = Math.atan(Math.tan(a) / Math.cos(b));
    const W = 2 * Math.cos(a) * (Math.PI * (span!.over - 0.5) + 30 * (Math.tan(at) - at));
    expect(middle.wanted).toBeCloseTo(W, 4);
    // of the lead that was cut, 550 for 551.12, the teeth lean a little more, and the caliper with them
    const cut = Math.atan((Math.PI * 60) / Math.cos(b) / 550);
    const leans = (angle: number) => {
      const normal = Math.atan(Math.tan(at) * Math.cos(angle));
      return Math.cos(Math.asin(Math.sin(angle) * Math.cos(normal)));
    };
    // a cutter for 35 takes more the farther from the pitch circle, and a caliper is rocked to where it reads
    // least: no more than both flanks lose where jaws can reach, 0.8 mm above and below that circle
    const form = { teeth: 30, module: 2, pressureAngle: a, addendum: 2, wholeDepth: 4.5, thinning: 0 };
    const reached = diskErrors({ form, helixAngle: b, cutterDiameter: 55 }, 35).flank.filter(
      ({ above }) => Math.abs(above - 2.5) < 0.8,
    );
    const less = (W * leans(cut)) / leans(b) - middle.reads;
    expect(less).toBeGreaterThan(0);
    expect(less * 1000).toBeLessThan(2 * Math.max(...reached.map(({ error }) => error)));
    expect(depth!.most).toBeCloseTo(4.5, 2);
    expect(pins).toBeNull();
    expect(outside!.reads).toBeCloseTo(60 / Math.cos(b) + 4, 2);
  });
});

describe.each([
  { name: 'rough and finish', gear: { passes: 'rough-finish' } },
  { name: 'indexed where it leaves', gear: { indexAt: 'exit' } },
  { name: 'left hand, both', gear: { passes: 'rough-finish', indexAt: 'exit', hand: 'left' } },
] as const)('the same gear, $name', ({ gear }) => {
  const bench = benchFor({ teeth: 30, module: 2, helix: '20', ...gear });
  const { machine, told } = performed(bench);

  test('the prompts harm nothing, and every space is at its place and as deep as the last round', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    const middles = middlesAt(machine, bench, 'middle')
      .map((at) => (((at % 1) + 1) % 1) * 30)
      .sort((a, b) => a - b);
    expect(middles).toHaveLength(30);
    middles.forEach((at, i) => expect((Math.abs(at - middles[0]! - i) / 30) * 200.6).toBeLessThan(1e-3));
    const { depth } = readingsOf(bench, machine);
    expect([depth!.least, depth!.most].map((each) => each.toFixed(2))).toEqual(['4.50', '4.50']);
  });
});

describe('handled wrongly', () => {
  const bench = benchFor({ teeth: 30, module: 2, helix: '20' });
  const ready = does(bench, freshMachine(bench), { do: 'run', on: true }, { do: 'depth', to: 4.5 }).machine;
  const through: Action = { do: 'table', to: 12.5 };

  test('with the crank’s pin out the plate turns by itself, and the tooth comes out straight', () => {
    const { machine } = does(bench, ready, { do: 'pin', to: 'out' }, through);
    const [entry] = middlesAt(machine, bench, 'entry');
    const [exit] = middlesAt(machine, bench, 'exit');
    expect(exit! - entry!).toBeCloseTo(0, 9);
    expect(machine.plate.equals(0)).toBe(false);
  });

  test('with the plate’s lock in the gears hold the table, with the spindle locked the lock does', () => {
    const lock = does(bench, ready, { do: 'plate-lock', to: 'in' }, through);
    expect(lock.told.at(-1)).toEqual({ what: 'held', by: 'table-gears' });
    expect(lock.machine.table).toBe(ready.table);
    const spindle = does(bench, ready, { do: 'lock', on: true }, through);
    expect(spindle.told.at(-1)).toEqual({ what: 'held', by: 'table-lock' });
  });

  test('run back in the tooth space: the slack of the worm lets the cutter take from a flank', () => {
    const cut = does(bench, ready, through);
    const clear = does(bench, cut.machine, { do: 'depth', to: -10 }, { do: 'table', to: -40 });
    const dragged = does(bench, cut.machine, { do: 'table', to: -40 });
    expect(clear.told.map(({ what }) => what)).toEqual(['did', 'did']);
    expect(dragged.told.map(({ what }) => what)).toEqual(['cut']);
    const wide = (machine: Machine) => {
      const [space] = spacesInOrder(machine.work, bench.gear.pitchDiameter / 2, 'middle');
      return (space!.to - space!.from) * Math.PI * bench.gear.pitchDiameter;
    };
    // a twenty-fourth of a turn of the crank, by 40, at the pitch circle of 63.85
    expect(wide(dragged.machine) - wide(clear.machine)).toBeCloseTo((Math.PI * 63.85) / 960, 3);
  });

  test('the table back at its place has the plate back at its own, to the hole', () => {
    const { machine } = does(
      bench,
      ready,
      through,
      { do: 'depth', to: -10 },
      { do: 'table', to: ready.table },
    );
    expect(machine.plate.equals(ready.plate)).toBe(true);
    expect(does(bench, machine, { do: 'pin', to: 'out' }, { do: 'pin', to: 'in' }).told.at(-1)).toEqual({
      what: 'pin-in',
      hole: 0,
    });
  });
});
