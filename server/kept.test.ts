import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { copyFileSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { withSpurPart, type Job } from '../core/job/index.ts';
import { RUN_VERSION, type RunEvent } from '../core/run/index.ts';
import { measure } from '../core/units/index.ts';
import type { JobListing, LogEntry, Problem, Restored, StoredJob, StoredShop } from '../core/wire/index.ts';
import { storeFile } from './config.ts';
import { RunEventRow, RunRow } from './entities/index.ts';
import { scratchFolder } from './scratch.ts';
import { openStore } from './store.ts';
import { jobNamed, Trial } from './trial.ts';

const trial = new Trial('kept');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

const listed = async (id: string) =>
  (await ask<{ jobs: JobListing[] }>('GET', '/jobs')).body.jobs.find((job) => job.id === id);

describe('a page of another site changes nothing, on this machine as on a network', () => {
  const backup = async () => JSON.stringify((await ask('GET', '/backup')).body);
  const send = (method: string, address: string, headers: Record<string, string>, body: string) =>
    fetch(`${trial.address}/api${address}`, { method, headers, body });
  const UNSAFE = [
    ['POST', '/restore'],
    ['POST', '/jobs/import'],
    ['POST', '/kept/x/restore'],
    ['PUT', '/shop'],
    ['PUT', '/jobs/o1'],
    ['PATCH', '/jobs/o1'],
    ['POST', '/jobs/o1/duplicate'],
    ['POST', '/jobs/o1/runs'],
    ['POST', '/runs/r/events'],
  ] as const;

  test.each(UNSAFE)('%s %s', async (method, address) => {
    if (!(await listed('o1'))) await trial.keep(jobNamed('o1'));
    const before = JSON.parse(await backup()) as { jobs: unknown; shop: unknown };
    const json = { 'content-type': 'application/json' };
    const refused = [
      [403, { ...json, 'sec-fetch-site': 'cross-site' }],
      [403, { ...json, 'sec-fetch-site': 'same-site' }],
      [403, { ...json, origin: 'http://elsewhere.example' }],
      [403, { ...json, origin: 'null' }],
      [403, { ...json, origin: trial.address.replace(/\d+$/, '1') }],
      [415, { 'content-type': 'text/plain' }],
      [415, { 'content-type': 'application/x-www-form-urlencoded' }],
    ] as const;
    for (const [status, headers] of refused) {
      const answer = await send(method, address, headers, '{}');
      expect([headers, answer.status]).toEqual([headers, status]);
    }
    const after = JSON.parse(await backup()) as typeof before;
    expect([after.jobs, after.shop]).toEqual([before.jobs, before.shop]);
  });

  test('this site’s own pages, and tools that say nothing of where they come from, go through', async () => {
    const body = JSON.stringify({ id: 'o2', name: 'Copy' });
    const json = { 'content-type': 'application/json; charset=utf-8' };
    const own = { ...json, 'sec-fetch-site': 'same-origin', origin: trial.address };
    expect((await send('POST', '/jobs/o1/duplicate', own, body)).status).toBe(201);
    expect((await send('POST', '/jobs/o1/duplicate', json, body)).status).toBe(201);
    const refused = await ask<Problem>('POST', '/jobs/o1/duplicate', 'not json');
    expect([refused.status, refused.body.detail]).toEqual([
      400,
      expect.stringMatching(/^What was sent cannot be read as JSON/),
    ]);
  });
});

describe('errors by their right names', () => {
  test('a bad address, a body over its limit, a quotation mark that never closes', async () => {
    const bad = await ask<Problem>('GET', '/jobs/%zz');
    expect([bad.status, bad.body.detail]).toEqual([
      400,
      expect.stringMatching(/^This address cannot be read/),
    ]);
    const large = await ask<Problem>(
      'PUT',
      '/shop',
      JSON.stringify({ revision: 0, x: 'a'.repeat(3_000_000) }),
    );
    expect([large.status, large.body.detail]).toEqual([413, 'What was sent is larger than 2 MB.']);
    const text = JSON.stringify(jobNamed('q1'), null, 2);
    const open = await ask<Problem>('POST', '/jobs/import', text.replace('"Job q1"', '"Job q1'));
    expect(open.body.detail).toMatch(/a quotation mark is opened and never closed/);
    const cut = await ask<Problem>('POST', '/jobs/import', text.slice(0, 500));
    expect(cut.body.detail).toMatch(/cut short/);
  });
});

describe('an answer that is lost on its way', () => {
  test('the same save again is a success, and not somebody else’s edit', async () => {
    const { job } = await trial.keep(jobNamed('l1'));
    const changed = { ...job, name: 'Changed' };
    const first = await ask<StoredJob>('PUT', '/jobs/l1', { revision: 1, job: changed });
    const again = await ask<StoredJob>('PUT', '/jobs/l1', { revision: 1, job: changed });
    expect([first.status, again.status, again.body.revision, again.body.kept]).toEqual([200, 200, 2, []]);
    const other = await ask<Problem>('PUT', '/jobs/l1', { revision: 1, job: { ...job, name: 'Other' } });
    expect(other.status).toBe(409);
    const rename = { revision: 2, name: 'Renamed' };
    expect((await ask<StoredJob>('PATCH', '/jobs/l1', rename)).status).toBe(200);
    expect((await ask<StoredJob>('PATCH', '/jobs/l1', rename)).body.revision).toBe(3);
  });
  test('so is the shop’s', async () => {
    const { body } = await ask<StoredShop>('GET', '/shop');
    const equipment = { ...body.equipment, tools: ['caliper'] };
    const save = () => ask<StoredShop>('PUT', '/shop', { revision: body.revision, equipment });
    const [first, again] = [await save(), await save()];
    expect([first.status, again.status, again.body.revision]).toEqual([200, 200, first.body.revision]);
    const other = { revision: body.revision, equipment: { ...equipment, tools: ['pins'] } };
    expect((await ask('PUT', '/shop', other)).status).toBe(409);
  });
});

describe('what cannot be read takes nothing else down', () => {
  test('a run of a later version, a job with one bad byte, an event that is none: named, and kept raw in the backup', async () => {
    for (const id of ['u1', 'u2', 'u3']) await trial.keep(jobNamed(id, 20));
    for (const id of ['u1', 'u3'])
      await ask('POST', `/jobs/${id}/runs`, { id: `run-${id}`, partId: 'p1', revision: 1 });
    const event = {
      id: 'e1',
      runId: 'run-u3',
      device: 'a',
      deviceSeq: 1,
      lastSeen: {},
      clientTime: '2026-11-12T09:00:00Z',
      kind: 'done',
      round: 1,
      index: 1,
    };
    await ask('POST', '/runs/run-u3/events', {
      events: [event, { ...event, id: 'e2', deviceSeq: 2, index: 2 }],
    });
    await trial.stop();
    const store = await openStore(storeFile(trial.config));
    const em = store.em.fork();
    const run = await em.findOneOrFail(RunRow, { id: 'run-u1' });
    run.document = run.document.replace(`"version":${RUN_VERSION}`, '"version":70');
    run.digest = '';
    run.listed = 0;
    const [first] = await em.find(RunEventRow, { runId: 'run-u3' }, { orderBy: { arrival: 'asc' } });
    first!.document = first!.document.slice(0, 40);
    await em.flush();
    await em.getConnection().execute(`update job set document = substr(document, 1, 300) where id = 'u2'`);
    await store.close(true);
    await trial.start();

    expect(await listed('u1')).toMatchObject({
      run: null,
      trouble: expect.stringMatching(
        /^Its newest run is stored and cannot be read here \(it is of a later version\)/,
      ),
    });
    expect(await listed('u3')).toMatchObject({ trouble: null, run: { summary: { done: 2 } } });
    expect(await listed('u2')).toMatchObject({ name: 'Job u2' });
    const gone = await ask<Problem>('GET', '/jobs/u2');
    expect([gone.status, gone.body.detail]).toEqual([
      422,
      expect.stringMatching(/^The job “Job u2” is stored and cannot be read here/),
    ]);
    const log = (await ask<{ runs: LogEntry[]; unread: { runId: string }[] }>('GET', '/log')).body;
    expect(log.unread.map(({ runId }) => runId)).toEqual(['run-u1']);
    expect(log.runs.map(({ runId }) => runId)).toContain('run-u3');
    const events = (await ask<{ events: RunEvent[] }>('GET', '/runs/run-u3/events')).body.events;
    expect(events.map(({ id }) => id)).toEqual(['e2']);

    const text = await (await fetch(`${trial.address}/api/backup`)).text();
    const backup = JSON.parse(text) as {
      jobs: { id?: string; raw?: string }[];
      runs: { id?: string; raw?: string; eventsRaw: string[] }[];
    };
    expect(backup.jobs.find(({ id }) => id === 'u2')!.raw).toHaveLength(300);
    expect(backup.runs.find(({ id }) => id === 'run-u1')!.raw).toContain('"version":70');
    expect(backup.runs.flatMap(({ eventsRaw }) => eventsRaw)).toHaveLength(1);
    // into an empty workshop: all that can be read, and the rest as it rested
    const other = new Trial('kept-other');
    await other.start();
    expect((await other.ask<Restored>('POST', '/restore', text)).status).toBe(200);
    const there = (await other.ask<{ jobs: JobListing[] }>('GET', '/jobs')).body.jobs;
    expect(there.map(({ id }) => id)).toEqual(expect.arrayContaining(['u1', 'u2', 'u3']));
    expect(there.find(({ id }) => id === 'u1')!.trouble).toMatch(/later version/);
    await other.close();
  });
});

test('after a clean stop the store’s one file holds everything, and after a start too', async () => {
  await trial.keep(jobNamed('c1'));
  await trial.stop();
  const file = storeFile(trial.config);
  const wal = `${file}-wal`;
  expect(existsSync(wal) ? statSync(wal).size : 0).toBe(0);
  const folder = mkdtempSync(path.join(scratchFolder(), 'vuelta-copy-'));
  const copy = path.join(folder, 'workshop.sqlite');
  copyFileSync(file, copy);
  const store = await openStore(copy);
  const [{ n }] = (await store.em
    .getConnection()
    .execute(`select count(*) as n from job where id = 'c1'`)) as [{ n: number }];
  expect(n).toBe(1);
  await store.close(true);
  rmSync(folder, { recursive: true, force: true });
  await trial.start();
  expect(existsSync(wal) ? readFileSync(wal).length : 0).toBe(0);
});

test('a key held down in any field is answered with a sentence, never with a fault (seed 2026)', async () => {
  const { job } = await trial.keep(jobNamed('k1'));
  const paths: (readonly string[])[] = [];
  const walk = (at: unknown, way: readonly string[]): void => {
    if (typeof at !== 'object' || at === null) return;
    if ('typed' in at && 'unit' in at) paths.push(way);
    else for (const [key, below] of Object.entries(at)) walk(below, [...way, key]);
  };
  walk(job.parts[0], []);
  expect(paths.length).toBeGreaterThan(60);
  const put = (way: readonly string[], typed: string): Job =>
    withSpurPart(job, 'p1', (part) => {
      const copy = structuredClone(part) as unknown as Record<string, unknown>;
      let here = copy;
      for (const key of way) here = here[key] as Record<string, unknown>;
      here['typed'] = typed;
      return {
        ...(copy as unknown as typeof part),
        ...(way[0] === 'gear' ? {} : { gear: { ...part.gear, helix: measure('12', 'deg') } }),
      };
    });
  const typed = fc.oneof(
    fc.integer({ min: 1, max: 60 }).map((n) => '9'.repeat(n)),
    fc.integer({ min: 1, max: 57 }).map((n) => `1/${'9'.repeat(n)}`),
    fc.integer({ min: 1, max: 57 }).map((n) => `0.${'0'.repeat(n)}1`),
  );
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...paths), typed, async (way, text) => {
      const answers = [
        await ask<Problem>('POST', '/plan', { job: put(way, text) }),
        await ask<Problem>('POST', '/ways', { job: put(way, text) }),
        await ask<Problem>('POST', '/leads', { job: put(way, text) }),
      ];
      for (const { status, body } of answers)
        if (status >= 500) throw new Error(`${way.join('.')} ${text}: ${body.detail}`);
    }),
    { seed: 2026, numRuns: 150 },
  );
}, 120_000);
