import { describe, expect, test } from '@jest/globals';
import { need } from '../findings/index.ts';
import type { Job } from '../job/index.ts';
import { plan, stationOf, type PartPlan } from '../plan/index.ts';
import { gashedWheel, performed, readRow, type GashedWheel } from '../sampleBench.ts';
import { beginRun, shop } from '../sampleRuns.ts';
import { causesOf, troubleFacts } from '../trouble/index.ts';
import type { HeadBench } from './bench.ts';
import {
  act,
  benchOf,
  cutsMade,
  faultOf,
  faultsFor,
  freshMachine,
  isHarm,
  sayTold,
  type Action,
} from './index.ts';

/** The worm’s card is the first of the two. */
const partOf = (job: Job): PartPlan => plan(job, shop).parts.find(({ id }) => id === 'p1')!;

function benchFor(wheel: GashedWheel): HeadBench {
  const job = gashedWheel(wheel);
  const bench = need(benchOf(partOf(job), need(beginRun(job, {}, shop))));
  if (bench.on !== 'head' || !bench.rim) throw new Error('that is no wheel on a head');
  return bench;
}

/** tan γ = z1·m/d1 = 2/24 for one start. */
const TAN = 2 / 24;
/** As the scale of the mill has it: 5°. */
const SET = Math.tan((5 * Math.PI) / 180);
/** Face of the hollow over 60° about a worm of 24: throat radius 12 − 2, chord 2·10·sin 30°. */
const HOLLOW = 10;

describe.each<readonly [string, GashedWheel]>([
  ['plunged in its throat', {}],
  ['plunged with a cutter smaller than the hollow', { cutter: '18' }],
  ['plunged, plain', { rim: 'plain' }],
  ['drawn straight across, throated', { school: 'traverse' }],
  ['drawn straight across, plain', { school: 'traverse', rim: 'plain' }],
  ['left-handed', { hand: 'left' }],
  ['of two starts', { starts: '2' }],
  ['in two rounds', { passes: 'rough-finish' }],
  ['drawn across in two rounds', { passes: 'rough-finish', school: 'traverse' }],
])('a wheel %s', (_, wheel) => {
  const bench = benchFor(wheel);
  const { machine, told } = performed(bench);

  test('harms nothing, and all its spaces are there', () => {
    expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
    expect(cutsMade(bench, machine.work)).toBe(40);
    expect(cutsMade(bench, freshMachine(bench).work)).toBe(0);
    // across the throat: 2·(40 + 2)
    expect(bench.outside).toBeCloseTo(84, 9);
  });

  test('4.4 deep in the throat, 9° from one to the next, teeth of half the pitch', () => {
    for (const end of ['least', 'most'] as const) {
      // 2.2 m deep
      expect(Math.abs(readRow(bench, machine, 'depth')[end] - 4.4)).toBeLessThan(2e-3);
      expect(readRow(bench, machine, 'step')[end]).toBeCloseTo(9, 3);
      // a cutter for 35 to 54 leaves 40 teeth a few µm else
      expect(Math.abs(readRow(bench, machine, 'tooth')[end] - Math.PI)).toBeLessThan(0.012);
    }
  });

  test('the gash leans by the lead angle, to the worm’s hand, but for the scale’s nearest mark', () => {
    const { least: leans, wanted } = readRow(bench, machine, 'lean', 'exit');
    const way = wheel.hand === 'left' ? -1 : 1;
    const face = bench.rim!.at[2] - bench.rim!.at[0];
    if (wheel.rim !== 'plain') expect(face).toBeCloseTo(HOLLOW, 9);
    expect(wanted).toBeCloseTo(way * face * TAN * Number(wheel.starts ?? 1), 9);
    // to a whole degree: 4°46′ is set as 5°, 9°28′ as 9°
    const set = wheel.starts ? 9 : 5;
    const asSet = way * face * Math.tan((set * Math.PI) / 180);
    // a gash beside the middle opens its two flanks at other heights of the pitch circle
    expect(Math.abs(leans - asSet)).toBeLessThan(0.02 * Math.abs(asSet));
  });

  test('what the mark costs is what the card says', () => {
    const { setting, lean } = stationOf(partOf(gashedWheel(wheel)), 'wheel')!.detail;
    const { least: leans, wanted } = readRow(bench, machine, 'lean', 'exit');
    const { faceWidth } = stationOf(partOf(gashedWheel(wheel)), 'wheelBlank')!.detail.facts!;
    const face = bench.rim!.at[2] - bench.rim!.at[0];
    expect(setting!.scale).toBe(wheel.starts ? 9 : 5);
    expect(Math.abs(Math.abs(leans - wanted) - ((lean! / 1000) * face) / faceWidth)).toBeLessThan(
      0.02 * Math.abs(wanted),
    );
  });
});

test('in inches: 10 DP by a worm of an inch, a thread of 29°', () => {
  const bench = benchFor({ units: 'in' });
  const { machine, told } = performed(bench);
  expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
  // 0.6866 of a pitch of π/10 in
  const depth = 0.6866 * (Math.PI / 10) * 25.4;
  expect(readRow(bench, machine, 'depth').wanted).toBeCloseTo(depth, 6);
  expect(Math.abs(readRow(bench, machine, 'depth').most - depth)).toBeLessThan(2e-3);
  // tan γ is 1/10 over a worm of one inch: 5° 43′, 6° on the scale
  expect((bench.rim!.laidAt * 180) / Math.PI).toBeCloseTo(6, 9);
});

test('plunged with 60 it meets the corners first; with 18 the throat, as the prompts say', () => {
  for (const [cutter, first, touchOn] of [
    ['60', [true, false, true], 'corners'],
    ['18', [false, true, false], 'throat'],
  ] as const) {
    const bench = benchFor({ cutter });
    expect(bench.run.touchOn).toBe(touchOn);
    let machine = freshMachine(bench);
    const fresh = machine.work.sections;
    const middle = bench.face / 2;
    for (const action of [
      { do: 'run', on: true },
      { do: 'table', to: middle },
      { do: 'depth', to: -0.01 },
    ] satisfies Action[])
      machine = act(bench, machine, action).machine;
    expect(machine.work.sections.map((section, i) => section !== fresh[i])).toEqual([false, false, false]);
    machine = act(bench, machine, { do: 'depth', to: 0.02 }).machine;
    expect(machine.work.sections.map((section, i) => section !== fresh[i])).toEqual(first);
  }
});

test('where the hollow ends the floor is where the round of the disk stands, by geometry', () => {
  const bench = benchFor({});
  const { machine } = performed(bench);
  const root = 40 - (4.4 - 2);
  const u = HOLLOW / 2;
  const [along, aside] = [u * Math.hypot(1, SET), u * SET];
  // the disk’s middle over the root, its rim so far along its own plane
  const height = root + 30 - Math.sqrt(30 * 30 - along * along);
  const { metal } = machine.work.sections[2];
  const turn = Math.atan2(aside, height) / (2 * Math.PI);
  const spindle = machine.spindle.valueOf();
  const place = Math.round((spindle + turn) * metal.length);
  const at = metal[((place % metal.length) + metal.length) % metal.length]!;
  expect(Math.abs(at - Math.hypot(height, aside))).toBeLessThan(2e-3);
});

test('a right-hand wheel leans as a right-hand helical gear does', async () => {
  const { benchFor: gear } = await import('../sampleBench.ts');
  const { spacesInOrder } = await import('./measure.ts');
  const bench = gear({ teeth: 30, module: 1, helix: '4', hand: 'right' });
  const { machine } = performed(bench);
  const at = (where: 'entry' | 'exit') => {
    const { from, to } = spacesInOrder(machine.work, 15.2, where)[0]!;
    return (from + to) / 2;
  };
  const turned = at('exit') - at('entry');
  expect(turned - Math.round(turned * 30) / 30).toBeGreaterThan(0);
});

test('gashed for a hob it is less deep, and its teeth are not judged', () => {
  const bench = benchFor({ school: 'hob' });
  const { machine, told } = performed(bench);
  expect(told.filter((each) => isHarm(each) || each.what === 'held')).toEqual([]);
  // a tenth is left for the hob
  expect(Math.abs(readRow(bench, machine, 'depth').most - 3.96)).toBeLessThan(2e-3);
  expect(readRow(bench, machine, 'depth').wanted).toBeCloseTo(3.96, 9);
  expect(() => readRow(bench, machine, 'tooth')).toThrow();
});

test('its faults: what no wheel has is not offered; beside the middle and askew show', () => {
  const bench = benchFor({});
  const keys = faultsFor(bench).map(({ key }) => key);
  for (const none of ['school', 'blank-over', 'early'] as const) expect(keys).not.toContain(none);
  const hidden = faultOf(bench, 'along')!.hide(freshMachine(bench));
  const cut = performed(hidden.bench, hidden.machine).machine;
  // 0.25 over the face, beside the lean of the table at 5°
  const leans = readRow(hidden.bench, cut, 'lean', 'exit').least;
  expect(Math.abs(leans - HOLLOW * SET - 0.25)).toBeLessThan(0.02);
});

test('laid at 8° where 5° is meant, and so it leans; each fault is among the causes of this run', () => {
  const bench = benchFor({});
  const hidden = faultOf(bench, 'laid')!.hide(freshMachine(bench));
  const { machine } = performed(hidden.bench, hidden.machine);
  const leans = readRow(hidden.bench, machine, 'lean', 'exit').least;
  // tan 8° over a hollow of 10, but for what a gash beside the middle opens unlike
  expect(Math.abs(leans - 1.4054)).toBeLessThan(0.02 * 1.4054);
  expect(readRow(hidden.bench, machine, 'lean', 'exit').wanted).toBeCloseTo(HOLLOW * TAN, 9);
  const facts = troubleFacts(bench.run, { next: null, last: null, doneCuts: [] });
  for (const { key, symptom } of faultsFor(bench)) {
    const causes = causesOf(symptom, { facts, part: 0.5, units: 'mm' });
    expect([key, causes.map((cause) => cause.key)]).toEqual([key, expect.arrayContaining([key])]);
  }
  // forty by whole turns: a head of 60 to 1 gives sixty
  const worm = faultOf(bench, 'ratio')!.hide(freshMachine(bench));
  const step = readRow(worm.bench, performed(worm.bench, worm.machine).machine, 'step');
  expect(step.least).toBeCloseTo(6, 3);
});

test('turned while the cutter stands in it, the rim is gouged', () => {
  const bench = benchFor({});
  let machine = freshMachine(bench);
  const told = (
    [
      { do: 'run', on: true },
      { do: 'table', to: bench.face / 2 },
      { do: 'lock', on: true },
      { do: 'depth', to: 4.4 },
      { do: 'lock', on: false },
      { do: 'pin', to: 'out' },
      { do: 'crank', turns: '1/2' },
    ] satisfies Action[]
  ).flatMap((action) => {
    const done = act(bench, machine, action);
    machine = done.machine;
    return done.told;
  });
  const gouged = told.find(({ what }) => what === 'gouged');
  // half a turn of 40, the slack of the worm on the right side
  expect(gouged).toMatchObject({ degrees: 4.5, sunk: true });
  expect(sayTold(gouged!, 'mm')).toMatch(/^Turned 4\.5° while .+ Draw it out before you index\.$/);
});
