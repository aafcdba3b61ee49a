import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { need } from '../findings/index.ts';
import { drawnSpurJob } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { STOCK_EQUIPMENT } from '../shop/index.ts';
import { foldRun, freezeRun, readRun, RUN_VERSION, type Run, type RunEvent } from './index.ts';

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
    const run = need(freezeRun(job, plan(job, STOCK_EQUIPMENT), STOCK_EQUIPMENT, start));
    expect(readRun(JSON.parse(JSON.stringify(run)))).toEqual(run);
    expect(() => readRun({ format: 'vuelta-run' })).toThrow();
  });

  test('version 4, two passes on a head whose height was not known: every cut as it was frozen', () => {
    const rested = JSON.parse(readFileSync(new URL('./samples/v4.json', import.meta.url), 'utf8')) as Run;
    const run = readRun(rested);
    expect(run).toMatchObject({
      version: RUN_VERSION,
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
    expect(readRun(rested)).toEqual({ ...rested, version: RUN_VERSION, measured: true });
    const titled = (title: string) => [{ number: 1, title, answer: '' }];
    for (const title of ['Spacing', 'Drive', 'Gearing'])
      expect(readRun({ ...rested, card: titled(title) }).measured).toBe(false);
    expect(readRun({ ...rested, card: [] }).measured).toBe(false);
  });
});
