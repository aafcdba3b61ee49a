import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pino } from 'pino';
import type { LongSearch } from '../core/dividing/index.ts';
import { drawnSpurJob, jobFileText, withSpurPart, type Job, type SpurPart } from '../core/job/index.ts';
import type { Plan } from '../core/plan/index.ts';
import type { RunEvent } from '../core/run/index.ts';
import { NO_EQUIPMENT, STOCK_HEADS, STOCK_ROTARY } from '../core/shop/index.ts';
import { measure } from '../core/units/index.ts';
import type {
  EventsPage,
  JobListing,
  Problem,
  StoredJob,
  StoredRun,
  StoredShop,
} from '../core/wire/index.ts';
import { readConfig, type Config } from './config.ts';
import { startServer, type Running } from './start.ts';

const log = pino({ level: 'silent' });
const folder = mkdtempSync(path.join(os.tmpdir(), 'vuelta-server-'));
const config: Config = {
  host: '127.0.0.1',
  port: 0,
  dataFolder: folder,
  workshop: 'own',
  webFolder: path.join(folder, 'none'),
};
let running: Running;
beforeAll(async () => {
  running = await startServer(config, log);
});
afterAll(async () => {
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
});

interface Answer<T> {
  readonly status: number;
  readonly type: string;
  readonly body: T;
}
async function ask<T>(method: string, address: string, body?: unknown): Promise<Answer<T>> {
  const response = await fetch(`${running.address}/api${address}`, {
    method,
    ...(body === undefined
      ? {}
      : {
          body: typeof body === 'string' ? body : JSON.stringify(body),
          headers: { 'content-type': 'application/json' },
        }),
  });
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    body: (await response.json()) as T,
  };
}

const jobNamed = (id: string, teeth = 58): Job =>
  drawnSpurJob({ id, name: `Job ${id}`, pitch: '1.25', teeth, face: '12', bore: '10' });
const make = async (id: string, teeth?: number) =>
  (await ask<StoredJob>('PUT', `/jobs/${id}`, { revision: 0, job: jobNamed(id, teeth) })).body;
const bore = (job: Job, typed: string): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, blank: { ...part.blank, bore: measure(typed, 'mm') } }));

describe('settings', () => {
  test('PORT, HOST and VUELTA_DATA, and their defaults', () => {
    expect(readConfig({}, [], '/shop')).toMatchObject({
      host: '127.0.0.1',
      port: 4810,
      dataFolder: '/shop/data',
      workshop: 'own',
    });
    expect(
      readConfig({ PORT: '0', HOST: '0.0.0.0', VUELTA_DATA: '/elsewhere' }, ['--demo'], '/shop'),
    ).toMatchObject({ host: '0.0.0.0', port: 0, dataFolder: '/elsewhere', workshop: 'demo' });
    expect(() => readConfig({ PORT: 'eighty' }, [], '/shop')).toThrow(
      'PORT must be a whole number from 0 to 65535; “eighty” is not.',
    );
  });
  test('a taken port is said plainly', async () => {
    const port = Number(new URL(running.address).port);
    const other = mkdtempSync(path.join(os.tmpdir(), 'vuelta-port-'));
    await expect(startServer({ ...config, port, dataFolder: other }, log)).rejects.toThrow(
      `Port ${port} is taken by another program. Set PORT to a free one.`,
    );
    rmSync(other, { recursive: true, force: true });
  });
});

describe('jobs', () => {
  test('made, read, listed, renamed, put away, duplicated', async () => {
    const made = await make('a1');
    expect(made).toMatchObject({ revision: 1, archived: false, job: { name: 'Job a1' } });
    const renamed = await ask<StoredJob>('PATCH', '/jobs/a1', { revision: 1, name: 'Second wheel' });
    expect(renamed.body).toMatchObject({ revision: 2, job: { name: 'Second wheel' } });
    const copy = await ask<StoredJob>('POST', '/jobs/a1/duplicate', { id: 'a2', name: 'Third wheel' });
    const again = await ask<StoredJob>('POST', '/jobs/a1/duplicate', { id: 'a2', name: 'Third wheel' });
    expect([copy.status, copy.body.job.name, again.body.revision]).toEqual([201, 'Third wheel', 1]);
    await ask('PATCH', '/jobs/a2', { revision: 1, archived: true });
    const listed = (archived: boolean) =>
      ask<{ jobs: JobListing[] }>('GET', `/jobs?archived=${archived}`).then(({ body }) =>
        body.jobs.map(({ id }) => id),
      );
    expect(await listed(false)).toContain('a1');
    expect(await listed(false)).not.toContain('a2');
    expect(await listed(true)).toEqual(['a2']);
  });

  test('a save from a stale revision is refused, and both versions are kept', async () => {
    const { job } = await make('b1');
    await ask('PUT', '/jobs/b1', { revision: 1, job: bore(job, '11') });
    const late = await ask<Problem>('PUT', '/jobs/b1', { revision: 1, job: bore(job, '9') });
    expect([late.status, late.type]).toEqual([409, 'application/problem+json; charset=utf-8']);
    expect(late.body.detail).toMatch(/changed somewhere else.*Both are kept/);
    const { body } = await ask<StoredJob>('GET', '/jobs/b1');
    expect((body.job.parts[0] as SpurPart).blank.bore.typed).toBe('11');
    expect(body.kept.map(({ id }) => id)).toEqual([late.body.kept]);
    const restored = await ask<StoredJob>('POST', `/kept/${late.body.kept}/restore`);
    expect(restored.body.job).toMatchObject({
      name: 'Job b1 (other version)',
      parts: [{ blank: { bore: { typed: '9' } } }],
    });
    expect((await ask<StoredJob>('GET', '/jobs/b1')).body.kept).toEqual([]);
  });

  test('wrong figures are refused at their field and nothing stored changes', async () => {
    const { job } = await make('c1');
    const refused = await ask<Problem>('PUT', '/jobs/c1', { revision: 1, job: bore(job, '70') });
    expect(refused.status).toBe(422);
    expect(refused.body.issues).toEqual([
      expect.objectContaining({
        code: 'bore-over-root',
        path: 'parts.p1.blank.bore',
        given: '70',
        message: expect.stringMatching(/larger than the root/),
      }),
    ]);
    expect((await ask<StoredJob>('GET', '/jobs/c1')).body).toMatchObject({
      revision: 1,
      job: { parts: [{ blank: { bore: { typed: '10' } } }] },
    });
  });

  test('export and import: the same job; beside the other when it is already here', async () => {
    await make('d1');
    const exported = await fetch(`${running.address}/api/jobs/d1/export`);
    expect(exported.headers.get('content-disposition')).toBe('attachment; filename=job-d1.vuelta.json');
    const text = await exported.text();
    const beside = await ask<StoredJob>('POST', '/jobs/import', text);
    expect(beside.status).toBe(201);
    expect(beside.body.job.id).not.toBe('d1');
    expect({ ...beside.body.job, id: 'd1' }).toEqual(jobNamed('d1'));
    const elsewhere = await ask<StoredJob>('POST', '/jobs/import', text.replace('"id": "d1"', '"id": "d2"'));
    expect(elsewhere.body.job.id).toBe('d2');
  });

  test.each([
    ['teeth: 58', 422, 'not-json'],
    ['', 422, 'not-json'],
    [jobFileText(jobNamed('e1')).slice(0, 700), 422, 'cut-short'],
    [jobFileText(jobNamed('e1')).replace(/"version": \d+/, '"version": 99'), 422, 'later-version'],
    ['{"format":"something-else"}', 422, 'not-a-job'],
    [jobFileText(bore(jobNamed('e1'), '70')), 422, 'bore-over-root'],
    [`"${'x'.repeat(2_200_000)}"`, 413, 'too-large'],
  ])('a file that cannot be imported changes nothing (%#)', async (text, status, code) => {
    const before = await ask<{ jobs: JobListing[] }>('GET', '/jobs');
    const refused = await ask<Problem>('POST', '/jobs/import', text);
    expect([refused.status, refused.body.issues[0]?.code]).toEqual([status, code]);
    expect((await ask<{ jobs: JobListing[] }>('GET', '/jobs')).body).toEqual(before.body);
  });
});

describe('plans without storing', () => {
  test('a job with the stock sets, and with equipment given', async () => {
    const stock = await ask<Plan>('POST', '/plan', { job: jobNamed('f1') });
    expect(stock.body.parts[0]!.stations.map(({ answer }) => answer)).toContain('20 spaces on 29');
    const bare = {
      gearSets: [],
      heads: [{ ...STOCK_HEADS[0]!, plates: [], rings: [], mounted: null, differential: null }],
    };
    const none = await ask<Plan>('POST', '/plan', {
      job: { ...jobNamed('f1'), equipment: NO_EQUIPMENT },
      equipment: bare,
    });
    expect(none.body.parts[0]!.stations.find(({ id }) => id === 'dividing')).toMatchObject({
      answer: 'no plates on this head',
      issues: expect.arrayContaining([
        expect.objectContaining({ code: 'no-plates' }),
      ]) as unknown as unknown[],
    });
  });
  test('every way of a count, over the wire: ranked, proved, and why others are out', async () => {
    const { body } = await ask<LongSearch>('POST', '/ways', { job: jobNamed('w1', 53) });
    expect(body.methods.map(({ method, out }) => [method, out === null])).toEqual([
      ['differential', true],
      ['approximate', true],
      ['compound', false],
      ['direct', false],
      ['handwheel', false],
      ['simple', false],
      ['stepper', false],
    ]);
    expect(body.methods[0]!.ways[0]!.proof).toMatchObject({ moves: 53, everySpaceTrue: true, closes: true });
    expect((await ask<Problem>('POST', '/ways', { job: jobNamed('w1'), partId: 'p9' })).status).toBe(404);
  });
  test('problems name the field, what was given and the sentence; broken JSON is 400', async () => {
    const job = JSON.parse(JSON.stringify(jobNamed('f2'))) as { parts: { gear: { teeth: unknown } }[] };
    job.parts[0]!.gear.teeth = 58;
    const wrong = await ask<Problem>('POST', '/plan', { job });
    expect(wrong.status).toBe(422);
    expect(wrong.body.issues[0]).toMatchObject({ path: 'job.parts.p1.gear.teeth', given: '58' });
    const broken = await ask<Problem>('POST', '/plan', '{"job":');
    expect([broken.status, broken.body.status]).toEqual([400, 400]);
    const circle = await ask<Problem>('POST', '/plan', {
      job: jobNamed('f2'),
      equipment: {
        gearSets: [],
        heads: [
          { ...STOCK_HEADS[0]!, plates: [{ id: 'x', name: 'X', sides: [{ circles: [0, 2.5, 100000] }] }] },
        ],
      },
    });
    expect(circle.body.issues.map(({ path: at }) => at)).toEqual(
      [0, 1, 2].map((i) => `equipment.heads.0.plates.0.sides.0.circles.${i}`),
    );
  });
});

describe('the shop', () => {
  test('starts with the stock sets; a stale save is refused', async () => {
    const { body } = await ask<StoredShop>('GET', '/shop');
    expect(body.equipment.heads.map(({ id }) => id)).toEqual(STOCK_HEADS.map(({ id }) => id));
    expect((await ask('PUT', '/shop', body)).status).toBe(200);
    expect((await ask('PUT', '/shop', body)).status).toBe(409);
  });
});

describe('equipment of the shop', () => {
  test('what cannot be is refused at its place, and the last good shop stays', async () => {
    const { body } = await ask<StoredShop>('GET', '/shop');
    const [first] = body.equipment.heads;
    const twice = { ...body.equipment, heads: [first, first] };
    const refused = await ask<Problem>('PUT', '/shop', { revision: body.revision, equipment: twice });
    expect([refused.status, refused.body.detail]).toEqual([
      422,
      expect.stringContaining('Two entries are called Head with three plates'),
    ]);
    expect((await ask<StoredShop>('GET', '/shop')).body).toEqual(body);
  });
  test('a job goes on with its own copy when its head leaves the shop, and says so', async () => {
    const { body } = await ask<StoredShop>('GET', '/shop');
    const stored = (await make('shop-1')).job;
    const without = { ...body.equipment, heads: body.equipment.heads.slice(1) };
    await ask('PUT', '/shop', { revision: body.revision, equipment: without });
    const planned = await ask<Plan>('POST', '/plan', { job: stored, equipment: without });
    expect(planned.body.findings.map(({ code }) => code)).toEqual(['head-left-shop']);
    expect(planned.body.parts[0]!.stations.map(({ answer }) => answer)).toContain('20 spaces on 29');
    await ask('PUT', '/shop', { revision: body.revision + 1, equipment: body.equipment });
  });
  test('how a head stands is kept, and changes no job', async () => {
    const { body } = await ask<StoredShop>('GET', '/shop');
    const heads = body.equipment.heads.map((head) => ({
      ...head,
      mounted: null,
      standing: { ...head.standing, worm: 'out' as const },
    }));
    const equipment = { ...body.equipment, heads: [...heads, STOCK_ROTARY] };
    await ask('PUT', '/shop', { revision: body.revision, equipment });
    expect((await ask<StoredShop>('GET', '/shop')).body.equipment.heads.at(-1)).toEqual(STOCK_ROTARY);
    const planned = await ask<Plan>('POST', '/plan', { job: jobNamed('shop-2'), equipment });
    expect(planned.body.findings).toEqual([]);
  });
});

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
    await make(jobId, 20);
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

  test('a job that is not ready does not start', async () => {
    await make('k1', 53);
    const refused = await ask<Problem>('POST', '/jobs/k1/runs', { id: 'run-k1', partId: 'p1', revision: 1 });
    expect([refused.status, refused.body.detail]).toEqual([422, 'Not ready to cut: look at Dividing first.']);
  });

  test('everything survives closing and opening the store', async () => {
    await start('l1', 'run-l1');
    await ask('POST', '/runs/run-l1/events', { events: [done('run-l1', 1)] });
    await running.stop();
    running = await startServer(config, log);
    expect((await ask<StoredRun>('GET', '/runs/run-l1')).body.summary.done).toBe(1);
  });
});

describe('manners', () => {
  test('an unknown address, security headers, the API’s own description', async () => {
    expect((await ask<Problem>('GET', '/nowhere')).status).toBe(404);
    expect((await ask<Problem>('GET', '/jobs/nobody')).body.detail).toBe(
      'There is no job with the id nobody.',
    );
    const response = await fetch(`${running.address}/api/health`);
    expect(response.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(response.headers.get('x-powered-by')).toBeNull();
    const { body } = await ask<{
      openapi: string;
      paths: Record<
        string,
        Record<
          string,
          {
            requestBody?: {
              content: Record<
                string,
                { schema: { properties: { job: { properties: Record<string, unknown> } } } }
              >;
            };
          }
        >
      >;
    }>('GET', '/openapi.json');
    expect(body.openapi).toBe('3.1.0');
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(['/api/plan', '/api/jobs/{id}', '/api/runs/{id}/events', '/api/shop']),
    );
    const planBody = body.paths['/api/plan']!['post']!.requestBody!.content['application/json']!.schema;
    expect(Object.keys(planBody.properties.job.properties)).toEqual(
      expect.arrayContaining(['parts', 'relations', 'equipment']),
    );
  });
  test('the page is asked for before it is built: said, not a fault', async () => {
    const response = await fetch(`${running.address}/jobs/x`);
    expect([response.status, await response.text()]).toEqual([
      503,
      'The page is not built yet: run npm run build.',
    ]);
    expect((await fetch(`${running.address}/assets/none.js`)).status).toBe(404);
  });
});
