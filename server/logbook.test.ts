import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import Database from 'libsql';
import { drawnSpurJob, withSpurPart, type Job } from '../core/job/index.ts';
import { STOCK_EQUIPMENT } from '../core/shop/index.ts';
import { measure } from '../core/units/index.ts';
import type {
  LogEntry,
  LogPage,
  Problem,
  Restored,
  StoredJob,
  StoredRun,
  StoredShop,
} from '../core/wire/index.ts';
import { Trial } from './trial.ts';

const jobOf = (id: string, teeth = 24, name = `Job ${id}`): Job =>
  drawnSpurJob({ id, name, pitch: '1.5', teeth, face: '12', bore: '10' });

/** A run with so many cuts counted, a second apart in its own time. */
async function cut(
  trial: Trial,
  jobId: string,
  runId: string,
  cuts: number,
  more: object = {},
): Promise<StoredRun> {
  const { body } = await trial.ask<StoredRun>('POST', `/jobs/${jobId}/runs`, {
    id: runId,
    partId: 'p1',
    revision: 1,
    ...more,
  });
  const events = body.run.cuts.slice(0, cuts).map(({ round, index }, i) => ({
    id: `${runId}-${i}`,
    runId,
    device: 'bench',
    deviceSeq: i + 1,
    lastSeen: {},
    clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, i * 30)).toISOString(),
    kind: 'done',
    round,
    index,
  }));
  if (events.length > 0)
    expect((await trial.ask('POST', `/runs/${runId}/events`, { events })).status).toBe(200);
  return body;
}

describe('the logbook', () => {
  const trial = new Trial('log');
  beforeAll(async () => {
    await trial.start();
    await trial.ask('PUT', '/jobs/a', { revision: 0, job: jobOf('a') });
    await cut(trial, 'a', 'r1', 13, { piece: { kind: 'proof', name: 'brass offcut' } });
  });
  afterAll(() => trial.close());

  test('a run is written down by itself, with its plan, piece and times', async () => {
    const { body } = await trial.ask<{ runs: LogEntry[] }>('GET', '/log');
    expect(body.runs).toHaveLength(1);
    expect(body.runs[0]!.digest).toMatchObject({
      jobName: 'Job a',
      piece: { kind: 'proof', name: 'brass offcut' },
      done: 13,
      total: 24,
      perCut: 30,
      counted: 360,
      closed: null,
    });
    expect(body.runs[0]!.digest.card.map(({ title }) => title)).toEqual([
      'Gear',
      'Blank',
      'Cutter',
      'Dividing',
      'Set-up',
      'Cut',
    ]);
  });

  test('going on under another plan is a run of its own, linked both ways; the old one is as it was', async () => {
    const before = (await trial.ask<StoredRun>('GET', '/runs/r1')).body;
    const { body } = await trial.ask<StoredRun>('POST', '/jobs/a/runs', {
      id: 'r2',
      partId: 'p1',
      revision: 1,
      continues: 'r1',
    });
    expect(body.run).toMatchObject({ continues: { runId: 'r1', done: 13 } });
    expect(body.run.cuts.map(({ index }) => index)).toEqual([13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24]);
    expect((await trial.ask<LogPage>('GET', '/log/r1')).body.continuedBy).toEqual(['r2']);
    expect((await trial.ask<StoredRun>('GET', '/runs/r1')).body).toEqual(before);
    const other = await trial.ask<Problem>('POST', '/jobs/a/runs', {
      id: 'r3',
      partId: 'p1',
      revision: 1,
      continues: 'r2',
    });
    expect([other.status, other.body.detail]).toEqual([
      422,
      expect.stringMatching(/^Nothing of that run is cut yet/),
    ]);
  });

  test('what was measured stands on the page, the card’s until it is written with the run; a run that is not there is told', async () => {
    const { body } = await trial.ask<StoredJob>('GET', '/jobs/a');
    const measured = withSpurPart(body.job, 'p1', (part) => ({
      ...part,
      inspect: { ...part.inspect, outside: measure('38.95', 'mm') },
    }));
    await trial.ask('PUT', '/jobs/a', { revision: body.revision, job: measured });
    const outside = { name: 'Outside', read: 38.95, should: 39 };
    const before = (await trial.ask<LogPage>('GET', '/log/r1')).body;
    expect(before.onCard).toEqual({ readings: [outside], verdict: '' });
    const event = {
      id: 'r1-m',
      runId: 'r1',
      device: 'bench-2',
      deviceSeq: 1,
      lastSeen: {},
      clientTime: '2026-11-25T10:00:00Z',
      kind: 'measured',
      readings: [outside],
      verdict: '',
    };
    await trial.ask('POST', '/runs/r1/events', { events: [event] });
    const after = (await trial.ask<LogPage>('GET', '/log/r1')).body;
    expect([after.onCard, after.digest.measured]).toEqual([
      null,
      [{ at: '2026-11-25T10:00:00Z', readings: [outside], verdict: '' }],
    ]);
    expect(after.digest).toMatchObject({
      done: before.digest.done,
      screens: 1,
      perCut: before.digest.perCut,
    });
    expect((await trial.ask<Problem>('GET', '/log/none')).status).toBe(404);
  });

  test('a run goes on, and is gone on with, after its head and its mandrel have left the shop', async () => {
    const { body } = await trial.ask<StoredShop>('GET', '/shop');
    const bare = { ...body.equipment, heads: [], mills: [], steppers: [], mandrels: [], materials: [] };
    expect((await trial.ask('PUT', '/shop', { revision: body.revision, equipment: bare })).status).toBe(200);
    const event = {
      id: 'still',
      runId: 'r1',
      device: 'bench',
      deviceSeq: 14,
      lastSeen: {},
      clientTime: '2026-11-25T10:00:00Z',
      kind: 'done',
      round: 1,
      index: 14,
    };
    expect((await trial.ask('POST', '/runs/r1/events', { events: [event] })).status).toBe(200);
    expect((await trial.ask<LogPage>('GET', '/log/r1')).body.digest.done).toBe(14);
    const { revision } = (await trial.ask<StoredJob>('GET', '/jobs/a')).body;
    // the job's own copy of the head serves
    const on = await trial.ask<StoredRun>('POST', '/jobs/a/runs', {
      id: 'r4',
      partId: 'p1',
      revision,
      continues: 'r1',
    });
    expect([on.status, on.body.run.cuts.length]).toEqual([201, 11]);
  });

  test('an event of before the logbook, or of a run re-planned since, is taken or told, never lost', async () => {
    const odd = {
      id: 'odd',
      runId: 'r2',
      device: 'x',
      deviceSeq: 1,
      lastSeen: {},
      clientTime: '1999-01-01T00:00:00Z',
      kind: 'done',
      round: 1,
      index: 3,
    };
    const answer = await trial.ask<Problem>('POST', '/runs/r2/events', { events: [odd] });
    expect([answer.status, answer.body.type]).toEqual([422, 'urn:vuelta:problem:event-names-no-cut']);
    // a clock that stands in another century changes no count
    expect((await trial.ask('POST', '/runs/r2/events', { events: [{ ...odd, index: 13 }] })).status).toBe(
      200,
    );
    expect((await trial.ask<StoredRun>('GET', '/runs/r2')).body.summary.done).toBe(1);
  });
});

describe('the whole workshop as one file', () => {
  const [here, there] = [new Trial('backup-here'), new Trial('backup-there')];
  let file = '';
  const restore = async (trial: Trial, text: string) => {
    const response = await fetch(`${trial.address}/api/restore`, {
      method: 'POST',
      body: text,
      headers: { 'content-type': 'application/json' },
    });
    return { status: response.status, body: (await response.json()) as Restored & Problem };
  };
  const everything = async (trial: Trial) => {
    const {
      at: _at,
      sha256: _hash,
      ...rest
    } = JSON.parse(await (await fetch(`${trial.address}/api/backup`)).text()) as Record<string, unknown>;
    return rest;
  };
  beforeAll(async () => {
    await Promise.all([here.start(), there.start()]);
    await here.ask('PUT', '/shop', { revision: 0, equipment: { ...STOCK_EQUIPMENT, cutters: [] } });
    for (const id of ['a', 'b']) await here.ask('PUT', `/jobs/${id}`, { revision: 0, job: jobOf(id) });
    await cut(here, 'a', 'r1', 20);
    await here.ask('PATCH', '/jobs/b', { revision: 1, archived: true });
    file = await (await fetch(`${here.address}/api/backup`)).text();
  });
  afterAll(async () => {
    await here.close();
    await there.close();
  });

  test('goes into an empty workshop whole, and comes out of it the same', async () => {
    const { status, body } = await restore(there, file);
    expect([status, body]).toMatchObject([200, { jobs: 2, runs: 1, counts: 20, changed: 0 }]);
    expect(await everything(there)).toEqual(await everything(here));
    expect((await there.ask<StoredRun>('GET', '/runs/r1')).body.summary.done).toBe(20);
    expect((await there.ask<{ runs: LogEntry[] }>('GET', '/log')).body.runs[0]!.digest.done).toBe(20);
    // putting it back once more changes nothing
    expect((await restore(there, file)).body).toMatchObject({ changed: 0, counts: 0 });
    expect(await everything(there)).toEqual(await everything(here));
  });

  test('what it replaces is kept, what is only here stays, counts are added and none is taken away', async () => {
    const stored = (await there.ask<StoredJob>('GET', '/jobs/a')).body;
    await there.ask('PUT', '/jobs/a', {
      revision: stored.revision,
      job: { ...stored.job, name: 'Changed since' },
    });
    await there.ask('PUT', '/jobs/c', { revision: 0, job: jobOf('c') });
    const event = {
      id: 'later',
      runId: 'r1',
      device: 'tablet',
      deviceSeq: 1,
      lastSeen: { bench: 20 },
      clientTime: '2026-11-25T12:00:00Z',
      kind: 'done',
      round: 1,
      index: 21,
    };
    await there.ask('POST', '/runs/r1/events', { events: [event] });
    const { body } = await restore(there, file);
    expect(body).toMatchObject({ changed: 1, counts: 0 });
    const after = (await there.ask<StoredJob>('GET', '/jobs/a')).body;
    expect(after.job.name).toBe('Job a');
    expect(after.kept).toHaveLength(1);
    expect((await there.ask<StoredJob>('GET', '/jobs/c')).status).toBe(200);
    expect((await there.ask<StoredRun>('GET', '/runs/r1')).body.summary.done).toBe(21);
    const aside = new Database(path.join(there.folder, body.aside), { readonly: true });
    expect(aside.prepare(`select name from job where id = 'a'`).get()).toMatchObject({
      name: 'Changed since',
    });
    aside.close();
    expect(readdirSync(path.join(there.folder, 'passing'))).toEqual([]);
  });

  test.each([
    ['', /not whole, or no JSON/],
    ['{"format":"vuelta-job"}', /another kind of file/],
    ['{"format":"vuelta-workshop","version":9}', /from a later Vuelta/],
  ])('“%s” is refused in words', async (text, words) => {
    const { status, body } = await restore(there, text || '{');
    expect([status, body.detail]).toEqual([422, expect.stringMatching(words)]);
    expect(body.detail).toMatch(/Nothing was changed\.$/);
  });
  type Broken = {
    sha256?: string;
    at: string;
    jobs: { job: { name: string; parts: unknown }; updatedAt: string }[];
    runs: {
      run: { startSpace: number; jobName: string };
      events: { id: string; kind: string; runId: string; deviceSeq: number; round: number }[];
    }[];
  };
  test.each<[string, (broken: Broken) => void, RegExp]>([
    ['a job that is none', ({ jobs }) => (jobs[0]!.job.parts = 'none'), /the job “Job a” in it is damaged/],
    ['a count of no kind', ({ runs }) => (runs[0]!.events[3]!.kind = 'sawn'), /a run in it is damaged/],
    ['a count of another run', ({ runs }) => (runs[0]!.events[3]!.runId = 'r9'), /a run in it is damaged/],
    [
      'a count twice',
      ({ runs }) => (runs[0]!.events[3] = runs[0]!.events[2]!),
      /a count of “Job a” in it stands there twice/,
    ],
    [
      'two counts of one id',
      ({ runs }) => (runs[0]!.events[3]!.id = runs[0]!.events[2]!.id),
      /a count of “Job a” in it stands there twice/,
    ],
    [
      'a screen’s number twice',
      ({ runs }) => (runs[0]!.events[3]!.deviceSeq = 2),
      /a count of “Job a” in it stands there twice/,
    ],
    [
      'another plan under the id of a run that is here',
      ({ runs }) => (runs[0]!.run.jobName = 'Another'),
      /the run of “Another” in it has the id of another run here/,
    ],
    [
      'another count under the id of one that is here',
      ({ runs }) => (runs[0]!.events[19]!.round = 1) && (runs[0]!.events[19]!.kind = 'pause'),
      /a count of “Job a” in it is another one than here/,
    ],
    ['a word for a date', ({ jobs }) => (jobs[0]!.updatedAt = 'yesterday'), /another kind of file/],
  ])('%s, and nothing of it is taken', async (_, breaks, words) => {
    const before = await everything(there);
    const broken = JSON.parse(file) as Broken;
    delete broken.sha256;
    breaks(broken);
    const { status, body } = await restore(there, JSON.stringify(broken));
    expect([status, body.detail]).toEqual([422, expect.stringMatching(words)]);
    expect(await everything(there)).toEqual(before);
  });
  test('one letter changed, or the end cut off, is found by its hash', async () => {
    const changed = file.replace('Job a', 'Job x');
    expect((await restore(there, changed)).body.detail).toMatch(/it was changed since it was written/);
    expect((await restore(there, file.slice(0, -20))).body.detail).toMatch(/not whole, or no JSON/);
    expect((await restore(there, file)).status).toBe(200);
  });
});
