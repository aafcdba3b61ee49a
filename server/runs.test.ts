import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { withSpurPart } from '../core/job/index.ts';
import type { RunEvent } from '../core/run/index.ts';
import { measure } from '../core/units/index.ts';
import type {
  EventsPage,
  JobListing,
  LogPage,
  Problem,
  StoredJob,
  StoredRun,
  StoredShop,
} from '../core/wire/index.ts';
import { jobNamed, Trial } from './trial.ts';

const trial = new Trial('runs');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

describe('runs', () => {
  const done = (runId: string, n: number, more: Partial<RunEvent> = {}): RunEvent =>
    ({
      id: `${runId}-e${n}`,
      runId,
      device: 'screen-a',
      deviceSeq: n,
      lastSeen: {},
      clientTime: '2026-11-12T09:00:00Z',
      kind: 'done',
      round: 1,
      index: n,
      ...more,
    }) as RunEvent;
  const start = async (jobId: string, runId: string) => {
    await trial.keep(jobNamed(jobId, 20));
    return ask<StoredRun>('POST', `/jobs/${jobId}/runs`, { id: runId, partId: 'p1', revision: 1 });
  };

  test('started once, counted, read back; repeats are passed over', async () => {
    expect((await start('g1', 'run-g1')).body.run.cuts).toHaveLength(20);
    expect(
      (await ask<StoredRun>('POST', '/jobs/g1/runs', { id: 'run-g1', partId: 'p1', revision: 1 })).status,
    ).toBe(201);
    const events = [1, 2, 3].map((n) => done('run-g1', n));
    await ask('POST', '/runs/run-g1/events', { events });
    const twice = await ask<{ summary: StoredRun['summary'] }>('POST', '/runs/run-g1/events', {
      events: [...events, done('run-g1', 4)],
    });
    expect(twice.body.summary).toMatchObject({ done: 4, total: 20, next: { space: 5 } });
    const page = await ask<EventsPage>('GET', '/runs/run-g1/events');
    expect(page.body.events.map(({ id }) => id)).toEqual([1, 2, 3, 4].map((n) => `run-g1-e${n}`));
    expect(
      (await ask<EventsPage>('GET', `/runs/run-g1/events?after=${page.body.arrival}`)).body.events,
    ).toEqual([]);
    const listed = await ask<{ jobs: JobListing[] }>('GET', '/jobs');
    expect(listed.body.jobs.find(({ id }) => id === 'g1')?.run).toMatchObject({
      now: {
        lead: 'Tooth space 4 is cut. Turn clockwise:',
        figure: '2 whole turns',
        lines: ['Pin is in hole 0, lands in hole 0.'],
      },
      summary: { done: 4 },
    });
  });

  test('gone on with in the middle of a round, the bench names the hole that the run names', async () => {
    await trial.keep(jobNamed('c1', 58));
    const begin = (id: string, more: object) =>
      ask<StoredRun>('POST', '/jobs/c1/runs', { id, partId: 'p1', revision: 1, ...more });
    await begin('run-c1', {});
    await ask('POST', '/runs/run-c1/events', {
      events: Array.from({ length: 10 }, (_, i) => done('run-c1', i + 1)),
    });
    const { run } = (await begin('run-c2', { continues: 'run-c1' })).body;
    await ask('POST', '/runs/run-c2/events', { events: [10, 11].map((index) => done('run-c2', index)) });
    const listed = await ask<{ jobs: JobListing[] }>('GET', '/jobs');
    // two moves of 20 on 29 from hole 0 at the tenth space: 20, then 40 − 29 = 11
    expect(run.cuts[2]).toMatchObject({ index: 12, landing: { hole: 11 } });
    expect(listed.body.jobs.find(({ id }) => id === 'c1')?.run?.now).toMatchObject({
      lead: 'Tooth space 11 is cut. Turn clockwise:',
      lines: ['Pin is in hole 20, lands in hole 11.'],
    });
  });

  test('starting tells the shop how the head stands, and the next card plans from there', async () => {
    await trial.keep(jobNamed('s1', 58));
    await ask('POST', '/jobs/s1/runs', { id: 'run-s1', partId: 'p1', revision: 1 });
    const { body } = await ask<StoredShop>('GET', '/shop');
    const head = body.equipment.heads[0]!;
    expect(head.standing).toMatchObject({ worm: 'in', lock: 'in', circle: 29, arms: 21, gears: '' });
    const before = body.revision;
    // a second run on the head as it stands changes nothing, and has nothing to prepare
    await ask('POST', '/jobs/s1/runs', { id: 'run-s2', partId: 'p1', revision: 1 });
    expect((await ask<StoredShop>('GET', '/shop')).body.revision).toBe(before);
    expect((await ask<StoredRun>('GET', '/runs/run-s2')).body.run.preparation).toEqual([]);
  });

  test('a run is scrapped with its reason, stays in the log, and is no longer gone on with; it can be taken back', async () => {
    await start('e1', 'run-e1');
    const send = (...events: object[]) => ask('POST', '/runs/run-e1/events', { events });
    await send(done('run-e1', 1));
    const ended = {
      ...done('run-e1', 1),
      id: 'end',
      deviceSeq: 2,
      kind: 'ended',
      how: 'scrapped',
      reason: 'cutter chipped',
    };
    const { round: _r, index: _i, ...event } = ended as Record<string, unknown>;
    await send(event);
    const listing = async () =>
      (await ask<{ jobs: JobListing[] }>('GET', '/jobs')).body.jobs.find(({ id }) => id === 'e1')!.run!;
    expect(await listing()).toMatchObject({
      summary: { done: 1, ended: { how: 'scrapped', reason: 'cutter chipped' } },
      now: null,
    });
    expect((await ask<LogPage>('GET', '/log/run-e1')).body.digest).toMatchObject({
      done: 1,
      ended: { how: 'scrapped', reason: 'cutter chipped' },
    });
    await send({
      ...event,
      id: 'back',
      deviceSeq: 3,
      kind: 'take-back',
      ids: ['end'],
      how: undefined,
      reason: undefined,
    });
    expect(await listing()).toMatchObject({ summary: { ended: null }, now: { figure: '2 whole turns' } });
  });

  test('a run keeps its plan when the job changes, and starts only from what was looked at', async () => {
    await start('h1', 'run-h1');
    const { body } = await ask<StoredJob>('GET', '/jobs/h1');
    await ask('PUT', '/jobs/h1', {
      revision: 1,
      job: withSpurPart(body.job, 'p1', (part) => ({
        ...part,
        gear: { ...part.gear, teeth: measure('40', 'count') },
      })),
    });
    expect((await ask<StoredRun>('GET', '/runs/run-h1')).body.run.divisions).toBe(20);
    expect(
      (await ask<Problem>('POST', '/jobs/h1/runs', { id: 'run-h2', partId: 'p1', revision: 1 })).status,
    ).toBe(409);
  });

  test('what does not belong is refused whole: another run, a cut that is not there, an id used before', async () => {
    await start('i1', 'run-i1');
    const send = (...events: RunEvent[]) => ask<Problem>('POST', '/runs/run-i1/events', { events });
    expect((await send(done('run-i1', 1), done('elsewhere', 2))).body.issues[0]?.code).toBe(
      'event-from-other-run',
    );
    expect((await send(done('run-i1', 1), done('run-i1', 2, { index: 21 }))).body.issues[0]?.code).toBe(
      'event-names-no-cut',
    );
    expect((await ask<EventsPage>('GET', '/runs/run-i1/events')).body.events).toEqual([]);
    await send(done('run-i1', 1));
    expect((await send(done('run-i1', 1, { index: 7 }))).status).toBe(409);
    expect((await send(done('run-i1', 1, { id: 'other-id' }))).status).toBe(409);
    expect((await ask<StoredRun>('GET', '/runs/run-i1')).body.summary.done).toBe(1);
  });

  test('a gear that measured thick is sunk as a run of its own, linked both ways', async () => {
    const thick = (await start('m1', 'run-m1')).body.run;
    const begin = (id: string, more: object) =>
      ask<StoredRun & Problem>('POST', '/jobs/m1/runs', { id, partId: 'p1', revision: 1, ...more });
    const sunk = await begin('run-m2', { deepens: { runId: 'run-m1', by: 0.05 } });
    expect(sunk.body.run.rounds).toEqual([{ name: 'deeper', depthMm: thick.rounds[0]!.depthMm! + 0.05 }]);
    expect((await ask<LogPage>('GET', '/log/run-m2')).body.digest.deepens).toEqual({
      runId: 'run-m1',
      by: 0.05,
    });
    expect((await ask<LogPage>('GET', '/log/run-m1')).body.deepenedBy).toEqual(['run-m2']);
    expect((await begin('run-m3', { deepens: { runId: 'nowhere', by: 0.05 } })).status).toBe(404);
    expect((await begin('run-m4', { deepens: { runId: 'run-m1', by: -0.05 } })).status).toBe(422);
    const both = await begin('run-m5', { continues: 'run-m1', deepens: { runId: 'run-m1', by: 0.05 } });
    expect([both.status, both.body.detail]).toEqual([422, expect.stringMatching(/not both/)]);
  });

  test('a job that is not ready does not start', async () => {
    await trial.keep(jobNamed('k1', 53));
    const refused = await ask<Problem>('POST', '/jobs/k1/runs', { id: 'run-k1', partId: 'p1', revision: 1 });
    expect([refused.status, refused.body.detail]).toEqual([422, 'Not ready to cut: look at Dividing first.']);
  });

  test('everything survives closing and opening the store', async () => {
    await start('l1', 'run-l1');
    await ask('POST', '/runs/run-l1/events', { events: [done('run-l1', 1)] });
    await trial.stop();
    await trial.start();
    expect((await ask<StoredRun>('GET', '/runs/run-l1')).body.summary.done).toBe(1);
  });
});
