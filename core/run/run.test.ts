import { beginRun } from '../sampleRuns.ts';
import { Screen } from '../sampleScreen.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { countAim, searchMethods } from '../dividing/index.ts';
import { need } from '../findings/index.ts';
import { drawnSpurJob, withSpurPart, type Job } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import {
  checkEvent,
  foldRun,
  freezeRun,
  inOrder,
  reconcile,
  runEventSchema,
  runSchema,
  type Run,
  type RunEvent,
} from './index.ts';

const jobOf = (passes: 'one' | 'rough-finish' = 'one', start = '1', teeth = 58): Job =>
  withSpurPart(
    drawnSpurJob({ id: 'j1', name: 'Second wheel', pitch: '1.25', teeth, face: '12', bore: '10' }),
    'p1',
    (part) => ({
      ...part,
      cut: { ...part.cut, passes, startSpace: measure(start, 'count') },
    }),
  );
const frozen = (job: Job): Run =>
  need(
    freezeRun({
      job,
      planned: plan(job, STOCK_EQUIPMENT),
      shop: STOCK_EQUIPMENT,
      start: {
        runId: 'r1',
        jobRevision: 3,
        partId: 'p1',
      },
    }),
  );

describe('freezing', () => {
  test('every cut in order with its space and the hole the pin stands in', () => {
    const run = frozen(jobOf());
    expect(runSchema.safeParse(run).success).toBe(true);
    expect(run.cuts).toHaveLength(58);
    expect(run.cuts.slice(0, 4)).toEqual([
      { round: 1, index: 1, space: 1, landing: { on: 'plate', turns: 0, spaces: 20, hole: 0 } },
      { round: 1, index: 2, space: 2, landing: { on: 'plate', turns: 0, spaces: 20, hole: 20 } },
      { round: 1, index: 3, space: 3, landing: { on: 'plate', turns: 0, spaces: 20, hole: 11 } },
      { round: 1, index: 4, space: 4, landing: { on: 'plate', turns: 0, spaces: 20, hole: 2 } },
    ]);
    expect(run).toMatchObject({
      jobRevision: 3,
      gear: '58 teeth, m 1.25, 20°',
      move: { turns: 0, spaces: 20, circle: 29 },
    });
  });

  test('a start space in the middle: all spaces once, the pin starts in hole 0', () => {
    const run = frozen(jobOf('one', '15'));
    expect(run.cuts[0]).toEqual({
      round: 1,
      index: 1,
      space: 15,
      landing: { on: 'plate', turns: 0, spaces: 20, hole: 0 },
    });
    expect(run.cuts[57]!.space).toBe(14);
    expect(new Set(run.cuts.map(({ space }) => space)).size).toBe(58);
  });

  test('rough and finish are whole rounds over the same holes', () => {
    const run = frozen(jobOf('rough-finish'));
    expect(run.cuts).toHaveLength(116);
    expect(run.cuts.slice(58).map(({ landing, space }) => [landing, space])).toEqual(
      run.cuts.slice(0, 58).map(({ landing, space }) => [landing, space]),
    );
  });

  test('a card that is not ready says where to look', () => {
    const job = withSpurPart(jobOf(), 'p1', (part) => ({
      ...part,
      gear: { ...part.gear, pitch: measure('', 'module') },
    }));
    const result = freezeRun({
      job,
      planned: plan(job, STOCK_EQUIPMENT),
      shop: STOCK_EQUIPMENT,
      start: {
        runId: 'r1',
        jobRevision: 1,
        partId: 'p1',
      },
    });
    expect(result.ok ? null : result.issues[0]).toMatchObject({
      code: 'not-ready-to-cut',
      allowed: 'look at Gear, Blank, Cut first',
    });
    expect(
      freezeRun({
        job,
        planned: plan(job, STOCK_EQUIPMENT),
        shop: STOCK_EQUIPMENT,
        start: {
          runId: 'r1',
          jobRevision: 1,
          partId: 'p7',
        },
      }).ok,
    ).toBe(false);
  });
});

test('a differential run: the plate turns, and every space still lands where the motion says', () => {
  const job = jobOf('rough-finish', '1', 127);
  const ground = { head: STOCK_EQUIPMENT.heads[0]!, gearSets: STOCK_EQUIPMENT.gearSets, steppers: [] };
  const way = searchMethods(ground, countAim(127)).methods[0]!.ways.find(
    ({ choice }) => choice.method === 'differential' && choice.circle === 39,
  )!;
  const run = frozen(
    withSpurPart(job, 'p1', (part) => ({ ...part, dividing: { ...part.dividing, choice: way.choice } })),
  );
  expect(run.cuts.slice(0, 4).map(({ landing }) => landing.on === 'plate' && landing.hole)).toEqual([
    0, 13, 26, 0,
  ]);
  // 127 moves of 13 on 39 leave the pin 127/3 turns on: not in its start hole, and the second round goes on
  // from there
  expect(run.cuts[127]).toMatchObject({ round: 2, index: 1, space: 1, landing: { hole: (127 * 13) % 39 } });
  expect(run.move).toMatchObject({ method: 'differential', near: 120, idlers: 2 });
});

describe('counting on one screen', () => {
  const run = frozen(jobOf('one', '1', 20));

  test('from the first space to the closing move', () => {
    const mill = new Screen('mill', run);
    expect(mill.state).toMatchObject({
      done: 0,
      total: 20,
      last: null,
      next: { space: 1, landing: { on: 'plate', turns: 2, spaces: 0, hole: 0 } },
    });
    for (let i = 0; i < 20; i += 1) mill.count();
    expect(mill.state).toMatchObject({ done: 20, next: null, closed: null, last: { space: 20 } });
    mill.act({ kind: 'closed', fits: true });
    expect(mill.state).toMatchObject({ closed: { fits: true }, doubts: [] });
  });

  test('take back names what was counted; counting again counts once', () => {
    const mill = new Screen('mill', run);
    mill.count();
    mill.count();
    mill.act({ kind: 'take-back', ids: mill.state.takeBack });
    expect(mill.state).toMatchObject({ done: 1, next: { space: 2 } });
    mill.count();
    expect(mill.state).toMatchObject({ done: 2, next: { space: 3 } });
    mill.act({ kind: 'take-back', ids: mill.state.takeBack });
    mill.act({ kind: 'take-back', ids: mill.state.takeBack });
    expect(mill.state).toMatchObject({ done: 0, takeBack: [] });
  });

  test('whole turns within a move are kept, and taken back one at a time', () => {
    const mill = new Screen('mill', run); // 20 teeth: two whole turns
    mill.count();
    mill.act({ kind: 'turn', round: 1, index: 2, turn: 1 });
    expect(mill.state.turnsMade).toBe(1);
    mill.act({ kind: 'turn', round: 1, index: 2, turn: 2 });
    mill.act({ kind: 'take-back', ids: mill.state.takeBack });
    expect(mill.state).toMatchObject({ turnsMade: 1, done: 1 });
    mill.count();
    expect(mill.state.turnsMade).toBe(0);
  });

  test('pause, resume, notes', () => {
    const mill = new Screen('mill', run);
    mill.act({ kind: 'pause' });
    expect(mill.state.paused).toBe(true);
    mill.act({ kind: 'resume', ids: mill.state.pauses });
    mill.act({ kind: 'note', round: 1, index: 1, text: 'key it' });
    expect(mill.state).toMatchObject({ paused: false, notes: [{ text: 'key it', index: 1 }] });
  });

  test('an event of another run, or of a cut that is not there', () => {
    const mill = new Screen('mill', run);
    const done = mill.count();
    expect(checkEvent(run, done)).toEqual([]);
    expect(checkEvent(run, { ...done, runId: 'other' })[0]?.code).toBe('event-from-other-run');
    expect(checkEvent(run, { ...done, index: 21 } as RunEvent)[0]).toMatchObject({
      code: 'event-names-no-cut',
      allowed: 'It has 1 round of 20 cuts',
    });
    expect(runEventSchema.safeParse({ ...done, clientTime: 'yesterday' }).success).toBe(false);
  });
});

describe('two screens on one run', () => {
  const run = frozen(jobOf('one', '1', 20));

  test('taking turns is no doubt; counting at once is asked about until agreed', () => {
    const tablet = new Screen('tablet', run);
    const phone = new Screen('phone', run);
    phone.shown([tablet.count()]);
    tablet.shown([phone.count()]);
    expect(tablet.state).toMatchObject({ done: 2, doubts: [] });
    const a = tablet.count();
    const b = phone.count(); // the same space, neither knowing of the other
    tablet.shown([b]);
    phone.shown([a]);
    expect(tablet.state).toMatchObject({
      done: 3,
      doubts: [{ kind: 'two-screens', ids: expect.arrayContaining([a.id, b.id]) }],
    });
    phone.shown([tablet.act({ kind: 'agreed', ids: [a.id, b.id] })]);
    expect(phone.state.doubts).toEqual([]);
  });

  test('a screen that had counted another run before this one lacks nothing', () => {
    const tablet = new Screen('tablet', run);
    const [, second, third] = [tablet.count(), tablet.count(), tablet.count()];
    const counted = [second, third].map((event, i) => ({ ...event, round: 1, index: i + 1 }) as RunEvent);
    expect(foldRun(run, counted).doubts).toEqual([]);
  });

  test('a gap and an event that has not arrived are both said', () => {
    const tablet = new Screen('tablet', run);
    const events = [tablet.count(), tablet.count(), tablet.count()];
    expect(foldRun(run, [events[0]!, events[2]!])).toMatchObject({
      done: 2,
      next: { space: 2 },
      doubts: [
        { kind: 'gap', missing: { space: 2 }, beyond: { space: 3 } },
        { kind: 'events-missing', devices: ['tablet'] },
      ],
    });
  });

  test('after a look at the gear the count is set so, whatever was in doubt', () => {
    const tablet = new Screen('tablet', run);
    const phone = new Screen('phone', run);
    for (let i = 0; i < 5; i += 1) tablet.count();
    phone.shown(tablet.seen);
    tablet.count();
    tablet.count();
    phone.count();
    tablet.shown(phone.seen);
    for (const cutsDone of [0, 3, 6, 7, 9, 20]) {
      const looked = new Screen('looked', run);
      looked.shown(tablet.seen);
      for (const act of reconcile({ run, events: looked.seen, state: looked.state, cutsDone }))
        looked.act(act);
      expect(looked.state).toMatchObject({
        done: cutsDone,
        doubts: [],
        next: cutsDone === 20 ? null : { index: cutsDone + 1 },
      });
      expect(reconcile({ run, events: looked.seen, state: looked.state, cutsDone })).toEqual([]);
    }
  });

  test('any order of arrival and any repeats give the same state (seed 62)', () => {
    const acts = fc.array(
      fc.record({
        who: fc.nat(1),
        what: fc.constantFrom('count', 'count', 'count', 'back', 'turn', 'pause', 'resume', 'sync', 'note'),
      }),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(acts, fc.infiniteStream(fc.nat(1_000_000)), (story, random) => {
        const screens = [new Screen('a', run), new Screen('b', run)];
        for (const { who, what } of story) {
          const me = screens[who]!;
          const { next, takeBack, pauses } = me.state;
          if (what === 'sync') me.shown(screens[1 - who]!.seen);
          else if (what === 'count' && next) me.count();
          else if (what === 'back' && takeBack.length > 0) me.act({ kind: 'take-back', ids: takeBack });
          else if (what === 'turn' && next)
            me.act({ kind: 'turn', round: next.round, index: next.index, turn: 1 });
          else if (what === 'pause') me.act({ kind: 'pause' });
          else if (what === 'resume' && pauses.length > 0) me.act({ kind: 'resume', ids: pauses });
          else if (what === 'note') me.act({ kind: 'note', round: 1, index: 1, text: 'n' });
        }
        const all = inOrder([...screens[0]!.seen, ...screens[1]!.seen]);
        const shuffled = [...all, ...all.slice(0, 5)]
          .map((event) => ({ event, key: random.next().value as number }))
          .sort((x, y) => x.key - y.key)
          .map(({ event }) => event);
        expect(foldRun(run, shuffled)).toEqual(foldRun(run, all));
        // what a single screen has counted itself stands, whatever the other did, unless taken back
        const back = new Set(all.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
        const standing = new Set(
          all.flatMap((event) => (event.kind === 'done' && !back.has(event.id) ? [`${event.index}`] : [])),
        );
        expect(foldRun(run, all).done).toBe(standing.size);
      }),
      { seed: 62, numRuns: 150 },
    );
  });
});

test('what names no cut of the run is passed over, and what was said of the closing move counts at the close only', () => {
  const job = drawnSpurJob({ id: 'j', name: 'Gear', pitch: '1', teeth: 14, face: '10', bore: '4' });
  const frozen = beginRun(job);
  if (!frozen.ok) throw new Error('a run');
  const run = frozen.value;
  let made = 0;
  const event = (rest: object): RunEvent => {
    made += 1;
    return {
      id: `n${made}`,
      runId: 'r',
      device: 'tablet',
      deviceSeq: made,
      lastSeen: {},
      clientTime: '2026-11-28T09:00:00.000Z',
      ...rest,
    } as RunEvent;
  };
  const heeded = (index: number, more = {}) =>
    event({ kind: 'heeded', round: 1, index, prompt: 'clear', ...more });
  const first = event({ kind: 'done', round: 1, index: 1 });
  expect(foldRun(run, [first, event({ kind: 'done', round: 7, index: 1 })])).toMatchObject({ done: 1 });
  expect(foldRun(run, [first, event({ kind: 'done', round: 1, index: 99 })])).toMatchObject({ done: 1 });
  // on the way to tooth space 2, and not yet at the close
  expect(foldRun(run, [first, heeded(2)]).heeded).toEqual(['clear']);
  expect(foldRun(run, [first, heeded(3)]).heeded).toEqual([]);
  expect(foldRun(run, [first, heeded(14, { closing: true })]).heeded).toEqual([]);
  // all cut: the closing move's own prompts, not those towards a cut
  const all = Array.from({ length: 14 }, (_, i) => event({ kind: 'done', round: 1, index: i + 1 }));
  expect(foldRun(run, [...all, heeded(14, { closing: true })]).heeded).toEqual(['clear']);
  expect(foldRun(run, [...all, heeded(14)]).heeded).toEqual([]);
});
