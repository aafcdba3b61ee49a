import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { withSpurPart } from '../core/job/index.ts';
import type { RunEvent } from '../core/run/index.ts';
import { measure } from '../core/units/index.ts';
import type { EventsPage, JobListing, LogPage, Problem, StoredJob, StoredRun } from '../core/wire/index.ts';
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
      next: { how: '2 turns', lands: 'The pin must land in hole 0.' },
      summary: { done: 4 },
    });
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
    expect(
      (await send(done('run-i1', 1), done('run-i1', 2, { index: 21 } as Partial<RunEvent>))).body.issues[0]
        ?.code,
    ).toBe('event-names-no-cut');
    expect((await ask<EventsPage>('GET', '/runs/run-i1/events')).body.events).toEqual([]);
    await send(done('run-i1', 1));
    expect((await send(done('run-i1', 1, { index: 7 } as Partial<RunEvent>))).status).toBe(409);
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
