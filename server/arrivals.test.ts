import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import { cutterSet } from '../core/cutter/index.ts';
import { newSpurJob, takeSample, withCutter, withSpurPart, type Job } from '../core/job/index.ts';
import type { SpurPart } from '../core/kinds/index.ts';
import { stationOf, type Plan } from '../core/plan/index.ts';
import { STOCK_EQUIPMENT } from '../core/shop/index.ts';
import { measure } from '../core/units/index.ts';
import type { Problem, StoredJob, StoredShop } from '../core/wire/index.ts';
import { openStore } from './store.ts';
import { Trial } from './trial.ts';

const trial = new Trial('arrivals');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

/** A sample of 40 teeth, module 1.25, worn by a tenth. */
function sampled(id: string, tip = '52.40'): Job {
  const job = newSpurJob({ id, name: `Sample ${id}`, units: 'mm', shop: STOCK_EQUIPMENT }, 'sample');
  return withSpurPart(job, 'p1', (part) =>
    part.arrival.by === 'sample'
      ? {
          ...part,
          arrival: {
            ...part.arrival,
            sample: {
              ...part.arrival.sample,
              teeth: measure('40', 'count'),
              tip: measure(tip, 'mm'),
              bore: measure('10', 'mm'),
            },
          },
        }
      : part,
  );
}
const planOf = async (job: Job) => (await ask<{ plan: Plan } & Plan>('POST', '/plan', { job })).body;
const gearOf = (planned: { plan?: Plan } & Partial<Plan>) =>
  stationOf((planned.plan ?? (planned as Plan)).parts[0]!, 'gear')!;

describe('a job that arrived by a sample', () => {
  test('is planned, taken, stored and read back with every reading as it was typed', async () => {
    const read = sampled('s1', ' 52.40');
    const { arrival } = gearOf(await planOf(read)).detail;
    const best = arrival.by === 'sample' ? arrival.found.best[0]! : null;
    expect(best).toMatchObject({ pitch: 'm 1.25', teeth: 40, angleDeg: null });
    const taken = takeSample(read, 'p1', best!);
    expect((await ask('PUT', '/jobs/s1', { revision: 0, job: taken })).status).toBe(200);
    const back = (await ask<StoredJob>('GET', '/jobs/s1')).body.job.parts[0] as SpurPart;
    expect(back.arrival).toMatchObject({
      by: 'sample',
      sample: { tip: { typed: ' 52.40' } },
      taken: { teeth: 40 },
    });
    expect(back).toEqual(taken.parts[0]);
  });

  test('readings that cannot be are refused at their field, and nothing is stored over what was', async () => {
    const { body: stored } = await ask<StoredJob>('GET', '/jobs/s1');
    const wrong = withSpurPart(stored.job, 'p1', (part) =>
      part.arrival.by === 'sample'
        ? {
            ...part,
            arrival: { ...part.arrival, sample: { ...part.arrival.sample, bore: measure('60', 'mm') } },
          }
        : part,
    );
    const refused = await ask<Problem>('PUT', '/jobs/s1', { revision: stored.revision, job: wrong });
    expect(refused.status).toBe(422);
    expect(refused.body.issues.map(({ path: at, message }) => [at, message])).toContainEqual([
      'parts.p1.arrival.sample.tip',
      'An outside of 52.40 mm is not more than the bore, 60.00 mm. One of the two is in other units, or it is a radius.',
    ]);
    expect((await ask<StoredJob>('GET', '/jobs/s1')).body).toEqual(stored);
  });

  test('an arrival of no kind is refused as a shape', async () => {
    const job = sampled('s2');
    const odd = { ...job, parts: [{ ...job.parts[0], arrival: { by: 'post' } }] };
    const refused = await ask<Problem>('PUT', '/jobs/s2', { revision: 0, job: odd });
    expect(refused.status).toBe(422);
    expect(refused.body.issues[0]!.path).toMatch(/parts\.p1\.arrival/);
  });
});

describe('cutters of the shop', () => {
  const set = cutterSet({ pitch: measure('1.25', 'module'), school: 'metric', size: 15, angleDeg: '20' });

  test('are stored, refused when two share a name, and picked into a job that keeps its copy', async () => {
    const { body: shop } = await ask<StoredShop>('GET', '/shop');
    const equipment = { ...shop.equipment, cutters: set };
    const { body: stored } = await ask<StoredShop>('PUT', '/shop', { revision: shop.revision, equipment });
    expect(stored.equipment.cutters).toHaveLength(15);
    const twice = { ...equipment, cutters: [...set, { ...set[0]!, id: 'again' }] };
    const refused = await ask<Problem>('PUT', '/shop', { revision: stored.revision, equipment: twice });
    expect([refused.status, refused.body.detail]).toEqual([
      422,
      expect.stringMatching(/Two entries are called m 1.25 No. 1, 20°/),
    ]);

    const job = withCutter({
      job: sampled('c1'),
      partId: 'p1',
      cutterId: set.find(({ number }) => number === '6')!.id,
      shop: stored.equipment,
    });
    await ask('PUT', '/jobs/c1', { revision: 0, job });
    await ask('PUT', '/shop', { revision: stored.revision, equipment: { ...equipment, cutters: [] } });
    const { body: kept } = await ask<StoredJob>('GET', '/jobs/c1');
    expect(kept.job.equipment.cutters.map(({ name }) => name)).toEqual(['m 1.25 No. 6, 20°']);
    const planned = await planOf(kept.job);
    expect((planned.plan ?? planned).findings.map(({ code }) => code)).toContain('cutter-left-shop');
  });

  test('a shop stored before cutters were listed opens with none', async () => {
    const { cutters: _none, ...older } = STOCK_EQUIPMENT;
    await trial.stop();
    const store = await openStore(path.join(trial.folder, 'workshop.sqlite'));
    await store.em
      .fork()
      .getConnection()
      .execute('update shop set document = ?', [JSON.stringify(older)]);
    await store.close();
    await trial.start();
    const { body } = await ask<StoredShop>('GET', '/shop');
    expect(body.equipment).toEqual({ ...older, cutters: [] });
  });
});
