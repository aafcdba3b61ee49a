import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { need } from '../findings/index.ts';
import { drawnSpurJob, withMill, withSpurPart } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { STOCK_EQUIPMENT, STOCK_MILL } from '../shop/index.ts';
import { measure } from '../units/index.ts';
import { promptOfEvent } from './oldSteps.ts';
import {
  foldRun,
  freezeRun,
  readRun,
  RUN_VERSION,
  runEventSchema,
  type Run,
  type RunEvent,
} from './index.ts';

describe('runs that rest from earlier versions', () => {
  const old = JSON.parse(readFileSync(new URL('./samples/v2.json', import.meta.url), 'utf8')) as Record<
    string,
    unknown
  > & {
    head: Record<string, unknown>;
    cuts: { round: number; index: number; space: number; hole: number }[];
  };

  test('version 2, a differential run in two rounds: every hole is the one it was frozen with', () => {
    const run = readRun(old);
    expect(run.cuts.map(({ landing }) => (landing.on === 'plate' ? landing.hole : -1))).toEqual(
      old.cuts.map(({ hole }) => hole),
    );
    expect(run).toMatchObject({ version: RUN_VERSION, helix: null, full: true, mill: null, divisions: 53 });
    expect(run.move).toMatchObject({ method: 'differential', advance: '1/53', exact: true });
    expect(foldRun(run, []).next).toMatchObject({ space: 1 });
  });

  test('version 3, a rack on a table that was not known to swing', () => {
    const rack = JSON.parse(readFileSync(new URL('./samples/v3.json', import.meta.url), 'utf8')) as Record<
      string,
      unknown
    >;
    const run = readRun(rack);
    expect(run).toMatchObject({
      version: RUN_VERSION,
      running: null,
      divides: 'place',
      helix: null,
      mill: { marks: 100, scaleMinutes: 60, headTilts: false },
      cuts: rack['cuts'],
    });
    expect(foldRun(run, [])).toMatchObject({ total: 12, heeded: [] });
  });

  test('version 1, before heads could be geared', () => {
    const { plateLock: _lock, differential: _gears, ...head } = old.head;
    expect(readRun({ ...old, version: 1, head }).head).toMatchObject({ differential: null, plateLock: true });
  });

  test('today’s version is taken as it is; what is no run is a fault', () => {
    const job = drawnSpurJob({
      id: 'j1',
      name: 'Second wheel',
      pitch: '1.25',
      teeth: 58,
      face: '12',
      bore: '10',
    });
    const start = { runId: 'r1', jobRevision: 1, partId: 'p1' };
    const run = need(freezeRun({ job, planned: plan(job, STOCK_EQUIPMENT), shop: STOCK_EQUIPMENT, start }));
    expect(readRun(JSON.parse(JSON.stringify(run)))).toEqual(run);
    expect(() => readRun({ format: 'vuelta-run' })).toThrow();
  });

  test('a run from a mill with dials comes back as it was frozen; what no machine has is refused', () => {
    const mill = {
      ...STOCK_MILL,
      id: 'm',
      knee: { ...STOCK_MILL.knee, lead: measure('2', 'mm'), marks: 100 },
    };
    const shop = { ...STOCK_EQUIPMENT, mills: [mill] };
    const drawn = drawnSpurJob({ id: 'j', name: 'Mill', pitch: '1.5', teeth: 30, face: '12', bore: '10' });
    const job = withSpurPart(withMill({ job: drawn, partId: 'p1', millId: 'm', shop }), 'p1', (part) => ({
      ...part,
      setup: { ...part.setup, cutterDiameter: measure('60', 'mm'), paper: measure('0.05', 'mm') },
    }));
    const run = need(
      freezeRun({ job, planned: plan(job, shop), shop, start: { runId: 'r', jobRevision: 1, partId: 'p1' } }),
    );
    expect(run.mount).toMatchObject({ paper: 0.05, dial: { lead: 2, marks: 100 } });
    const rests = (change: object) => () =>
      readRun(JSON.parse(JSON.stringify({ ...run, ...change })) as unknown);
    expect(rests({})()).toEqual(run);
    const mount = (change: object) => rests({ mount: { ...run.mount, ...change } });
    const [first] = run.cuts;
    for (const refused of [
      mount({ paper: -0.01 }),
      mount({ dial: { lead: 2, marks: 0 } }),
      mount({ dial: { lead: 0, marks: 100 } }),
      rests({ safe: { ...run.safe, approach: 0 } }),
      rests({ safe: { ...run.safe, firstTouch: -1 } }),
      rests({ cuts: [] }),
      rests({ cuts: [{ ...first, round: 0 }] }),
      rests({ cuts: [{ ...first, round: 4 }] }),
      rests({ cuts: [{ ...first, index: 0 }] }),
      rests({ cuts: [{ ...first, space: 0 }] }),
      rests({ rounds: [] }),
      rests({ rounds: [{ name: 'one', depthMm: 0 }] }),
      rests({ minutesPerCut: 0 }),
      rests({ jobRevision: 0 }),
      rests({ continues: { runId: 'q', done: 0 } }),
      rests({ deepens: { runId: 'q', by: 0, register: 'kept' } }),
    ])
      expect(refused).toThrow();
    // and what one has
    for (const taken of [
      mount({ dial: { lead: 2, marks: 1 } }),
      mount({ paper: 0 }),
      rests({ safe: { ...run.safe, firstTouch: 0 } }),
      rests({ cuts: [{ ...first, round: 3 }] }),
      rests({ continues: { runId: 'q', done: 1 } }),
    ])
      expect(taken).not.toThrow();
  });

  test('what no screen can have said is refused', () => {
    const base = {
      ...{ id: 'e', runId: 'r', device: 'd', deviceSeq: 1, lastSeen: {} },
      ...{ clientTime: '2026-11-25T10:00:00Z', kind: 'done', round: 1, index: 1 },
    };
    const says = (change: object) => runEventSchema.safeParse({ ...base, ...change }).success;
    const seen = (screens: number) => ({
      lastSeen: Object.fromEntries(Array.from({ length: screens }, (_, i) => [`screen-${i}`, 1])),
    });
    expect([says(seen(2000)), says(seen(2001))]).toEqual([true, false]);
    expect(says({})).toBe(true);
    for (const refused of [
      { round: 0 },
      { index: 0 },
      { index: 1.5 },
      { deviceSeq: 0 },
      { lastSeen: { other: 0 } },
      { clientTime: 'yesterday' },
      { kind: 'turn', turn: 0 },
      { kind: 'stroke', stage: 4 },
      { kind: 'step', step: 0 },
      { kind: 'heeded', prompt: 'Two words' },
      { kind: 'landing', said: -1, right: true },
      { kind: 'landing', said: 5001, right: true },
      { kind: 'checked', read: [0] },
      { kind: 'checked', read: [1, 2, 3] },
      { kind: 'measured', readings: [], verdict: '' },
      { kind: 'take-back', ids: [] },
      { kind: 'note', text: '  ' },
      { kind: 'ended', how: 'lost', reason: '' },
    ])
      expect([refused, says(refused)]).toEqual([refused, false]);
    for (const taken of [
      { kind: 'turn', turn: 1 },
      { kind: 'stroke', stage: 3 },
      { kind: 'landing', said: 0, right: false },
      { kind: 'checked', read: [1, 2] },
      { kind: 'checked', read: null },
      { kind: 'take-back', ids: ['e'] },
      { kind: 'note', text: 'x' },
    ])
      expect([taken, says(taken)]).toEqual([taken, true]);
  });

  test('the steps of before prompts had names, by the number each had then', () => {
    const event = (kind: 'step' | 'stroke', number: number): RunEvent =>
      ({
        ...{ id: 'e', runId: 'r', device: 'd', deviceSeq: 1, lastSeen: {}, round: 1, index: 1 },
        ...{
          clientTime: '2026-11-25T10:00:00Z',
          kind,
          ...(kind === 'step' ? { step: number } : { stage: number }),
        },
      }) as RunEvent;
    const steps = (move: object, helix: object | null = null) =>
      [1, 2, 3, 4, 5].map((k) =>
        promptOfEvent({ move, helix } as Pick<Run, 'move' | 'helix'>, event('step', k)),
      );
    const armed = ['clear', 'unlock', 'turn', 'arms', 'lock'];
    const bare = ['clear', 'unlock', 'turn', 'lock', null];
    // arms are brought round where spaces are counted on a circle, or a hole is looked for
    expect(steps({ method: 'simple', turns: 0, spaces: 20, circle: 31 })).toEqual(armed);
    expect(steps({ method: 'simple', turns: 2, spaces: 0, circle: 31 })).toEqual(bare);
    expect(steps({ method: 'nearest-hole', circle: 31 })).toEqual(armed);
    expect(steps({ method: 'direct', holes: 24, spaces: 1 })).toEqual(bare);
    expect(steps({ method: 'handwheel' })).toEqual(bare);
    expect(steps({ method: 'stepper' })).toEqual(['clear', 'turn', null, null, null]);
    // a helical gear was asked its return stroke instead
    expect(steps({ method: 'simple', turns: 0, spaces: 20, circle: 31 }, {})).toEqual(Array(5).fill(null));
    expect(
      [1, 2, 3].map((k) =>
        promptOfEvent({ move: {}, helix: {} } as Pick<Run, 'move' | 'helix'>, event('stroke', k)),
      ),
    ).toEqual(['out', 'back', 'turn']);
  });

  test('version 4, two passes on a head whose height was not known: every cut as it was frozen', () => {
    const rested = JSON.parse(readFileSync(new URL('./samples/v4.json', import.meta.url), 'utf8')) as Run;
    const run = readRun(rested);
    expect(run).toMatchObject({
      version: RUN_VERSION,
      running: null,
      divides: 'tooth-space',
      piece: { kind: 'work', name: '' },
      continues: null,
      safe: null,
      card: [],
    });
    expect(run.cuts).toEqual(rested.cuts);
    expect(run.closing).toEqual(rested.closing);
    expect(foldRun(run, [])).toMatchObject({ total: 124, ended: null });
  });

  test('version 5, with a table that was known to be clear: its readings, its card and every cut are kept', () => {
    const rested = JSON.parse(readFileSync(new URL('./samples/v5.json', import.meta.url), 'utf8')) as Run;
    const run = readRun(rested);
    expect(run).toEqual({
      ...rested,
      version: RUN_VERSION,
      running: null,
      divides: 'tooth-space',
      deepens: null,
      mount: null,
      laid: null,
      touchOn: null,
      measured: true,
      preparation: [],
      safe: { way: 'along', ...rested.safe, firstTouch: null },
    });
    expect(run.safe).toMatchObject({ approach: expect.closeTo(15.504, 3), indexAt: 'entry' });
    expect(readRun({ ...rested, safe: null }).safe).toBeNull();
    expect(foldRun(run, []).total).toBe(44);
  });

  test('version 6, sunk once more: where its work stood is not known, so it is found again; a stage it was stopped at is kept', () => {
    const rested = JSON.parse(readFileSync(new URL('./samples/v6.json', import.meta.url), 'utf8')) as Run;
    const run = readRun(rested);
    expect(run).toEqual({
      ...rested,
      version: RUN_VERSION,
      running: null,
      divides: 'tooth-space',
      mount: null,
      laid: null,
      touchOn: null,
      measured: true,
      preparation: [],
      safe: { ...rested.safe, firstTouch: null },
      deepens: { ...rested.deepens, register: 'found' },
    });
    const at = (kind: string, rest: object, deviceSeq: number) =>
      ({
        id: `e${deviceSeq}`,
        runId: 'r6b',
        device: 'tablet',
        deviceSeq,
        lastSeen: {},
        clientTime: '2026-11-25T09:00:00.000Z',
        round: 1,
        kind,
        ...rest,
      }) as RunEvent;
    // a learner had cut the first space, was clear of it and had unlocked, and had made the move
    const events = [at('done', { index: 1 }, 1), at('step', { index: 2, step: 3 }, 2)];
    const { next, heeded } = foldRun(run, events);
    expect(next).toMatchObject({ space: 2 });
    expect(heeded).toEqual(['turn']);
  });

  test('version 7, whose table was set as the set-up said: its readings stand, and nobody is asked to set it again', () => {
    const rested = JSON.parse(readFileSync(new URL('./samples/v7.json', import.meta.url), 'utf8')) as Run;
    const run = readRun(rested);
    expect(run).toEqual({
      ...rested,
      version: RUN_VERSION,
      running: null,
      divides: 'tooth-space',
      laid: null,
      touchOn: null,
      measured: true,
      safe: { ...rested.safe, firstTouch: null },
    });
    expect(run.measured).toBe(true);
    expect(run.safe).toMatchObject({ approach: expect.closeTo(13.824, 3) });
    const sunk = { ...rested, safe: { way: 'sink', depth: 3 } };
    expect(readRun(sunk).safe).toEqual({ way: 'sink', depth: 3 });
  });

  test('version 8, which told a gear by the title of its first station: measured where it was a gear', () => {
    const rested = JSON.parse(readFileSync(new URL('./samples/v8.json', import.meta.url), 'utf8')) as Run;
    expect(readRun(rested)).toEqual({
      ...rested,
      version: RUN_VERSION,
      running: null,
      divides: 'tooth-space',
      measured: true,
    });
    const titled = (title: string) => [{ number: 1, title, answer: '' }];
    for (const title of ['Spacing', 'Drive', 'Gearing'])
      expect(readRun({ ...rested, card: titled(title) }).measured).toBe(false);
    expect(readRun({ ...rested, card: [] }).measured).toBe(false);
  });
});
