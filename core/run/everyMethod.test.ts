import { describe, expect, test } from '@jest/globals';
import type { Landing } from '../dividing/index.ts';
import { need } from '../findings/index.ts';
import { plan } from '../plan/index.ts';
import { plainHead, STOCK_ROTARY } from '../shop/index.ts';
import { exact } from '../units/index.ts';
import { freeze, jobOf, shop, three } from '../sampleRuns.ts';
import {
  foldRun,
  freezeRun,
  readRun,
  reconcile,
  sayLanding,
  turnsOf,
  type Run,
  type RunEvent,
} from './index.ts';

const holes = (run: Run) => run.cuts.map(({ landing }) => ('hole' in landing ? landing.hole : -1));

describe('runs by every method: what the mill is told is what turns the work', () => {
  test('direct: the pin steps round its ring, and closes on its start', () => {
    const run = freeze({ head: three, count: 12 }, 'direct');
    expect(holes(run)).toEqual([0, 2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 22]);
    expect(run.closing).toEqual({ on: 'ring', spaces: 2, hole: 0 });
    expect(sayLanding(run, run.cuts[3]!.landing)).toEqual({
      how: '2 spaces on the 24 ring',
      lands: 'The pin must land in hole 6.',
    });
    expect(turnsOf(run.cuts[3]!.landing)).toBe(0);
  });

  test('compound: both pins, and after 69 moves both are home', () => {
    const run = freeze(
      { head: three, count: 69 },
      'compound',
      (choice) => choice.method === 'compound' && choice.circle === 23 && choice.back.circle === 33,
    );
    const landing = run.cuts[1]!.landing;
    expect(landing).toEqual({ on: 'two-circles', turns: 0, spaces: 21, hole: 21, back: -11, backHole: 11 });
    expect(run.closing).toMatchObject({ hole: 0, backHole: 0 });
    expect(sayLanding(run, landing)).toEqual({
      how: '21 spaces on 23, then 11 spaces back on 33',
      lands: 'The pin must land in hole 21, the back pin in hole 11.',
    });
  });

  test('a wheel: every round is read from 0 again', () => {
    const run = freeze({ head: STOCK_ROTARY, count: 53, rounds: 2 }, 'handwheel');
    expect(run.cuts).toHaveLength(106);
    expect(run.cuts[53]!.landing).toEqual({ on: 'dial', turns: 0, mark: '0' });
    expect(run.cuts.slice(53).map(({ landing }) => landing)).toEqual(
      run.cuts.slice(0, 53).map(({ landing }) => landing),
    );
    expect(run.closing).toEqual({ on: 'dial', turns: 0, mark: '0' });
    expect(sayLanding(run, run.cuts[1]!.landing).lands).toBe('It must read: table 4°, wheel 2° 47′ 30″.');
  });

  test('a motor: steps from the start, and how many from the last space', () => {
    const run = freeze({ head: STOCK_ROTARY, count: 53 }, 'stepper');
    const steps = run.cuts.map(({ landing }) => (landing.on === 'steps' ? landing.steps : -1));
    // 200 × 8 × 90 = 144 000 steps a turn
    expect(steps).toEqual(Array.from({ length: 53 }, (_, k) => Math.floor((k * 144_000) / 53 + 0.5)));
    expect(run.closing).toMatchObject({ steps: 144_000 });
    expect(sayLanding(run, run.cuts[1]!.landing)).toEqual({
      how: 'to step 2717',
      lands: 'The count must stand at 2717 steps.',
    });
  });

  test('the nearest hole: the move changes, and the holes are those reckoned from the start', () => {
    const run = freeze(
      { head: three, count: 53 },
      'approximate',
      (choice) => choice.method === 'nearest-hole' && choice.circle === 49,
    );
    for (const [k, { landing }] of run.cuts.entries()) {
      if (landing.on !== 'plate') throw new Error('no plate');
      expect(landing.hole).toBe(Math.floor((k * 40 * 49) / 53 + 0.5) % 49);
    }
    const moves = new Set(run.cuts.slice(1).map(({ landing }) => (landing as { spaces: number }).spaces));
    expect([...moves].sort()).toEqual([36, 37]);
  });

  test('a near miss by gears keeps its move and its idlers', () => {
    const run = freeze({ head: three, count: 383 }, 'approximate', ({ method }) => method === 'differential');
    expect(run.move).toMatchObject({ method: 'differential', exact: false });
    expect(run.full).toBe(true);
  });

  test('a part of a turn in two rounds: the second begins at the start again, and nothing closes', () => {
    const run = freeze({ head: three, count: 5, angle: '4.5', rounds: 2 }, 'simple');
    expect([run.full, run.closing, run.cuts.length]).toEqual([false, null, 10]);
    expect(holes(run).slice(5)).toEqual(holes(run).slice(0, 5));
    expect(run.cuts.map(({ space }) => space)).toEqual([1, 2, 3, 4, 5, 1, 2, 3, 4, 5]);
  });

  test('on a whole turn in two rounds the holes run on, and meet those of the first where R is whole', () => {
    const run = freeze({ head: three, count: 7, rounds: 2 }, 'simple');
    expect(holes(run).slice(7)).toEqual(holes(run).slice(0, 7));
  });

  test('block order: every space once, its holes those of so many single moves', () => {
    const single = freeze(
      { head: three, count: 29 },
      'simple',
      (choice) => 'circle' in choice && choice.circle === 29,
    );
    const block = need(
      ((): ReturnType<typeof freezeRun> => {
        const job = jobOf({ head: three, count: 29, stride: '8' });
        const planned = plan(job, shop);
        return freezeRun({ job, planned, shop, start: { runId: 'r', jobRevision: 1, partId: 'p1' } });
      })(),
    );
    expect(new Set(block.cuts.map(({ space }) => space)).size).toBe(29);
    // wherever a space is cut, the spindle stands where the single moves would have put it
    if (block.move.method !== 'simple' || single.move.method !== 'simple') throw new Error('not simple');
    const spindle = (
      { turns, spaces, circle }: { turns: number; spaces: number; circle: number },
      k: number,
    ) =>
      exact(turns * circle + spaces, circle)
        .mul(k)
        .div(40)
        .mod(1)
        .toFraction();
    for (const [i, { space }] of block.cuts.entries())
      expect(spindle(block.move, i)).toBe(spindle(single.move, space - 1));
  });

  test.each(['direct', 'simple'] as const)('%s runs come back from storage as they were frozen', (method) => {
    const run = freeze({ head: three, count: 12 }, method);
    expect(readRun(JSON.parse(JSON.stringify(run)))).toEqual(run);
  });

  test('a lost count is set right on a run without turns as on any other', () => {
    const run = freeze({ head: three, count: 12 }, 'direct');
    const event = (n: number, act: object): RunEvent =>
      ({
        id: `e${n}`,
        runId: 'r',
        device: 's',
        deviceSeq: n,
        lastSeen: {},
        clientTime: '2026-11-24T08:00:00Z',
        ...act,
      }) as RunEvent;
    const events = [1, 2, 4].map((index, i) => event(i + 1, { kind: 'done', round: 1, index }));
    const state = foldRun(run, events);
    expect(state.doubts.map(({ kind }) => kind)).toEqual(['gap']);
    const acts = reconcile({ run, events, state, cutsDone: 4 });
    const after = foldRun(run, [...events, ...acts.map((act, i) => event(10 + i, act))]);
    expect([after.done, after.next?.space]).toEqual([4, 5]);
  });

  test('a head with nothing to divide by is not frozen, and says where to look', () => {
    const job = jobOf({ head: plainHead('bare', 'Bare'), count: 12 });
    const refused = freezeRun({
      job,
      planned: plan(job, shop),
      shop,
      start: { runId: 'r', jobRevision: 1, partId: 'p1' },
    });
    expect(refused.ok ? null : refused.issues[0]).toMatchObject({ allowed: 'look at Dividing first' });
  });
});

test('landings that are no moves of a crank have no turns to tick', () => {
  const landings: Landing[] = [
    { on: 'ring', spaces: 3, hole: 3 },
    { on: 'dial', turns: 7, mark: '1/2' },
    { on: 'steps', steps: 10, by: 5 },
  ];
  expect(landings.map(turnsOf)).toEqual([0, 0, 0]);
  expect(turnsOf({ on: 'two-circles', turns: 2, spaces: 1, hole: 1, back: 1, backHole: 1 })).toBe(2);
});
