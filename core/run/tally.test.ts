import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { freeze, three } from '../sampleRuns.ts';
import { Screen } from '../sampleScreen.ts';
import { atOnce, inOrder } from './causality.ts';
import { digestOf, foldRun, goOnWith, stateOf, tallyOf, type RunAct, type RunEvent } from './index.ts';

const run = freeze({ head: three, count: 12, rounds: 2 }, 'simple');

/** One thing that a person may do on a screen as it stands; null where it is not to be done. */
function actOn(screen: Screen, what: string): RunAct | null {
  const { next, takeBack, pauses, doubts } = foldRun(run, screen.seen);
  const here = next ?? run.cuts[0]!;
  const at = { round: here.round, index: here.index };
  const clash = doubts.find((doubt) => doubt.kind === 'two-screens');
  switch (what) {
    case 'count':
      return next && { kind: 'done', ...at };
    case 'back':
      return takeBack.length > 0 ? { kind: 'take-back', ids: [...takeBack] } : null;
    case 'turn':
      return { kind: 'turn', ...at, turn: 1 };
    case 'heed':
      return { kind: 'heeded', ...at, prompt: 'turn', ...(next ? {} : { closing: true }) };
    case 'check':
      return { kind: 'checked', ...at, read: [20.5] };
    case 'land':
      return { kind: 'landing', ...at, said: 3, right: true };
    case 'pause':
      return { kind: 'pause' };
    case 'resume':
      return pauses.length > 0 ? { kind: 'resume', ids: [...pauses] } : null;
    case 'note':
      return { kind: 'note', ...at, text: 'n' };
    case 'close':
      return next ? null : { kind: 'closed', fits: true };
    case 'agree':
      return clash?.kind === 'two-screens' ? { kind: 'agreed', ids: [...clash.ids] } : null;
    default:
      return null;
  }
}

const story = fc.array(
  fc.record({
    who: fc.integer({ min: 0, max: 2 }),
    what: fc.constantFrom(
      ...['count', 'count', 'count', 'count', 'sync', 'sync', 'back', 'turn', 'heed', 'check'],
      ...['land', 'pause', 'resume', 'note', 'close', 'agree', 'agree', 'agree'],
    ),
  }),
  { maxLength: 90 },
);

/** Counts of different screens, made at once and in no agreement: every pair looked at. */
function clashes(events: readonly RunEvent[]): string[] {
  const back = new Set(events.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
  const dones = events.filter((event) => event.kind === 'done' && !back.has(event.id));
  const agreed = events.flatMap((event) => (event.kind === 'agreed' ? [event.ids] : []));
  const found = new Set<string>();
  for (const a of dones)
    for (const b of dones)
      if (
        a.device !== b.device &&
        atOnce(a, b) &&
        !agreed.some((ids) => ids.includes(a.id) && ids.includes(b.id))
      )
        found.add(a.id);
  return [...found].sort();
}

/** Seconds between counts that stand, one after another on one screen: each pair looked at. */
function between(ordered: readonly RunEvent[]): number {
  const back = new Set(ordered.flatMap((event) => (event.kind === 'take-back' ? event.ids : [])));
  const told = ordered.filter(
    (event) =>
      (event.kind === 'done' && !back.has(event.id)) || event.kind === 'pause' || event.kind === 'resume',
  );
  let sum = 0;
  told.forEach((event, i) => {
    const before = told[i - 1];
    if (event.kind !== 'done' || before?.kind !== 'done' || before.device !== event.device) return;
    const seconds = (Date.parse(event.clientTime) - Date.parse(before.clientTime)) / 1000;
    if (seconds > 0 && seconds < 45 * 60) sum += seconds;
  });
  return sum;
}

describe('a run gone on with, event by event', () => {
  test('is what it is folded whole: state, page of the logbook and counts made at once, in whatever order they came', () => {
    fc.assert(
      fc.property(story, fc.infiniteStream(fc.nat(1_000_000)), (acts, random) => {
        const screens = ['a', 'b', 'c'].map((name) => new Screen(name, run));
        for (const { who, what } of acts) {
          const me = screens[who]!;
          if (what === 'sync') me.shown(screens[(who + 1) % 3]!.seen);
          else {
            const act = actOn(me, what);
            if (act) me.act(act);
          }
        }
        const all = [...new Map(screens.flatMap(({ seen }) => seen).map((one) => [one.id, one])).values()];
        // each screen's own events come in their order; those of different screens in any
        const queues = ['a', 'b', 'c'].map((name) =>
          all.filter(({ device }) => device === name).sort((x, y) => x.deviceSeq - y.deviceSeq),
        );
        let tally = tallyOf(run, []);
        const came: RunEvent[] = [];
        while (queues.some((queue) => queue.length > 0)) {
          const open = queues.filter((queue) => queue.length > 0);
          const queue = open[(random.next().value as number) % open.length]!;
          const some = queue.splice(0, 1 + ((random.next().value as number) % 4));
          came.push(...some);
          tally = goOnWith(tally, some);
          const whole = tallyOf(run, came);
          expect(stateOf(tally)).toEqual(foldRun(run, came));
          expect(digestOf(tally)).toEqual(digestOf(whole));
          expect(tally.ordered).toEqual(inOrder(came));
          expect(digestOf(tally).counted).toBe(between(inOrder(came)));
        }
        expect(
          tally
            .unsettled()
            .map(({ id }) => id)
            .sort(),
        ).toEqual(clashes(all));
      }),
      { seed: 16, numRuns: 250 },
    );
  });

  test('what two screens agreed on is asked again when a third comes that had seen neither', () => {
    const [a, b, c] = ['a', 'b', 'c'].map((name) => new Screen(name, run)) as [Screen, Screen, Screen];
    const first = { kind: 'done', round: 1, index: 1 } as const;
    const [one, other] = [a.act(first), b.act(first)];
    a.shown(b.seen);
    const agreed = a.act({ kind: 'agreed', ids: [one.id, other.id] });
    let tally = goOnWith(tallyOf(run, []), [one, other]);
    expect(tally.unsettled()).toHaveLength(2);
    tally = goOnWith(tally, [agreed]);
    expect(tally.unsettled()).toEqual([]);
    // it counts later on what it knows, after many things of its own
    for (let i = 0; i < 20; i += 1) c.act({ kind: 'note', round: 1, index: 1, text: 'n' });
    tally = goOnWith(tally, [...c.seen, c.act({ kind: 'done', round: 1, index: 2 })]);
    expect(tally.unsettled().map(({ id }) => id)).toEqual([one.id, other.id, 'c-21']);
    // and one that saw all of it is beside none
    a.shown(c.seen);
    const all = a.act({ kind: 'agreed', ids: [one.id, other.id, 'c-21'] });
    tally = goOnWith(tally, [all, a.act({ kind: 'done', round: 1, index: 3 })]);
    expect(tally.unsettled()).toEqual([]);
  });

  test('three thousand counts on two screens that never saw each other are told in one doubt', () => {
    const ends = ['a', 'b'].map((name) => new Screen(name, run));
    for (let i = 0; i < 1500; i += 1)
      for (const screen of ends) screen.act({ kind: 'done', round: 1, index: 1 + (i % 12) });
    const tally = tallyOf(
      run,
      ends.flatMap(({ seen }) => seen),
    );
    expect(tally.unsettled()).toHaveLength(3000);
  });
});
