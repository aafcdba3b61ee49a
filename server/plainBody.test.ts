import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { asRefused } from './app.ts';
import { isNestedDeeper } from './plainBody.ts';
import { Trial, jobNamed } from './trial.ts';

const bytes = (text: string) => Buffer.from(text);

test('how deep a text is nested, and what stands in quotes is not counted', () => {
  const nested = (deep: number) => bytes(`${'['.repeat(deep)}${']'.repeat(deep)}`);
  expect([59, 60, 61, 200_000].map((deep) => isNestedDeeper(nested(deep), 60))).toEqual([
    false,
    false,
    true,
    true,
  ]);
  expect(isNestedDeeper(bytes(`{"a":"${'['.repeat(100)}"}`), 60)).toBe(false);
  expect(isNestedDeeper(bytes(`{"a":"\\"${'{'.repeat(100)}","b":"\\\\"}`), 60)).toBe(false);
  expect(isNestedDeeper(bytes(`[${'[],'.repeat(500)}1]`), 2)).toBe(false);
  expect(isNestedDeeper(bytes(''), 0)).toBe(false);
});

describe('what is malformed is refused, never a fault', () => {
  const trial = new Trial('malformed');
  beforeAll(() => trial.start());
  afterAll(() => trial.close());
  const status = async (method: string, address: string, body?: string): Promise<number> => {
    const response = await fetch(`${trial.address}/api${address}`, {
      method,
      ...(body === undefined ? {} : { body, headers: { 'content-type': 'application/json' } }),
    });
    await response.arrayBuffer();
    return response.status;
  };
  const ADDRESSES = [
    '/jobs/%00',
    '/runs/a%00b/events',
    '/log?words=%00',
    '/jobs?words=a%00',
    '/pictures/%00',
    '/jobs/%zz',
  ];
  test.each(ADDRESSES)('an address like %s', async (address) => {
    expect(await status('GET', address)).toBe(400);
  });
  const BODIES = [
    ['a list a hundred thousand deep', '['.repeat(100_000) + ']'.repeat(100_000)],
    ['an object five thousand deep', `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`],
    ['a sign that is none', '{"a":"\\u0000"}'],
    ['half of it', '{"revision":'],
    ['nothing', ''],
  ] as const;
  test.each(BODIES)('a body of %s', async (_, body) => {
    for (const [method, address] of [
      ['POST', '/plan'],
      ['POST', '/ways'],
      ['PUT', '/jobs/x'],
      ['POST', '/jobs/import'],
      ['POST', '/runs/x/events'],
      ['POST', '/restore'],
      ['PUT', '/pictures/x'],
    ] as const) {
      const answered = await status(method, address, body);
      expect([400, 404, 413, 422]).toContain(answered);
    }
  });
  test('an event id that another run has is refused in words, and does not stop the rest', async () => {
    for (const id of ['m1', 'm2']) {
      await trial.keep(jobNamed(id, 20));
      await trial.ask('POST', `/jobs/${id}/runs`, { id: `run-${id}`, partId: 'p1', revision: 1 });
    }
    const event = (runId: string, id: string, deviceSeq: number) => ({
      ...{ id, runId, device: 'tablet', deviceSeq, lastSeen: {}, clientTime: '2026-12-01T08:00:00Z' },
      ...{ kind: 'done', round: 1, index: deviceSeq },
    });
    const send = (runId: string, id: string, seq: number) =>
      trial.ask<{ issues?: { code: string }[] }>('POST', `/runs/${runId}/events`, {
        events: [event(runId, id, seq)],
      });
    expect((await send('run-m1', 'e1', 1)).status).toBe(200);
    expect(await send('run-m2', 'e1', 1)).toMatchObject({
      status: 409,
      body: { issues: [{ code: 'event-id-reused' }] },
    });
    expect((await send('run-m2', 'e2', 1)).status).toBe(200);
  });
});

describe('what the ground does is told by its name', () => {
  test.each([
    ['insert into `job` … - database or disk is full', 507, 'disk-full', /disk of the server is full/],
    ['ENOSPC: no space left on device, write', 507, 'disk-full', /untouched/],
    ['attempt to write a readonly database', 507, 'store-not-written', /cannot write its store/],
    ['disk I/O error', 507, 'store-not-written', /Nothing was changed/],
  ])('%s', (message, status, code, words) => {
    const refused = asRefused(new Error(message))!;
    expect(refused.status).toBe(status);
    expect(refused.issues[0]!.code).toBe(code);
    expect(refused.message).toMatch(words);
  });
  test('whatever else goes wrong inside is a fault, with an id in the log', () => {
    expect(asRefused(new Error('of no kind that is known'))).toBeNull();
  });
});
