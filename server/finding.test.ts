import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { withSpurPart, type Job } from '../core/job/index.ts';
import { STOCK_EQUIPMENT } from '../core/shop/index.ts';
import type { JobsPage, Problem, StoredJob } from '../core/wire/index.ts';
import { openStore } from './store.ts';
import { storeFile } from './config.ts';
import { JobRow } from './entities/index.ts';
import { jobNamed, Trial } from './trial.ts';

const BRONZE = STOCK_EQUIPMENT.materials.find(({ name }) => name === 'Bronze')!;
const trial = new Trial('finding');
beforeAll(() => trial.start());
afterAll(() => trial.close());

const marked = (id: string, name: string, marks: Partial<Pick<Job, 'person' | 'tags'>> = {}): Job => ({
  ...jobNamed(id),
  name,
  ...marks,
});
const inMaterial = (job: Job, materialId: string): Job =>
  withSpurPart(job, 'p1', (part) => ({ ...part, setup: { ...part.setup, materialId } }));
const look = async (query: Record<string, string>): Promise<JobsPage> =>
  (await trial.ask<JobsPage>('GET', `/jobs?${new URLSearchParams(query)}`)).body;
const ids = async (query: Record<string, string>): Promise<string[]> =>
  (await look(query)).jobs.map(({ id }) => id);

beforeAll(async () => {
  await trial.keep(
    marked('f1', 'Lens drive, second wheel', { person: 'Inés', tags: ['clockwork', 'brass'] }),
  );
  await trial.keep(inMaterial(marked('f2', 'Fog signal', { tags: ['clockwork'] }), BRONZE.id));
  await trial.keep(marked('f3', 'O’Neill’s 100 % "odd" _wheel_ \\ year', { person: 'O’Neill' }));
  await trial.keep(marked('f4', 'abacus frame'));
});

describe('jobs are found', () => {
  test('by words that all occur somewhere, whatever their capitals and accents', async () => {
    expect(await ids({ words: 'LENS wheel' })).toEqual(['f1']);
    expect(await ids({ words: 'ines' })).toEqual(['f1']);
    expect(await ids({ words: 'INÉS brass' })).toEqual(['f1']);
    expect(await ids({ words: '58 teeth fog' })).toEqual(['f2']);
    expect(await ids({ words: 'nothing of the kind' })).toEqual([]);
  });
  test('by a quote, a per cent, an underscore, a stroke: signs like any other', async () => {
    for (const sign of ['’', '%', '_', '\\', '"odd"']) expect(await ids({ words: sign })).toEqual(['f3']);
    expect(await ids({ words: "'" })).toEqual([]);
    expect(await ids({ words: "'; drop table job; --" })).toEqual([]);
    expect(await ids({})).toHaveLength(4);
  });
  test('by kind, material, person and tag; a tag is a whole one', async () => {
    expect(await ids({ tag: 'clockwork', order: 'made' })).toEqual(['f2', 'f1']);
    expect(await ids({ tag: 'clock' })).toEqual([]);
    expect(await ids({ person: 'O’Neill' })).toEqual(['f3']);
    expect(await ids({ material: BRONZE.id })).toEqual(['f2']);
    expect(await ids({ kind: 'worm' })).toEqual([]);
    expect(await ids({ kind: 'spur', words: 'lens', tag: 'brass' })).toEqual(['f1']);
    const refused = await trial.ask<Problem>('GET', '/jobs?kind=ratchet');
    expect(refused.status).toBe(422);
  });
  test('the first page tells what can be asked for, a later one does not', async () => {
    const page = await look({ limit: '2' });
    expect(page.marks).toMatchObject({
      persons: ['Inés', 'O’Neill'],
      tags: ['brass', 'clockwork'],
      materials: [{ id: BRONZE.id, name: 'Bronze' }],
    });
    expect((await look({ limit: '2', after: page.next! })).marks).toBeNull();
  });
  test('page after page, each job once, in every order, also when one comes in between', async () => {
    const names: Record<string, string[]> = {};
    for (const order of ['changed', 'made', 'name']) {
      const seen: string[] = [];
      let after: string | null = null;
      do {
        const page: JobsPage = await look({ order, limit: '1', ...(after ? { after } : {}) });
        expect(page.total).toBeGreaterThanOrEqual(4);
        seen.push(...page.jobs.map(({ id }) => id));
        if (order === 'made' && seen.length === 2 && !seen.includes('f5'))
          await trial.keep(marked('f5', 'Late'));
        after = page.next;
      } while (after !== null);
      names[order] = seen;
    }
    expect(names['changed']).toEqual(['f4', 'f3', 'f2', 'f1']);
    expect(names['made']).toEqual(['f4', 'f3', 'f2', 'f1']);
    expect(names['name']).toEqual(['f4', 'f2', 'f5', 'f1', 'f3']);
  });
  test('a page that cannot be asked for begins at the start', async () => {
    expect(await ids({ after: 'no cursor of ours', limit: '1', order: 'name' })).toEqual(['f4']);
  });
});

describe('what they are found by', () => {
  test('is changed from the bench without opening them, and is found at once', async () => {
    const { body } = await trial.ask<StoredJob>('PATCH', '/jobs/f4', {
      revision: 1,
      tags: ['for the stair'],
      person: 'Marta',
    });
    expect(body).toMatchObject({ revision: 2, job: { person: 'Marta', tags: ['for the stair'] } });
    expect(await ids({ words: 'marta stair' })).toEqual(['f4']);
    const many = Array.from({ length: 5000 }, (_, i) => `tag ${i}`);
    const refused = await trial.ask<Problem>('PATCH', '/jobs/f4', { revision: 2, tags: many });
    expect(refused.status).toBe(422);
    expect(refused.body.issues[0]!.message).toMatch(/at most 20 tags/);
    expect(await ids({ tag: 'for the stair' })).toEqual(['f4']);
  });
  test('how a job stands follows its newest run', async () => {
    expect(await ids({ standing: 'not-cut' })).toContain('f1');
    await trial.ask('POST', '/jobs/f1/runs', { id: 'run-f1', partId: 'p1', revision: 1 });
    expect(await ids({ standing: 'ready' })).toEqual(['f1']);
    expect((await look({})).interrupted).toBeNull();
    const event = (n: number, more: object) => ({
      id: `e${n}`,
      runId: 'run-f1',
      device: 'd',
      deviceSeq: n,
      lastSeen: {},
      clientTime: `2026-11-30T09:00:0${n}Z`,
      ...more,
    });
    await trial.ask('POST', '/runs/run-f1/events', {
      events: [event(1, { kind: 'done', round: 1, index: 1 })],
    });
    expect(await ids({ standing: 'cutting' })).toEqual(['f1']);
    expect((await look({ words: 'fog' })).interrupted).toMatchObject({ id: 'f1', run: { id: 'run-f1' } });
    await trial.ask('POST', '/runs/run-f1/events', {
      events: [event(2, { kind: 'ended', how: 'scrapped', reason: 'slipped' })],
    });
    expect(await ids({ standing: 'ended' })).toEqual(['f1']);
    expect((await look({})).interrupted).toBeNull();
    // a second piece begins, and says how the job stands
    await trial.ask('POST', '/jobs/f1/runs', { id: 'run-f1b', partId: 'p1', revision: 1 });
    expect(await ids({ standing: 'ready' })).toEqual(['f1']);
  });
  test('the last job of a kind is told, and none where there is none', async () => {
    await trial.ask('PATCH', '/jobs/f2', { revision: 1, name: 'Fog signal, again' });
    const last = await trial.ask<{ job: Job | null }>('GET', '/last-job?kind=spur');
    expect(last.body.job?.name).toBe('Fog signal, again');
    expect((await trial.ask<{ job: Job | null }>('GET', '/last-job?kind=worm')).body.job).toBeNull();
    expect((await trial.ask('GET', '/last-job?kind=ratchet')).status).toBe(422);
  });
});

test('jobs that rest from before are listed when the server starts, those that cannot be read by name', async () => {
  await trial.stop();
  const store = await openStore(storeFile(trial.config));
  const em = store.em.fork();
  await em.nativeUpdate(
    JobRow,
    {},
    { listed: 0, words: '', tags: '', kinds: '', standing: 'not-cut', runId: '' },
  );
  await em.nativeUpdate(JobRow, { id: 'f3' }, { document: '{"damaged"' });
  await store.close(true);
  await trial.start();
  expect(await ids({ tag: 'clockwork', order: 'name' })).toEqual(['f2', 'f1']);
  expect(await ids({ standing: 'ready' })).toEqual(['f1']);
  expect(await ids({ words: 'o’neill’s' })).toEqual(['f3']);
});

test('a backup brings jobs with what they are found by', async () => {
  const backup = await (await fetch(`${trial.address}/api/backup`)).text();
  const other = new Trial('finding-restored');
  await other.start();
  try {
    await other.ask('POST', '/restore', backup);
    const found = await other.ask<JobsPage>('GET', '/jobs?tag=clockwork&standing=ready');
    expect(found.body.jobs.map(({ id }) => id)).toEqual(['f1']);
  } finally {
    await other.close();
  }
});
