import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DividingChoice } from '../dividing/index.ts';
import { need } from '../findings/index.ts';
import {
  drawnSpurJob,
  newDivideJob,
  withDividing,
  withHead,
  withPart,
  withSpurPart,
  type Job,
} from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { freezeRun, reconcile, whereInRun, type Run } from '../run/index.ts';
import { freeze, shop, three, type Asked } from '../sampleRuns.ts';
import { STOCK_HEADS, STOCK_ROTARY } from '../shop/index.ts';
import { exact, measure, type Exact } from '../units/index.ts';
import { Hand } from './literalHand.ts';
import { Mill, type MadeCut } from './literalMill.ts';
import { AT_STOPS, progressOf, standsAt } from './index.ts';

type Start = Partial<Parameters<typeof freezeRun>[0]['start']>;

const WAYS = ['none', 'entry', 'exit', 'sink'] as const;

/**
 * A cutter that touches √(h(D - h)) = 15 mm before a face of 12 mm at its deepest: of 78 mm where that is 3
 * mm.
 */
function indexedAt(run: Run, way: (typeof WAYS)[number]): Run {
  if (way === 'none') return { ...run, safe: null };
  if (way === 'sink') return { ...run, safe: { way: 'sink', depth: 3 } };
  const depths = run.rounds.flatMap(({ depthMm }) => depthMm ?? []);
  const [first, deepest] = [depths[0]!, depths.at(-1)!];
  const firstTouch = 15 - Math.sqrt(first * (225 / deepest + deepest - first));
  return {
    ...run,
    safe: { way: 'along', approach: 15, through: 30, clearAfter: 42, indexAt: way, firstTouch },
  };
}

/** A part of a turn, or of a line, by which space k is to stand from the first. */
function should(run: Run, space: number): Exact {
  const from = space - run.startSpace;
  const step = run.full ? exact(1, run.divisions) : exact(run.move.advance);
  return step.mul(from);
}
const off = (a: Exact, b: Exact, round: boolean): number => {
  const gap = a.sub(b).valueOf();
  return round ? Math.abs(gap - Math.round(gap)) : Math.abs(gap);
};

/** Every space of every round once, where it should be and as deep as it should be. */
function judge(run: Run, cuts: readonly MadeCut[], tolerance = 0): void {
  const zero = cuts[0]!.at;
  const rounds = run.rounds.map(({ name, depthMm }) => ({
    scratch: name === 'scratch',
    depth: name === 'scratch' ? 0 : depthMm,
  }));
  expect(cuts).toHaveLength(rounds.length * run.divisions);
  rounds.forEach((round, r) => {
    const made = cuts.slice(r * run.divisions, (r + 1) * run.divisions);
    expect(new Set(made.map(({ space }) => space)).size).toBe(run.divisions);
    for (const cut of made) {
      expect({ space: cut.space, scratch: cut.scratch, depth: cut.depth }).toEqual({
        space: cut.space,
        ...round,
      });
      const gap = off(cut.at.sub(zero), should(run, cut.space), run.mill === null);
      if (gap > tolerance) throw new Error(`space ${cut.space} of round ${r + 1} is off by ${gap} of a turn`);
    }
  });
}

function cutAll(run: Run, eachStep = false, mill = new Mill(run)): Mill {
  const hand = new Hand(run, eachStep, mill);
  hand.goOn();
  const { closed, done, total, doubts } = hand.state;
  expect({ closed, done, doubts }).toEqual({ closed: { fits: true }, done: total, doubts: [] });
  return mill;
}

/** For every method: what is asked of the stock shop, and how far a space may be off, in turns. */
const METHODS: readonly (readonly [
  string,
  Asked,
  Parameters<typeof freeze>[1],
  ((choice: DividingChoice) => boolean) | null,
  number,
])[] = [
  ['simple', { head: three, count: 58 }, 'simple', null, 0],
  ['simple, whole turns', { head: three, count: 20 }, 'simple', null, 0],
  ['direct', { head: three, count: 12 }, 'direct', null, 0],
  ['differential, plate against the crank', { head: three, count: 53 }, 'differential', null, 0],
  ['differential, plate with the crank', { head: three, count: 83 }, 'differential', null, 0],
  [
    'compound that goes back',
    { head: three, count: 69 },
    'compound',
    (choice) => choice.method === 'compound' && choice.back.spaces < 0,
    0,
  ],
  [
    'compound that goes on',
    { head: three, count: 63 },
    'compound',
    (choice) => choice.method === 'compound' && choice.back.spaces > 0,
    0,
  ],
  [
    'the nearest hole',
    { head: three, count: 53 },
    'approximate',
    (choice) => choice.method === 'nearest-hole' && choice.circle === 49,
    0.5 / (40 * 49),
  ],
  ['a wheel', { head: STOCK_ROTARY, count: 53 }, 'handwheel', null, 0.5 / (90 * 240 * 6)],
  ['a motor', { head: STOCK_ROTARY, count: 53 }, 'stepper', null, 0.5 / 144_000],
];

const scratched = (run: Run): Run => ({
  ...run,
  rounds: [{ name: 'scratch', depthMm: null }, run.rounds[1]!],
});

describe('a hand that does just what is said cuts the work, by every method', () => {
  for (const [name, asked, method, fits, tolerance] of METHODS)
    for (const eachStep of [false, true])
      test(`${name}${eachStep ? ', each step asked' : ''}: one round, two rounds, a scratch first, wherever it is indexed`, () => {
        const one = freeze(asked, method, fits ?? undefined);
        judge(one, cutAll(one, eachStep).cuts, tolerance);
        const two = freeze({ ...asked, rounds: 2 }, method, fits ?? undefined);
        expect(two.rounds).toHaveLength(2);
        // each step asked, a run is many times as long; the ways of indexing differ by a prompt each
        for (const way of eachStep ? (['exit'] as const) : WAYS)
          judge(two, cutAll(indexedAt(two, way), eachStep).cuts, tolerance);
        for (const way of eachStep ? (['entry'] as const) : (['none', 'entry', 'exit'] as const))
          judge(scratched(two), cutAll(indexedAt(scratched(two), way), eachStep).cuts, tolerance);
      });

  test.each([
    ['simple', three, '4.5'],
    ['compound', three, '10'],
    ['direct', three, '30'],
    ['handwheel', STOCK_ROTARY, '7'],
    ['stepper', STOCK_ROTARY, '7'],
  ] as const)(
    '%s, a part of a turn in two rounds: back to its first space, and come up from below',
    (method, head, angle) => {
      const run = freeze({ head, count: 5, angle, rounds: 2 }, method);
      expect(run.full).toBe(false);
      for (const eachStep of [false, true]) judge(run, cutAll(run, eachStep).cuts, 0.5 / 144_000 / 6);
    },
  );

  test('a motor ends its round by going on a full turn, and counts from 0 then: the dial that was said to go to 0', () => {
    const run = freeze({ head: STOCK_ROTARY, count: 53, rounds: 2 }, 'stepper');
    const hand = new Hand(run, false, new Mill(run));
    while (hand.state.done < 53) hand.step();
    // 200 × 8 × 90 steps for a turn of the work; the 53rd space is at 52/53 of it
    const last = Math.floor((52 * 144_000) / 53 + 0.5);
    expect(hand.now.map((prompt) => prompt.do)).toEqual(['back', 'unlock', 'turn', 'zero']);
    expect(hand.now[2]).toMatchObject({
      landing: { on: 'steps', steps: 144_000, by: 144_000 - last },
      round: true,
    });
  });
});

const onMill = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    setup: { ...part.setup, cutterDiameter: measure('60', 'mm'), cutterWidth: measure('6', 'mm') },
  }));
const cardOf = (teeth: number, change: (job: Job) => Job = (job) => job): Job =>
  change(onMill(drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1.5', teeth, face: '14', bore: '12' })));
const twoPasses = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } }));
const helical = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({
    ...part,
    gear: { ...part.gear, helix: measure('20', 'deg'), hand: 'left' },
  }));
const scratchFirst = (job: Job): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, cut: { ...part.cut, scratch: true } }));
const begin = (job: Job, start: Start = {}): Run =>
  need(
    freezeRun({
      job,
      planned: plan(job, shop),
      shop,
      start: { runId: 'r', jobRevision: 1, partId: 'p1', ...start },
    }),
  );

test.each([false, true])('a rack, along the table, in one round and two (each step: %s)', (eachStep) => {
  for (const passes of ['one', 'rough-finish'] as const)
    for (const indexAt of ['entry', 'exit'] as const) {
      const job = withPart(newDivideJob({ id: 'j', name: 'Rack', units: 'mm', shop }), 'p1', (part) =>
        part.kind === 'divide'
          ? {
              ...part,
              spacing: {
                ...part.spacing,
                by: 'pitch',
                what: 'teeth',
                count: measure('17', 'count'),
                pitch: measure('1.5', 'module'),
                depth: measure('3.375', 'mm'),
              },
              setup: {
                ...part.setup,
                face: measure('12', 'mm'),
                cutterDiameter: measure('60', 'mm'),
                indexAt,
              },
              cut: { ...part.cut, passes },
            }
          : part,
      );
      const run = begin(job);
      expect(run.mill).not.toBeNull();
      const { cuts } = cutAll(run, eachStep);
      // a mark of the dial is 0.05 mm: to its nearest, and never added up
      judge(run, cuts, 0.0251);
      // 16 times π · 1.5 are 75.398 mm
      expect(Math.abs(cuts[16]!.at.sub(cuts[0]!.at).valueOf() - 75.398)).toBeLessThan(0.0251);
    }
});

test.each([false, true])(
  'a helical gear, in one round, two, and after a scratch: never dragged, never locked (each step: %s)',
  (eachStep) => {
    for (const change of [
      helical,
      (job: Job) => helical(twoPasses(job)),
      (job: Job) => helical(scratchFirst(job)),
    ]) {
      const run = begin(cardOf(40, change));
      expect(run.helix).not.toBeNull();
      for (const way of ['none', 'entry', 'exit'] as const)
        judge(run, cutAll(indexedAt(run, way), eachStep).cuts);
      const [cos, sin] = [Math.cos(Math.PI / 9), Math.sin(Math.PI / 9)];
      const mill = new Mill(run, (depth) => Math.sqrt(depth * (60 - depth)) * cos + 3 * sin);
      judge(run, cutAll(run, eachStep, mill).cuts);
    }
  },
);

test('on an upright mill, a proof piece and then the work, straight and helical, gone on with and sunk', () => {
  const mills = shop.mills.map((mill) => ({ ...mill, axis: 'vertical' as const }));
  const upright = { ...shop, mills };
  const start = (job: Job, more: Start = {}): Run => {
    // the job's own copy of its mill stands so too
    const stands = { ...job, equipment: { ...job.equipment, mills } };
    return need(
      freezeRun({
        job: stands,
        planned: plan(stands, upright),
        shop: upright,
        start: {
          runId: 'r',
          jobRevision: 1,
          partId: 'p1',
          ...more,
        },
      }),
    );
  };
  for (const change of [twoPasses, scratchFirst, helical]) {
    const job = cardOf(24, change);
    const proof = start(job, { piece: { kind: 'proof', name: 'brass' } });
    expect([proof.mount?.axis, proof.piece.kind]).toEqual(['vertical', 'proof']);
    judge(proof, cutAll(proof).cuts);
    const run = start(job);
    const mill = cutAll(run, true);
    judge(run, mill.cuts);
    for (const register of ['kept', 'found'] as const) {
      const sunk = start(job, { runId: 'r2', deepens: { run, by: 0.05, register } });
      const other = cutAll(run);
      other.takeUp(sunk);
      new Hand(sunk, false, other).goOn();
      expect(other.cuts.at(-1)!.depth).toBeCloseTo(3.375 + 0.05, 9);
    }
  }
});

describe('a run that goes on with another', () => {
  const old = begin(cardOf(62, twoPasses));
  test.each([1, 10, 30, 61, 62, 63, 100, 123])(
    'under another head after %i cuts: the space is found, and everything meets',
    (done) => {
      for (const method of ['plates', 'wheel', 'motor'] as const) {
        const mill = new Mill(old);
        const before = new Hand(old, false, mill);
        while (before.state.done < done) before.step();
        const head = method === 'plates' ? STOCK_HEADS[1]! : STOCK_ROTARY;
        const other = withHead({ job: cardOf(62, twoPasses), partId: 'p1', head, shop });
        const choice =
          method === 'plates'
            ? null
            : freeze({ head, count: 62 }, method === 'wheel' ? 'handwheel' : 'stepper').move;
        const job = withDividing(other, 'p1', (dividing) => ({ ...dividing, choice }));
        const run = begin(job, { runId: 'r2', continues: { run: old, done } });
        mill.takeUp(run);
        const after = new Hand(run, done % 2 === 0, mill);
        after.goOn();
        expect(after.state.closed).toEqual({ fits: true });
        judge(old, mill.cuts, method === 'plates' ? 0 : 1 / 129_600);
      }
    },
  );
});

describe('a gear that closed and is sunk deeper', () => {
  test.each(['kept', 'found'] as const)(
    'its register %s: one round more, in the same spaces, so much deeper',
    (register) => {
      for (const change of [(job: Job) => job, helical]) {
        const old = begin(cardOf(40, change));
        const mill = cutAll(old);
        const run = begin(cardOf(40, change), { runId: 'r2', deepens: { run: old, by: 0.04, register } });
        mill.takeUp(run);
        const hand = new Hand(run, register === 'kept', mill);
        // nothing says that the pin may go into any hole: that would lose what the first cut stands in
        const first = progressOf(run, hand.state, AT_STOPS).prompts.map((prompt) => prompt.do);
        expect(first).toContain(register === 'kept' ? 'stand' : 'find');
        hand.goOn();
        const deeper = mill.cuts.slice(40);
        expect(deeper).toHaveLength(40);
        for (const [i, cut] of deeper.entries()) {
          expect(cut.depth).toBeCloseTo(3.375 + 0.04, 9);
          expect(off(cut.at, mill.cuts[i]!.at, true)).toBe(0);
        }
      }
    },
  );
});

test('whatever interrupts: presses doubled and taken back, the count lost and found by a hole, screens that ask more or less (seed 1212)', () => {
  const runs = [
    begin(cardOf(14)),
    begin(cardOf(24, twoPasses)),
    begin(cardOf(24, scratchFirst)),
    begin(cardOf(20, helical)),
    freeze(
      { head: three, count: 69 },
      'compound',
      (choice) => choice.method === 'compound' && choice.back.spaces < 0,
    ),
    freeze({ head: three, count: 53 }, 'differential'),
  ];
  const story = fc.array(fc.constantFrom('step', 'step', 'step', 'step', 'slip', 'lost', 'pause', 'ask'), {
    minLength: 20,
    maxLength: 120,
  });
  fc.assert(
    fc.property(fc.constantFrom(...runs), story, (run, happens) => {
      const mill = new Mill(run);
      let hand = new Hand(run, false, mill);
      for (const what of happens) {
        const { next, last, takeBack, closed } = hand.state;
        if (what === 'slip' && next && takeBack.length > 0 && hand.now.at(-1)?.do === 'cut') {
          // pressed once too often, and taken back
          hand.press({ kind: 'done', round: next.round, index: next.index });
          hand.press({ kind: 'take-back', ids: hand.state.takeBack });
        } else if (
          what === 'lost' &&
          next &&
          last?.round === next.round &&
          'hole' in last.landing &&
          hand.state.heeded.length === 0
        ) {
          // counted two too many; the hole and a look set it right
          const truth = hand.state.done;
          for (let i = 0; i < 2 && hand.state.next?.round === last.round; i += 1)
            hand.press({ kind: 'done', round: last.round, index: hand.state.next.index });
          const about = run.cuts.slice(0, truth).filter(({ round }) => round === last.round).length;
          const { places } = whereInRun(run, last.landing.hole, { round: last.round, about });
          expect(places[0]?.cutsDone).toBe(truth);
          hand.press(...reconcile({ run, events: hand.events, state: hand.state, cutsDone: truth }));
        } else if (what === 'pause' && !closed) {
          hand.press({ kind: 'pause' });
          hand.press({ kind: 'resume', ids: hand.state.pauses });
        } else if (what === 'ask') {
          const other = new Hand(run, !hand.eachStep, mill);
          other.events.push(...hand.events);
          hand = other;
        } else hand.step();
      }
      hand.goOn();
      expect(hand.state.closed).toEqual({ fits: true });
      judge(run, mill.cuts);
    }),
    { seed: 1212, numRuns: 60 },
  );
});

test('the pin already stands at a space that is not cut: the next thing is to lock and cut it, not to crank', () => {
  const run = begin(cardOf(14));
  const hand = new Hand(run, false, new Mill(run));
  for (let i = 0; i < 5; i += 1) hand.step();
  hand.press(...reconcile({ run, events: hand.events, state: hand.state, cutsDone: 4 }));
  hand.press(standsAt(run, hand.state.next)!);
  expect(hand.now.map((prompt) => prompt.do)).toEqual(['lock', 'cut']);
  expect(hand.now.at(-1)).toMatchObject({ space: 5 });
});
