import { afterAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { drawnSpurJob } from '../core/job/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../core/shop/index.ts';
import { AskerGone, ThreadDesk } from '../server/heavy/index.ts';
import { Refused } from '../server/problems.ts';
import { Workshop } from './workshop.ts';

/** The worker as it is built; threads of the sources themselves cannot be had. */
const WORKER = pathToFileURL(path.resolve('dist/node/server/heavy/worker.js'));

/** A head with all the plates that may be listed: 60 of two sides, each with 60 circles. */
function allPlates(): Equipment {
  const [head] = STOCK_EQUIPMENT.heads;
  const side = (k: number) => ({ circles: Array.from({ length: 60 }, (_, i) => 15 + ((k * 60 + i) % 480)) });
  const plates = Array.from({ length: 60 }, (_, i) => ({
    ...head!.plates[0]!,
    id: `x${i}`,
    name: `X${i}`,
    sides: [side(2 * i), side(2 * i + 1)],
  }));
  const gears = Array.from({ length: 200 }, (_, i) => ({ teeth: 20 + i, count: 1 }));
  const gearSets = STOCK_EQUIPMENT.gearSets.map((set) => ({ ...set, gears }));
  return { ...STOCK_EQUIPMENT, heads: [{ ...head!, plates }], gearSets };
}
const job = drawnSpurJob({ id: 'g', name: 'G', pitch: '1', teeth: 997, face: '10', bore: '3' });
const long = { job: { ...job, equipment: allPlates() }, equipment: allPlates() };
const short = {
  job: drawnSpurJob({ id: 's', name: 'S', pitch: '1', teeth: 53, face: '10', bore: '3' }),
  equipment: STOCK_EQUIPMENT,
};
const finished = (text: string) => (JSON.parse(text) as { finished: boolean; methods: object[] }).finished;

describe('threads beside the server’s own', () => {
  // a busy machine may need many seconds for the short question: only what is broken off has few
  const hurried = new ThreadDesk(WORKER, { threads: 1, waiting: 1, seconds: 5 });
  const desk = new ThreadDesk(WORKER, { threads: 1, waiting: 1, seconds: 120 });
  afterAll(() => Promise.all([hurried.close(), desk.close()]));

  test('what takes too long is broken off, and answered with what was found so far', async () => {
    let heard = 0;
    const asked = hurried.ask('ways', long, { hears: () => (heard += 1) });
    const text = await asked.catch((fault: unknown) => fault);
    // a machine so slow that nothing was found by then is told so
    if (heard === 0) expect(text).toMatchObject({ status: 422, issues: [{ code: 'took-too-long' }] });
    else {
      expect(finished(text as string)).toBe(false);
      expect((JSON.parse(text as string) as { methods: object[] }).methods.length).toBeGreaterThan(0);
    }
  });

  test('after one that was broken off the next is answered whole', async () => {
    const gone = new AbortController();
    const heard = new Promise((resolve) => {
      void desk.ask('ways', long, { gone: gone.signal, hears: resolve }).catch(() => null);
    });
    await heard;
    gone.abort();
    expect(finished(await desk.ask('ways', short))).toBe(true);
  });

  test('with one at work and others waiting one more is told so; who goes away makes room', async () => {
    const gone = new AbortController();
    const first = desk.ask('ways', long, { gone: gone.signal });
    const others = Array.from({ length: 5 }, () =>
      desk.ask('ways', short).then(finished, (fault: unknown) => fault),
    );
    gone.abort();
    await expect(first).rejects.toThrow(AskerGone);
    const told = await Promise.all(others);
    expect(told).toContainEqual(
      expect.objectContaining({ status: 503, issues: [expect.objectContaining({ code: 'too-many-wait' })] }),
    );
    expect(told).toContain(true);
  });

  test('a refusal comes through from a thread with its words', async () => {
    const asked = desk.ask('ways', { ...short, partId: 'none' });
    await expect(asked).rejects.toThrow(Refused);
    await expect(asked).rejects.toMatchObject({
      status: 404,
      issues: [{ code: 'not-found', given: 'none' }],
    });
  });
});

test('while the longest question is worked out, the bench is answered; an answer nobody waits for is dropped', async () => {
  const shop = await Workshop.open('empty');
  try {
    const asking = new AbortController();
    const heavy = fetch(`${shop.address}/api/ways`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ job: long.job, equipment: long.equipment }),
      signal: asking.signal,
    });
    let answered = false;
    void heavy.then(
      () => (answered = true),
      () => null,
    );
    for (let i = 0; i < 20; i += 1) {
      const bench = await fetch(`${shop.address}/api/jobs`);
      expect(bench.status).toBe(200);
    }
    expect(answered).toBe(false);
    asking.abort();
    await expect(heavy).rejects.toThrow();
    const next = await fetch(`${shop.address}/api/ways`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ job: short.job }),
    });
    expect(await next.json()).toMatchObject({ finished: true });
  } finally {
    await shop.close();
  }
});
