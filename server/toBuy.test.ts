import { afterAll, beforeAll, expect, test } from '@jest/globals';
import Database from 'libsql';
import path from 'node:path';
import type { Shopping } from '../core/cutter/index.ts';
import type { RunListing, StoredRun, StoredShop } from '../core/wire/index.ts';
import { jobNamed, Trial } from './trial.ts';

const trial = new Trial('to-buy');
beforeAll(async () => {
  await trial.start();
  await trial.keep(jobNamed('a', 18));
  await trial.keep(jobNamed('b', 20));
  const { revision } = await trial.keep(jobNamed('away', 60));
  await trial.ask('PATCH', '/jobs/away', { revision, archived: true });
});
afterAll(() => trial.close());

const toBuy = async (query = ''): Promise<Shopping> =>
  (await trial.ask<Shopping>('GET', `/to-buy${query}`)).body;

test('what the bench wants of cutters is asked once: one serves 18 and 20 teeth, what is put away wants none', async () => {
  const { body: shop } = await trial.ask<StoredShop>('GET', '/shop');
  const equipment = { ...shop.equipment, cutters: [] };
  await trial.ask('PUT', '/shop', { revision: shop.revision, equipment });
  const { buy, served, toGrind } = await toBuy();
  // 17 to 20 teeth: No. 6 of the inch set (Machinery’s Handbook), No. 3 of the metric one (common practice)
  expect(buy.map(({ inch, metric, serves }) => [inch, metric, serves.map(({ teeth }) => teeth)])).toEqual([
    ['6', '3', [18, 20]],
  ]);
  expect([served, toGrind]).toEqual([[], []]);
  expect((await trial.ask('GET', '/to-buy?tolerance=-1')).status).toBe(422);
  expect((await trial.ask('GET', '/to-buy?tolerance=x')).status).toBe(422);
});

test('the runs of a job are listed without their cuts, by what rests beside them', async () => {
  const start = { id: 'r', partId: 'p1', revision: 1, piece: { kind: 'proof', name: 'brass' } };
  const { run, summary } = (await trial.ask<StoredRun>('POST', '/jobs/a/runs', start)).body;
  const list = async () =>
    (await trial.ask<{ runs: readonly RunListing[] }>('GET', '/jobs/a/runs')).body.runs;
  const { id, jobId, partId, jobRevision, piece, divisions, deepens } = run;
  const rounds = run.rounds.map(({ name, depthMm }) => ({ name, depthMm }));
  expect(await list()).toMatchObject([
    { run: { id, jobId, partId, jobRevision, piece, divisions, deepens, rounds }, summary },
  ]);
  expect([jobRevision, divisions, piece.name]).toEqual([1, 18, 'brass']);
  expect(JSON.stringify(await list())).not.toContain('"cuts"');
  // the run itself is not opened for that
  await trial.stop();
  const store = new Database(path.join(trial.folder, 'workshop.sqlite'));
  store.exec(`update run set document = 'torn'`);
  store.close();
  await trial.start();
  expect((await list()).map((each) => each.run.id)).toEqual(['r']);
  expect((await trial.ask('GET', '/jobs/none/runs')).status).toBe(404);
});
