import { describe, expect, test } from '@jest/globals';
import {
  actionSchema,
  cycleOf,
  freshMachine,
  goOnLikeThis,
  newSession,
  perform,
  readingsOf,
  takeBack,
  type Action,
  type Session,
} from './index.ts';
import { benchFor, cutByHand } from '../sampleBench.ts';

const bench = benchFor({ teeth: 26, module: 1.5 });
const deep = bench.run.rounds.at(-1)!.depthMm!;
const { turns, spaces, circle } = bench.run.move as { turns: number; spaces: number; circle: number };
const cut: readonly Action[] = [
  { do: 'lock', on: true },
  { do: 'depth', to: deep },
  { do: 'table', to: 14 },
];
const index: readonly Action[] = [
  { do: 'table', to: -60 },
  { do: 'lock', on: false },
  { do: 'pin', to: 'out' },
  { do: 'crank', turns: `${turns * circle + spaces}/${circle}` },
  { do: 'pin', to: 'in' },
];
const all = (session: Session, actions: readonly Action[]): Session => actions.reduce(perform, session);
const begun = all(newSession(bench), [{ do: 'run', on: true }, ...cut, ...index, ...cut]);

describe('go on like this', () => {
  test('is offered after the second cut, from wherever the hand is in it', () => {
    expect(cycleOf(all(newSession(bench), [{ do: 'run', on: true }, ...cut]))).toBeNull();
    expect(cycleOf(begun)).toMatchObject({ done: 0 });
    expect(cycleOf(begun)!.actions).toHaveLength(8);
    const half = all(begun, index.slice(0, 3));
    expect(cycleOf(half)).toMatchObject({ done: 3 });
    // something else was done: it is not known how to go on
    expect(cycleOf(perform(half, { do: 'beside', to: 0.1 }))).toBeNull();
  });

  test.each([0, 1, 5, 7])('with %i motions of it done no space is left out, and none cut twice', (done) => {
    const from = all(begun, [...index, ...cut].slice(0, done));
    const whole = goOnLikeThis(from);
    const { spaces: found, pitch } = readingsOf(bench, whole.machine);
    expect(found).toBe(26);
    expect(pitch!.most - pitch!.least).toBeLessThan(1e-3);
  });
});

test('a second round is gone on with as the first was', () => {
  const rough = cut.map((each) => (each.do === 'depth' ? { ...each, to: deep - 0.4 } : each));
  const first = goOnLikeThis(all(newSession(bench), [{ do: 'run', on: true }, ...rough, ...index, ...rough]));
  expect(cycleOf(first)).toMatchObject({ left: 0 });
  // closed on the first space, then all round again, deeper
  const second = all(first, [...index, ...cut, ...index, ...cut]);
  expect(cycleOf(second)).toMatchObject({ left: 24 });
  const whole = goOnLikeThis(second);
  expect(cycleOf(whole)).toMatchObject({ left: 0 });
  const { reads, wanted } = readingsOf(bench, whole.machine).span!.at[1]!;
  expect(Math.abs(reads - wanted!)).toBeLessThan(1e-3);
});

describe('taking back', () => {
  test('undoes the last thing, and a turn of the crank as one, however many holes it went by', () => {
    const out = all(begun, index.slice(0, 3));
    let turned = out;
    for (let i = 0; i < 9; i += 1) turned = perform(turned, { do: 'crank', turns: `1/${circle}` });
    expect(takeBack(turned).log).toHaveLength(out.log.length);
    // a hand that turns back again has made two moves
    const andBack = perform(turned, { do: 'crank', turns: `-1/${circle}` });
    expect(takeBack(andBack).log).toHaveLength(turned.log.length);
    expect(takeBack(newSession(bench)).log).toEqual([]);
  });

  test('leaves the machine as if it had never been done, over what is kept now and then as well', () => {
    let session = begun;
    const stands: Session[] = [];
    for (let i = 0; i < 6; i += 1) {
      stands.push(session);
      session = all(session, [...index, ...cut]);
    }
    for (const before of stands.reverse()) {
      for (let i = 0; i < 8; i += 1) session = takeBack(session);
      const { work, ...machine } = session.machine;
      const { work: was, ...wanted } = before.machine;
      expect(machine).toEqual(wanted);
      expect([...work.sections[0].metal]).toEqual([...was.sections[0].metal]);
    }
  });
});

test('what is no action is not taken for one', () => {
  for (const rubbish of [
    { do: 'crank', turns: '9^9^9' },
    { do: 'crank', turns: '1/0' },
    { do: 'table', to: 1e9 },
    { do: 'table', to: Number.NaN },
    { do: 'fly' },
    null,
  ])
    expect([rubbish, actionSchema.safeParse(rubbish).success]).toEqual([rubbish, false]);
  expect(actionSchema.safeParse({ do: 'crank', turns: '-11/31' }).success).toBe(true);
  // the largest that is taken is carried out
  expect(perform(newSession(bench, freshMachine(bench)), { do: 'table', to: 2000 }).machine.table).toBe(2000);
});

test('a motor is sent on by its schedule, not to the same count again', () => {
  const motor = benchFor({ teeth: 17, module: 2, method: 'stepper' });
  const counts = motor.run.cuts.map(({ landing }) => (landing.on === 'steps' ? landing.steps : NaN));
  const space = (to: number) => cutByHand({ do: 'steps', to }, 4.5);
  const two = all(newSession(motor), [{ do: 'run', on: true }, ...space(counts[0]!), ...space(counts[1]!)]);
  const { machine } = goOnLikeThis(two);
  expect(machine.steps).toBe(counts[16]);
  const { spaces: found, pitch } = readingsOf(motor, machine);
  expect(found).toBe(17);
  expect(pitch!.most - pitch!.least).toBeLessThan(4e-3);
});
