import { describe, expect, test } from '@jest/globals';
import { wrongDifferential, wrongHoles, troubleFacts, causesOf, creep } from '../trouble/index.ts';
import { foldRun } from '../run/index.ts';
import {
  demonstrate,
  faultOf,
  faultsFor,
  freshMachine,
  hideFault,
  isGearBench,
  outsideReads,
  plateRatioNow,
  readingsOf,
  sectionAt,
  spacesBelow,
  spacesInOrder,
  type FaultKey,
  type Machine,
  type GearBench,
} from './index.ts';
import { benchFor } from '../sampleBench.ts';

const plain = benchFor({ teeth: 26, module: 1.5 });
const geared = benchFor({ teeth: 55, module: 1, method: 'differential' });
const byMotor = benchFor({ teeth: 26, module: 1.5, method: 'stepper' });

/** A gear cut by a hand that trusts what it finds. */
function cutWith(bench: GearBench, key: FaultKey): { bench: GearBench; machine: Machine } {
  const ground = faultOf(bench, key)!.hide(freshMachine(bench));
  if (!isGearBench(ground.bench)) throw new Error('no gear');
  let { machine } = ground;
  for (const shown of demonstrate(ground.bench, { machine, eachStep: false })) machine = shown.machine;
  return { bench: ground.bench, machine };
}

/** The gear as it should be. */
function demonstrated(bench: GearBench): Machine {
  let machine = freshMachine(bench);
  for (const shown of demonstrate(bench, { eachStep: false })) machine = shown.machine;
  return machine;
}

const factsOf = ({ run }: GearBench) => troubleFacts(run, foldRun(run, []));
/** Turn from each space to the next, as cut: the two that most steps agree with. */
function step({ bench, machine }: { bench: GearBench; machine: Machine }): number {
  const middles = spacesInOrder(machine.work, bench.gear.pitchDiameter / 2, 'middle').map(
    ({ from, to }) => (from + to) / 2,
  );
  const steps = middles.slice(1).map((at, i) => at - middles[i]!);
  return [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 2)]!;
}

describe('each cause has a fault here, and the piece shows what the cause claims', () => {
  test('arms a space too wide: as many to the turn as “Something looks wrong” says', () => {
    expect(1 / step(cutWith(plain, 'arms'))).toBeCloseTo(wrongHoles(factsOf(plain))!.long, 3);
  });

  test('another circle: the move it makes there', () => {
    const cut = cutWith(plain, 'circle');
    const { turns, spaces } = plain.run.move as { turns: number; spaces: number };
    expect(cut.machine.circle).not.toBe((plain.run.move as { circle: number }).circle);
    expect(step(cut)).toBeCloseTo((turns + spaces / cut.machine.circle) / 40, 6);
  });

  test.each([
    ['locked', 'locked'],
    ['idlers', 'wrongWay'],
  ] as const)('differential, %s: the count the cause names', (key, figure) => {
    expect(1 / step(cutWith(geared, key))).toBeCloseTo(wrongDifferential(factsOf(geared))![figure], 2);
  });

  test('a blank that runs out: the indicator reads twice as much, and spaces differ in depth by it', () => {
    const { bench, machine } = cutWith(plain, 'eccentric');
    const fresh = freshMachine(bench).work;
    const read = outsideReads(
      fresh,
      Array.from({ length: 100 }, (_, i) => i / 100),
      'middle',
    );
    expect(Math.max(...read) - Math.min(...read)).toBeCloseTo(2 * bench.eccentric!, 3);
    // the floors stand round the spindle, so it is the lands that come and go
    const { lands } = readingsOf(bench, machine);
    expect(lands!.most - lands!.least).toBeGreaterThan(1.9 * bench.eccentric!);
  });

  test('a sheared key: what is left at the end is the creep, in degrees as the cause says', () => {
    const cut = cutWith(plain, 'crept');
    const middles = spacesBelow(cut.machine.work, 19.5, 'middle').map(
      ({ from, to }) => ((from + to) / 2) % 1,
    );
    middles.sort((a, b) => a - b);
    const last = 1 + middles[0]! - middles[25]!;
    const lacking = 1 - last * 26;
    expect(lacking).toBeGreaterThan(0.15);
    const { degrees } = creep({ ...factsOf(plain), done: 26 }, lacking);
    expect(degrees / 360).toBeCloseTo(1 / 26 - last, 9);
  });

  test('slack on the wrong side: the first space is off by it, the others stand as they should', () => {
    const { bench, machine } = cutWith(plain, 'slack');
    const middles = spacesBelow(machine.work, 19.5, 'middle')
      .map(({ from, to }) => ((from + to) / 2) % 1)
      .sort((a, b) => a - b);
    const steps = middles.map((at, i) => (middles[i + 1] ?? middles[0]! + 1) - at);
    // a sixth of a turn of the crank, by 40
    const off = 1 / 6 / 40;
    expect(bench.slack.toFraction()).toBe('1/6');
    expect(steps.filter((each) => Math.abs(each - 1 / 26) < 1e-6)).toHaveLength(24);
    expect(Math.min(...steps)).toBeCloseTo(1 / 26 - off, 6);
    expect(Math.max(...steps)).toBeCloseTo(1 / 26 + off, 6);
    // “by far less than a space”
    expect(off).toBeLessThan(1 / 26 / 5);
  });

  test('beside the middle: the lean that the cause gives for each 0.1 mm, at the outside', () => {
    const { bench, machine } = cutWith(plain, 'off-centre');
    const said = /lean (\d+)° (\d+)′ (\d+)″/.exec(
      causesOf('lean', { facts: factsOf(plain), part: 0, units: 'mm' })[0]!.cause,
    )!;
    const per = (Number(said[1]) + Number(said[2]) / 60 + Number(said[3]) / 3600) * (Math.PI / 180);
    const [space] = spacesBelow(machine.work, bench.outside / 2 - 0.05, 'middle').filter(
      ({ from, to }) => to - from < 0.05,
    );
    const turned = (((space!.from + space!.to) / 2) * 26) % 1;
    const off = (Math.min(turned, 1 - turned) / 26) * 2 * Math.PI;
    // between two flanks, one crossed lower than the other: some 5 in 100 less than the cutter is off
    const share = off / ((per * bench.besideOff!) / 0.1);
    expect(share).toBeGreaterThan(0.92);
    expect(share).toBeLessThan(1);
  });

  test.each([
    // half of what the blank is over, or what the knee lost
    ['blank-over', 0.15],
    ['knee', 0.12],
  ] as const)('%s: teeth as thick as a cut that much shallower leaves them', (key, shallower) => {
    const { bench, machine } = cutWith(plain, key);
    const { span, outside, depth } = readingsOf(bench, machine);
    const { reads, wanted } = span!.at[1]!;
    // the test that tells the two apart: the outside, 1.5·28, and the depth of a space, 2.25·1.5
    expect(outside!.wanted).toBeCloseTo(42, 9);
    expect(outside!.reads).toBeCloseTo(key === 'blank-over' ? 42.3 : 42, 3);
    expect(depth!.wanted).toBeCloseTo(3.375, 9);
    expect(depth!.most).toBeCloseTo(key === 'blank-over' ? 3.375 : 3.375 - 0.12, 3);
    // the cutter stands that much farther out on the middle lines of its spaces, which lie k·180°/z to
    // either side of the span’s
    const grows = 2 * shallower * Math.sin((span!.over * Math.PI) / 26);
    expect((reads - wanted!) / grows).toBeCloseTo(1, 2);
  });

  test('the pin’s own hole counted: as many to the turn as the cause says', () => {
    expect(1 / step(cutWith(plain, 'pin-hole'))).toBeCloseTo(wrongHoles(factsOf(plain))!.short, 3);
  });

  test('a misprinted row, gears exchanged: the count that the motion of the head gives', () => {
    // 55 as 54 or 56 on 40: : g from the bench, exchanged it is 1/g, and N = (40 − g)/move
    const g = plateRatioNow(geared, freshMachine(geared)).inverse().valueOf();
    const { turns, spaces, circle } = geared.run.move as { turns: number; spaces: number; circle: number };
    expect(1 / step(cutWith(geared, 'chart'))).toBeCloseTo((40 - g) / (turns + spaces / circle), 4);
  });

  test('under size: spaces as deep below the land as planned, teeth as thin as a cut that much deeper', () => {
    const { bench, machine } = cutWith(plain, 'blank-under');
    const { span, outside, depth } = readingsOf(bench, machine);
    expect(outside!.reads).toBeCloseTo(41.7, 3);
    expect(depth!.most).toBeCloseTo(3.375, 3);
    const { reads, wanted } = span!.at[1]!;
    expect(reads - wanted!).toBeCloseTo(-2 * 0.15 * Math.sin((span!.over * Math.PI) / 26), 2);
  });

  test('the other school’s cutter: right in depth and pitch, another in form, and the range tells it', () => {
    // 26 teeth: No. 4 of inch; a metric No. 4 is for 21 to 25, made for 21
    const { bench, machine } = cutWith(plain, 'school');
    const [said] = causesOf('loose', { facts: factsOf(plain), part: 0, units: 'mm' }).filter(
      ({ key }) => key === 'school',
    );
    expect(said!.cause).toBe(
      'The cutter bears the other school’s number: No. 4 of inch is No. 5 of metric. A metric No. 4 is made for 21 to 25 teeth, its tooth spaces wider towards the tips',
    );
    const { depth, pitch } = readingsOf(bench, machine);
    expect(depth!.most).toBeCloseTo(3.375, 2);
    expect(pitch!.most).toBeCloseTo(pitch!.wanted, 3);
    // a space between the teeth at the tips, beside that of a gear cut with its own cutter
    const right = demonstrated(plain);
    const mouth = (work: Machine['work']) => {
      const [space] = spacesBelow(work, 20.9, 'middle').filter(({ from, to }) => to - from < 0.05);
      return (space!.to - space!.from) * 2 * Math.PI;
    };
    expect(mouth(machine.work)).toBeCloseTo(2 * mouthOf(21), 3);
    expect(mouth(right.work)).toBeCloseTo(2 * mouthOf(26), 3);
    // a twentieth of a millimetre and more at the outside: seen by a caliper
    expect(20.9 * 2 * (mouthOf(21) - mouthOf(26))).toBeGreaterThan(0.05);
  });

  test.each([
    ['bends', [0, 0.12, 0]],
    ['tailstock', [0, 0.06, 0.12]],
  ] as const)('%s: shallower along the face by what the work gives way', (key, lost) => {
    const { machine } = cutWith(plain, key);
    const depths = machine.work.sections.map(({ metal }) => 21 - Math.min(...metal));
    depths.forEach((each, i) => expect(each).toBeCloseTo(3.375 - lost[i]!, 3));
  });

  test.each(['entry', 'exit'] as const)(
    'indexed early at the %s: the nick lies at that end alone, as its test says',
    (end) => {
      const bench = benchFor({ teeth: 26, module: 1.5, indexAt: end });
      const { machine } = cutWith(bench, 'early');
      const right = demonstrated(bench);
      const lost = (where: 'entry' | 'middle' | 'exit') => {
        const [as, meant] = [sectionAt(machine.work, where).metal, sectionAt(right.work, where).metal];
        return Math.max(...meant.map((radius, i) => radius - as[i]!));
      };
      expect(lost(end)).toBeGreaterThan(0.3);
      expect(lost('middle')).toBeLessThan(1e-6);
      expect(lost(end === 'entry' ? 'exit' : 'entry')).toBeLessThan(1e-6);
      const [said] = causesOf('nick', { facts: factsOf(bench), part: 0, units: 'mm' });
      expect(said!.key).toBe('early');
      expect(said!.test).toContain(end === 'entry' ? 'where the cutter enters' : 'where it leaves');
    },
  );

  test('missed steps: one tooth too thin by what each step is of the work, and all after it stand aside', () => {
    const { bench, machine } = cutWith(byMotor, 'steps');
    // 200 steps of 8 microsteps, 90 turns of the worm
    const perTurn = 200 * 8 * 90;
    const { move, steps } = bench.missed!;
    expect(steps).toBe(Math.round((0.15 * perTurn) / 26));
    const [said] = causesOf('motor', { facts: factsOf(byMotor), part: 0, units: 'mm' });
    expect(said!.cause).toContain('each is 9″ of the work');
    const places = spacesBelow(machine.work, 19.5, 'middle')
      .map(({ from, to }) => ((((from + to) / 2) % 1) + 1) % 1)
      .sort((a, b) => a - b);
    const steps26 = places.map((at, i) => (places[i + 1] ?? places[0]! + 1) - at);
    const odd = steps26.filter((each) => Math.abs(each - 1 / 26) > 3e-5);
    // behind the move that lost them a tooth is thin; where the round closes one is as much too thick
    expect(odd).toHaveLength(2);
    expect(Math.min(...odd)).toBeCloseTo(1 / 26 - (steps * 9) / 1_296_000, 5);
    expect(Math.max(...odd)).toBeCloseTo(1 / 26 + (steps * 9) / 1_296_000, 5);
    // that many moves: 9 of them, the ninth short
    expect(move).toBe(9);
  });

  test('out of line along the travel: the tooth spaces run aside by it from end to end', () => {
    const { machine } = cutWith(plain, 'along');
    const middleAt = (where: 'entry' | 'exit') => {
      const [space] = spacesInOrder(machine.work, 19.5, where);
      return ((space!.from + space!.to) / 2) * 2 * Math.PI * 19.5;
    };
    // a quarter of a millimetre over the face, whichever space is the first that is found
    const pitch = (2 * Math.PI * 19.5) / 26;
    const apart = Math.abs(middleAt('exit') - middleAt('entry')) % pitch;
    expect(Math.min(apart, pitch - apart)).toBeCloseTo(0.25, 1);
  });
});

/**
 * Half of a tooth space’s mouth as an angle, 0.1 mm below the outside of 26 teeth of module 1.5, cut by a
 * cutter whose form is the space of a gear of z: by the involute, flank and floor laid together.
 */
function mouthOf(z: number): number {
  const [m, a] = [1.5, (20 * Math.PI) / 180];
  const inv = (x: number) => Math.tan(x) - x;
  const [base, root] = [((z * m) / 2) * Math.cos(a), (z * m) / 2 - (2.25 - 1) * m];
  // of the gear of z: half the space at radius r, and the point as the cutter has it, above its floor
  const point = (r: number) => {
    const half = Math.PI / (2 * z) - inv(a) + inv(Math.acos(base / r));
    return { height: r * Math.cos(half) - root, width: r * Math.sin(half) };
  };
  const tip = 21 - 3.375;
  // sunk into the work it meets the circle of 20.9 where both agree
  let [low, high] = [base + 1e-9, (z * m) / 2 + 2.5];
  for (let i = 0; i < 80; i += 1) {
    const middle = (low + high) / 2;
    const { height, width } = point(middle);
    if (Math.hypot(tip + height, width) < 20.9) low = middle;
    else high = middle;
  }
  const { height, width } = point(low);
  return Math.atan2(width, tip + height);
}

describe('what is hidden', () => {
  test('the same seed hides the same, and every fault that fits comes up', () => {
    const found = new Set(Array.from({ length: 40 }, (_, seed) => hideFault(plain, seed).key));
    expect(found).toEqual(new Set(faultsFor(plain).map(({ key }) => key)));
    expect(hideFault(plain, 7).key).toBe(hideFault(plain, 7).key);
    expect(faultsFor(plain).some(({ key }) => key === 'idlers')).toBe(false);
    expect(faultsFor(geared).map(({ key }) => key)).toContain('idlers');
  });

  test('each is listed under its symptom with a test that separates it', () => {
    for (const bench of [plain, geared, byMotor, benchFor({ teeth: 30, module: 2, helix: '20' })])
      for (const { key, symptom } of faultsFor(bench)) {
        const causes = causesOf(symptom, { facts: factsOf(bench), part: 0.5, units: 'mm' });
        expect([key, causes.some((cause) => cause.key === key)]).toEqual([key, true]);
      }
  });
});
