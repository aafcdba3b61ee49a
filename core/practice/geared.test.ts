import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import { withSpurPart } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { benchFor, jobOfGear, performed } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { actionSchema, type Action } from './actions.ts';
import { act } from './act.ts';
import { circlesOn, leadNow, notOwned, plateRatioNow } from './geared.ts';
import {
  benchOf,
  demonstrate,
  freshMachine,
  isHarm,
  spacesInOrder,
  type Machine,
  type GearBench,
} from './index.ts';

const geared = benchFor({ teeth: 55, module: 1, method: 'differential' });
const helical = benchFor({ teeth: 30, module: 2, helix: '20' });
const plain = benchFor({ teeth: 26, module: 1.5 });

const after = (bench: GearBench, machine: Machine, ...actions: Action[]) =>
  actions.reduce((now, action) => act(bench, now.machine, actionSchema.parse(action)), {
    machine,
    told: [] as ReturnType<typeof act>['told'],
  });

/** Teeth that the work divides into, by the step between its first two spaces. */
function divides(bench: GearBench, machine: Machine): number {
  const last = [...demonstrate(bench, { machine })].at(-1)!.machine;
  const [one, two] = spacesInOrder(last.work, bench.gear.pitchDiameter / 2, 'middle');
  return 1 / ((two!.from + two!.to) / 2 - (one!.from + one!.to) / 2);
}

describe('gears on the head', () => {
  const made = geared.gearing!;
  const { move } = geared.run;
  const turns = 'turns' in move ? move.turns + move.spaces / move.circle : 0;

  test('off, the plate stands, and the head divides by what the move alone gives', () => {
    const { machine } = after(geared, freshMachine(geared), { do: 'gears', on: null });
    expect(plateRatioNow(geared, machine).valueOf()).toBe(0);
    // R turns for once round, over the turns of one move
    expect(divides(geared, machine)).toBeCloseTo(40 / turns, 4);
  });

  test('put back as they were, they divide as planned', () => {
    const on = { train: made.train, idlers: made.idlers };
    const { machine } = after(geared, freshMachine(geared), { do: 'gears', on: null }, { do: 'gears', on });
    expect(machine).toEqual(freshMachine(geared));
    expect(divides(geared, machine)).toBeCloseTo(55, 4);
  });

  test('another driver, and an idler more: each by the motion of the head', () => {
    const { driver, driven, second } = made.train;
    const size = (first: number) => (first * (second?.driver ?? 1)) / (driven * (second?.driven ?? 1));
    const way = Math.sign(plateRatioNow(geared, freshMachine(geared)).valueOf());
    const train = { ...made.train, driver: driver + 8 };
    const swapped = after(geared, freshMachine(geared), { do: 'gears', on: { train, idlers: made.idlers } });
    expect(divides(geared, swapped.machine)).toBeCloseTo((40 - way * size(driver + 8)) / turns, 4);
    const idlers = made.idlers === 0 ? 1 : made.idlers - 1;
    const turned = after(geared, freshMachine(geared), { do: 'gears', on: { train: made.train, idlers } });
    expect(divides(geared, turned.machine)).toBeCloseTo((40 + way * size(driver)) / turns, 4);
  });

  test('with them off the plate’s lock holds nothing, and the pin no longer binds', () => {
    const off = { do: 'gears', on: null } as const;
    const locked = after(
      geared,
      freshMachine(geared),
      off,
      { do: 'plate-lock', to: 'in' },
      { do: 'pin', to: 'out' },
    );
    expect(after(geared, locked.machine, { do: 'crank', turns: '1' }).told).toEqual([{ what: 'did' }]);
  });

  test('where none are wanted there is no place for them', () => {
    const on = { train: made.train, idlers: 0 };
    expect(after(plain, freshMachine(plain), { do: 'gears', on }).told).toEqual([
      { what: 'held', by: 'no-bracket' },
    ]);
  });
});

describe('gears between table and head', () => {
  const made = helical.gearing!;
  const fresh = freshMachine(helical);

  test('a driver of twice the teeth: half the lead; an idler more: the other hand', () => {
    const lead = leadNow(helical, fresh)!;
    const train = { ...made.train, driver: 2 * made.train.driver };
    const twice = after(helical, fresh, { do: 'gears', on: { train, idlers: made.idlers } }).machine;
    expect(leadNow(helical, twice)).toBeCloseTo(lead / 2, 9);
    const { machine } = after(helical, fresh, {
      do: 'gears',
      on: { train: made.train, idlers: made.idlers + 1 },
    });
    expect(leadNow(helical, machine)).toBeCloseTo(-lead, 9);
    // and so the plate goes, 100 mm along
    const travelled = (from: Machine) =>
      after(helical, from, { do: 'table', to: from.table + 100 })
        .machine.plate.sub(from.plate)
        .valueOf();
    const out = { ...fresh, depth: -20 };
    expect(travelled(out)).toBeCloseTo((100 * 40) / lead, 6);
    expect(travelled({ ...twice, depth: -20 })).toBeCloseTo((100 * 40 * 2) / lead, 6);
    expect(travelled({ ...machine, depth: -20 })).toBeCloseTo((-100 * 40) / lead, 6);
  });

  test('off, the table turns nothing: a straight slot', () => {
    const { machine } = after(
      helical,
      { ...fresh, depth: -20 },
      { do: 'gears', on: null },
      { do: 'table', to: 50 },
    );
    expect([machine.plate.valueOf(), machine.spindle.valueOf(), machine.table]).toEqual([0, 0, 50]);
  });
});

describe('six gears', () => {
  // 72·48·40 over 32·56·28 is 2.7551; a lead of 551.11 by a table of 200 asks for 2.7556
  const train = {
    driver: 32,
    driven: 72,
    second: { driver: 56, driven: 48 },
    third: { driver: 28, driven: 40 },
  };
  const job = withSpurPart(jobOfGear({ teeth: 30, module: 2, helix: '20' }), 'p1', (part) => ({
    ...part,
    lead: { ...part.lead, choice: train, sixGears: true },
  }));
  const part = plan(job, shop).parts[0]!;
  const bench = need(benchOf(part, need(beginRun(job, {}, shop)))) as GearBench;
  const fresh = freshMachine(bench);

  test('are on, cut the gear, and each may be another', () => {
    expect(fresh.gears?.train).toEqual(train);
    expect(leadNow(bench, fresh)).toBeCloseTo((200 * 72 * 48 * 40) / (32 * 56 * 28), 6);
    const { machine, told } = performed(bench);
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(spacesInOrder(machine.work, bench.gear.pitchDiameter / 2, 'middle')).toHaveLength(30);
    const last = { ...train, third: { driver: 28, driven: 80 } };
    const other = after(bench, fresh, { do: 'gears', on: { train: last, idlers: fresh.gears!.idlers } });
    expect(leadNow(bench, other.machine)).toBeCloseTo(2 * leadNow(bench, fresh)!, 6);
  });

  test('what the drawer lacks is told, as often as it is wanted', () => {
    const { gears } = shop.gearSets.find(({ id }) => id === bench.gearing!.setId)!;
    const on = fresh.gears!;
    expect(notOwned(on, gears)).toEqual([]);
    const twice = { ...train, driver: 72, third: { driver: 27, driven: 40 } };
    expect(notOwned({ ...on, train: twice }, gears)).toEqual([
      { teeth: 72, owned: 1, on: 2 },
      { teeth: 27, owned: 0, on: 1 },
    ]);
    // of 24 there are two
    const two = { driver: 24, driven: 86, second: { driver: 24, driven: 24 } };
    expect(notOwned({ ...on, train: two }, gears)).toEqual([{ teeth: 24, owned: 2, on: 3 }]);
  });
});

describe('the plate', () => {
  const fresh = freshMachine(plain);
  const other = plain.plates.find(({ id }) => id !== fresh.mounted!.plateId)!;

  test('does not come off with the pin in it', () => {
    expect(after(plain, fresh, { do: 'plate', plateId: other.id, side: 0 }).told).toEqual([
      { what: 'held', by: 'pin-in-plate' },
    ]);
  });

  test('another is on: its circles, the nearest to where the pin was; that place is 0', () => {
    const { machine } = after(
      plain,
      fresh,
      { do: 'pin', to: 'out' },
      { do: 'crank', turns: '1/2' },
      { do: 'plate', plateId: other.id, side: 0 },
    );
    const circles = other.sides[0]!.circles;
    expect(circlesOn(plain, machine)).toEqual(circles);
    const off = circles.map((holes) => Math.abs(holes - fresh.circle));
    expect(Math.abs(machine.circle - fresh.circle)).toBe(Math.min(...off));
    // put on with its hole 0 under the pin, as it is drawn
    expect(machine.crank.sub(machine.plate).valueOf()).toBe(0);
    expect([machine.zero.valueOf(), machine.arms.at.valueOf()]).toEqual([0, 0]);
    const wrong = circlesOn(plain, fresh).find((holes) => !circles.includes(holes))!;
    expect(after(plain, machine, { do: 'circle', circle: wrong }).told).toEqual([
      { what: 'held', by: 'no-circle' },
    ]);
    expect(after(plain, machine, { do: 'pin', to: 'in' }).told).toEqual([{ what: 'pin-in', hole: 0 }]);
  });

  test('a hand that trusts the arms on another plate cuts another count', () => {
    const { machine } = after(
      plain,
      fresh,
      { do: 'pin', to: 'out' },
      { do: 'plate', plateId: other.id, side: 0 },
      { do: 'pin', to: 'in' },
    );
    const { move } = plain.run;
    const { turns, spaces } = move as { turns: number; spaces: number };
    expect(divides(plain, machine)).toBeCloseTo(40 / (turns + spaces / machine.circle), 4);
  });

  test('one that is not here', () => {
    const none = { do: 'plate', plateId: 'none', side: 0 } as const;
    expect(after(plain, { ...fresh, pin: 'out' }, none).told).toEqual([{ what: 'held', by: 'no-plate' }]);
  });
});
