import { beginRun } from '../sampleRuns.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { need } from '../findings/index.ts';
import { sayIssue } from '../messages/index.ts';
import { drawnSpurJob, withDividing, withHead, withSpurPart, type Job } from '../job/index.ts';
import { STOCK_EQUIPMENT, STOCK_HEADS } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import {
  chordOver,
  chordSays,
  dueCheck,
  foldRun,
  type freezeRun,
  paceOf,
  placeOf,
  readRun,
  reconcile,
  type Run,
  type RunAct,
  type RunEvent,
} from './index.ts';

const drawn = (teeth: number, change: (job: Job) => Job = (job) => job): Job =>
  change(drawnSpurJob({ id: 'j', name: 'Second wheel', pitch: '1.5', teeth, face: '14', bore: '12' }));
const scratchFirst = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, cut: { ...part.cut, scratch: true } }));
const twoPasses = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } }));

type Start = Partial<Parameters<typeof freezeRun>[0]['start']>;
const freeze = (job: Job, start: Start = {}) => beginRun(job, start);
const runOf = (job: Job, start: Start = {}): Run => need(freeze(job, start));

/** Events of one screen, a second apart unless said otherwise. */
function eventsOf(run: Run, acts: readonly RunAct[], device = 'd', seconds = 60): RunEvent[] {
  return acts.map((act, i) => ({
    id: `${device}${i}`,
    runId: run.id,
    device,
    deviceSeq: i + 1,
    lastSeen: {},
    clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, i * seconds)).toISOString(),
    ...act,
  }));
}
const doneUpTo = (run: Run, n: number): RunAct[] =>
  run.cuts.slice(0, n).map(({ round, index }) => ({ kind: 'done', round, index }));

describe('a scratch all the way round first', () => {
  const run = runOf(drawn(24, scratchFirst));
  test('is a round of its own, with no depth, and the cutting round begins where it ended', () => {
    expect(run.rounds.map(({ name }) => name)).toEqual(['scratch', 'one']);
    expect(run.rounds[0]!.depthMm).toBeNull();
    expect(run.cuts).toHaveLength(48);
    expect([run.cuts[24]!.space, run.cuts[24]!.round]).toEqual([1, 2]);
  });
  test('the marks must close before anything is cut; a wrong answer can be taken back', () => {
    const all = doneUpTo(run, 24);
    const fold = (acts: readonly RunAct[]) => foldRun(run, eventsOf(run, acts));
    expect(fold(all)).toMatchObject({ tried: null, done: 24 });
    expect(fold([...all, { kind: 'tried', fits: true }])).toMatchObject({ tried: { fits: true } });
    const wrong = fold([...all, { kind: 'tried', fits: false }]);
    expect(wrong).toMatchObject({ tried: { fits: false } });
    const back = fold([...all, { kind: 'tried', fits: false }, { kind: 'take-back', ids: wrong.takeBack }]);
    expect(back).toMatchObject({ tried: null, done: 24 });
  });
});

describe('the check half-way', () => {
  const run = runOf(drawn(62));
  const check = dueCheck(run, run.cuts[30]!)!;
  test('comes once, after half the spaces, and is kept or passed over', () => {
    expect(run.cuts.flatMap((cut, i) => (dueCheck(run, cut) ? [i + 1] : []))).toEqual([31]);
    expect(check).toMatchObject({ from: 1, middle: 16, to: 31, over: 15 });
    for (const read of [null, [check.chord]]) {
      const state = foldRun(
        run,
        eventsOf(run, [...doneUpTo(run, 31), { kind: 'checked', round: 1, index: 31, read }]),
      );
      expect(state).toMatchObject({ answered: true, checked: read });
    }
  });
  test('the chord is the distance of two points on the blank, drawn', () => {
    for (const [D, k, n] of [
      [96, 15, 62],
      [30, 3, 12],
      [200, 100, 400],
    ] as const) {
      const at = (i: number) =>
        [(D / 2) * Math.cos((2 * Math.PI * i) / n), (D / 2) * Math.sin((2 * Math.PI * i) / n)] as const;
      const [a, b] = [at(0), at(k)];
      expect(chordOver(D, k, n)).toBeCloseTo(Math.hypot(a[0] - b[0], a[1] - b[1]), 9);
    }
  });
  test('a slip of one space either way is found; half a space is no slip of the count', () => {
    const { chord, over } = check;
    // what one space more makes of it, about there: D cos(k·180°/N)·180°/N, by a small step either way
    expect(check.perSpace).toBeCloseTo(
      (chordOver(run.outside!, over + 1e-4, 62) - chordOver(run.outside!, over - 1e-4, 62)) / 2e-4,
      6,
    );
    expect(chordSays(check, chord)).toMatchObject({ slip: 0, odd: false });
    for (const by of [-2, -1, 1, 2])
      expect(chordSays(check, chordOver(run.outside!, over + by, 62))).toMatchObject({
        slip: by,
        odd: false,
      });
    expect(chordSays(check, chordOver(run.outside!, over + 0.5, 62)).odd).toBe(true);
    // read in inches where millimetres were meant
    expect(chordSays(check, chord / 25.4).odd).toBe(true);
  });
  test('none where there is no stretch to measure: few spaces, block order, no outside', () => {
    const never = (other: Run) => other.cuts.every((cut) => dueCheck(other, cut) === null);
    expect(never(runOf(drawn(11)))).toBe(true);
    expect(never({ ...run, outside: null })).toBe(true);
    const block = withDividing(drawn(62), 'p1', (dividing) => ({
      ...dividing,
      stride: measure('5', 'count'),
    }));
    expect(never(runOf(block))).toBe(true);
    expect(run.cuts.filter((cut) => dueCheck(run, cut)).length).toBe(1);
    const scratched = runOf(drawn(62, scratchFirst));
    expect(scratched.cuts.filter((cut) => dueCheck(scratched, cut)).map(({ round }) => round)).toEqual([2]);
  });
});

describe('going on under another plan', () => {
  const old = runOf(drawn(62, twoPasses));
  const other = withHead({
    job: drawn(62, twoPasses),
    partId: 'p1',
    head: STOCK_HEADS[1]!,
    shop: STOCK_EQUIPMENT,
  });
  test('a run of its own from the last space cut, its holes counted from there, by the motion of the head', () => {
    for (const done of [1, 30, 62, 63, 100]) {
      const run = runOf(other, { runId: 'r2', continues: { run: old, done } });
      expect(run.continues).toEqual({ runId: 'r', done });
      expect(run.cuts).toHaveLength(124 - done + 1);
      expect(run.cuts.map(({ round, index, space }) => [round, index, space])).toEqual(
        old.cuts.slice(done - 1).map(({ round, index, space }) => [round, index, space]),
      );
      const move = run.move as { turns: number; spaces: number; circle: number };
      run.cuts.forEach(({ landing }, i) =>
        expect(landing).toMatchObject({ hole: (i * move.spaces) % move.circle }),
      );
      expect(run.closing).toMatchObject({ hole: (run.cuts.length * move.spaces) % move.circle });
    }
  });
  test('it is counted by place, from the middle of a round', () => {
    const run = runOf(other, { continues: { run: old, done: 30 } });
    const state = foldRun(run, eventsOf(run, doneUpTo(run, 40)));
    expect(state).toMatchObject({ done: 40, total: 95, doubts: [] });
    expect(state.next).toMatchObject({ round: 2, index: 8 });
    expect(placeOf(run, { round: 1, index: 5 })).toBe(-1);
    expect(reconcile({ run, events: eventsOf(run, doneUpTo(run, 40)), state, cutsDone: 39 })).toEqual([
      { kind: 'take-back', ids: ['d39'] },
    ]);
    expect(dueCheck(run, run.cuts[1]!)).toBeNull();
  });
  test('another count or other rounds cannot go on with it; nor can what is not begun, or all cut', () => {
    const said = (job: Job, done: number) => {
      const found = freeze(job, { continues: { run: old, done } });
      return found.ok ? '' : sayIssue(found.issues[0]!);
    };
    expect(said(drawn(58, twoPasses), 5)).toMatch(/^The run at the mill divides 62 in 2 rounds/);
    expect(said(drawn(62), 5)).toMatch(/cannot go on with it/);
    const block = withDividing(drawn(62, twoPasses), 'p1', (dividing) => ({
      ...dividing,
      stride: measure('5', 'count'),
    }));
    expect(said(block, 5)).toMatch(/takes its cuts in another order/);
    expect(said(other, 0)).toMatch(/nothing to go on with/);
    expect(said(other, 124)).toMatch(/nothing to go on with/);
  });
  test('and the old run is as it was', () => {
    expect(readRun(JSON.parse(JSON.stringify(old)))).toEqual(old);
  });
});

describe('time left', () => {
  const run = { ...runOf(drawn(62)), minutesPerCut: 2 };
  const pace = (events: readonly RunEvent[]) => paceOf(run, events, foldRun(run, events));
  test('by the set-up to begin with, by the last spaces then', () => {
    expect(pace([])).toEqual({ perCut: 120, by: 'set-up', minutesLeft: 124 });
    const found = pace(eventsOf(run, doneUpTo(run, 10), 'd', 90));
    expect(found).toMatchObject({ perCut: 90, by: 'counted' });
    expect(found.minutesLeft).toBeCloseTo((52 * 90) / 60, 9);
  });
  test('a pause, a night between and a clock that jumps back or ahead spoil nothing', () => {
    const events = eventsOf(run, doneUpTo(run, 12), 'd', 80);
    const jumped = events.map((event, i) => ({
      ...event,
      clientTime: new Date(
        Date.parse(event.clientTime) + (i > 3 ? -7_200_000 : 0) + (i > 7 ? 86_400_000 : 0),
      ).toISOString(),
    }));
    expect(pace(jumped).perCut).toBe(80);
    expect(foldRun(run, jumped).done).toBe(12);
  });
  test('each round goes by its own pace: a scratch takes seconds, a cut its minutes', () => {
    const whole = { ...runOf(drawn(24, scratchFirst)), minutesPerCut: 3 };
    const left = (acts: readonly RunAct[], seconds: number) => {
      const events = eventsOf(whole, acts, 'd', seconds);
      return paceOf(whole, events, foldRun(whole, events));
    };
    // nothing is known of a scratch: what the set-up says of a cut is the most it can be
    expect(left([], 10)).toEqual({ perCut: 180, by: 'set-up', minutesLeft: 2 * 24 * 3 });
    // ten scratched, ten seconds each: fourteen more of those, and 24 cuts of three minutes
    const ten = left(doneUpTo(whole, 10), 10);
    expect(ten).toMatchObject({ perCut: 10, by: 'counted' });
    expect(ten.minutesLeft).toBeCloseTo((14 * 10) / 60 + 24 * 3, 9);
    // the first two cuts say nothing yet: the scratch’s seconds are not theirs
    const begun = left(
      [...doneUpTo(whole, 24), { kind: 'tried', fits: true }, ...doneUpTo(whole, 26).slice(24)],
      10,
    );
    expect(begun).toMatchObject({ perCut: 180, by: 'set-up' });
    expect(begun.minutesLeft).toBeCloseTo(22 * 3, 9);
  });
  test('without either nothing is made up', () => {
    expect(paceOf({ ...run, minutesPerCut: null }, [], { done: 0, next: run.cuts[0]! })).toEqual({
      perCut: null,
      by: null,
      minutesLeft: null,
    });
  });
});

test('whatever two screens send, lost, doubled and late, both end at the same state (seed 7317)', () => {
  const run = runOf(drawn(24, scratchFirst));
  const acts: readonly RunAct[] = [
    ...doneUpTo(run, 24),
    { kind: 'tried', fits: true },
    ...doneUpTo(run, 37).slice(24),
    { kind: 'checked', round: 2, index: 13, read: [30] },
    { kind: 'heeded', round: 2, index: 14, prompt: 'back' },
    { kind: 'step', round: 2, index: 14, step: 2 },
    { kind: 'note', round: 2, index: 14, text: 'Re-set', reset: true },
    { kind: 'pause' },
  ];
  const events = [...eventsOf(run, acts, 'a'), ...eventsOf(run, doneUpTo(run, 9), 'b')];
  const whole = foldRun(run, events);
  fc.assert(
    fc.property(
      fc.shuffledSubarray([...events, ...events], { minLength: events.length * 2 }),
      fc.nat(events.length),
      (arrived, cut) => {
        // a restart part-way: what was held is kept, the rest arrives afterwards, some of it twice
        const before = arrived.slice(0, cut);
        foldRun(run, before);
        expect(foldRun(run, [...before, ...arrived])).toEqual(whole);
      },
    ),
    { seed: 7317, numRuns: 60 },
  );
  expect(whole.done).toBe(37);
});

describe('a gear that measured thick, sunk deeper', () => {
  const old = runOf(drawn(24, twoPasses), { piece: { kind: 'work', name: 'blank 2' } });
  const by = 0.04;
  test('one round of every space, as deep as it was cut and so much more, on the same piece', () => {
    const run = runOf(drawn(24, twoPasses), { runId: 'r2', deepens: { run: old, by, register: 'kept' } });
    expect(run.rounds).toEqual([{ name: 'deeper', depthMm: expect.closeTo(3.375 + by, 9) }]);
    expect(run.cuts).toHaveLength(24);
    expect(run).toMatchObject({
      deepens: { runId: 'r', by, register: 'kept' },
      piece: { name: 'blank 2' },
      continues: null,
    });
    expect(run.cuts.map(({ landing }) => landing)).toEqual(
      old.cuts.slice(0, 24).map(({ landing }) => landing),
    );
    expect(foldRun(run, eventsOf(run, doneUpTo(run, 24))).next).toBeNull();
  });
  test('measured again and still thick: from where it is now, not from the card', () => {
    const once = runOf(drawn(24), { runId: 'r2', deepens: { run: old, by, register: 'kept' } });
    const twice = runOf(drawn(24), { runId: 'r3', deepens: { run: once, by: 0.01, register: 'kept' } });
    expect(twice.rounds[0]!.depthMm).toBeCloseTo(3.375 + by + 0.01, 9);
  });
  test('interrupted and gone on with under another plan, it stays as deep', () => {
    const once = runOf(drawn(24), { runId: 'r2', deepens: { run: old, by, register: 'kept' } });
    const on = runOf(drawn(24), { runId: 'r4', continues: { run: once, done: 5 } });
    expect(on.rounds).toEqual(once.rounds);
    // whoever goes on has to find the space again
    expect(on.deepens).toEqual({ ...once.deepens, register: 'found' });
  });
  test('the gear of another job is not sunk by this one', () => {
    const elsewhere = { ...old, jobId: 'other' };
    expect(freeze(drawn(24), { deepens: { run: elsewhere, by, register: 'kept' } }).ok).toBe(false);
    expect(freeze(drawn(24, twoPasses), { continues: { run: elsewhere, done: 5 } }).ok).toBe(false);
  });
  test('with another count on the card it is refused in words: it would cut between the teeth', () => {
    const found = freeze(drawn(25), { deepens: { run: old, by, register: 'kept' } });
    expect(!found.ok && found.issues.map(sayIssue)).toEqual([
      expect.stringMatching(/was cut in 24 places, and the card now says 25/),
    ]);
  });
});
