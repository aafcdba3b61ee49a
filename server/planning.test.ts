import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { LongSearch } from '../core/dividing/index.ts';
import type { Plan } from '../core/plan/index.ts';
import { NO_EQUIPMENT, STOCK_HEADS, STOCK_ROTARY } from '../core/shop/index.ts';
import type { Problem, StoredShop } from '../core/wire/index.ts';
import { jobNamed, Trial } from './trial.ts';

const trial = new Trial('planning');
const ask = trial.ask.bind(trial);
beforeAll(() => trial.start());
afterAll(() => trial.close());

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
    // the handbook's chart of change gears for these plates ends at 382 (Machinery's Handbook)
    const none = await ask<LongSearch>('POST', '/ways', { job: jobNamed('w1', 383) });
    expect(none.body.nearest).toContain(382);
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
    // the very same again is a lost answer; another shop from a stale revision is somebody else’s edit
    expect((await ask('PUT', '/shop', body)).status).toBe(200);
    const other = { ...body, equipment: { ...body.equipment, heads: body.equipment.heads.slice(1) } };
    expect((await ask('PUT', '/shop', other)).status).toBe(409);
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
    const stored = (await trial.keep(jobNamed('shop-1'))).job;
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
