import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { drawnSpurJob, withSpurPart } from '../core/job/index.ts';
import { foldRun, type Run, type RunEvent } from '../core/run/index.ts';
import { BETWEEN_COUNTS_MS, openBrowser, Person, wait } from './person.ts';
import { Workshop } from './workshop.ts';

let workshop: Workshop;
let browser: Browser;
beforeAll(async () => {
  [workshop, browser] = await Promise.all([Workshop.open('empty'), openBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await workshop.close();
});

/** Numbers that look drawn by lot and are the same each time. */
function lot(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

test('the server killed at random instants over 120 counts: none lost, none doubled (seed 2611)', async () => {
  const job = withSpurPart(
    drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1', teeth: 60, face: '8', bore: '6' }),
    'p1',
    (part) => ({ ...part, cut: { ...part.cut, passes: 'rough-finish' } }),
  );
  await workshop.ask('PUT', '/jobs/j', { revision: 0, job });
  const { run } = await workshop.ask<{ run: Run }>('POST', '/jobs/j/runs', {
    id: 'r',
    partId: 'p1',
    revision: 1,
  });
  const next = lot(2611);
  let over = false;
  let kills = 0;
  // pulls the plug at any moment, also while a count is on its way
  const saboteur = (async () => {
    while (!over) {
      await wait(20 + next() * 260);
      if (over) break;
      await workshop.kill();
      kills += 1;
      await workshop.start();
    }
  })();
  const kept: RunEvent[] = [];
  const confirmed = new Set<string>();
  for (const [i, { round, index }] of run.cuts.entries()) {
    // as the page does: kept first, then sent until the server says that it has it
    const event = {
      id: `e${i}`,
      runId: 'r',
      device: 'tablet',
      deviceSeq: i + 1,
      lastSeen: {},
      clientTime: new Date(Date.UTC(2026, 10, 25, 9, 0, i)).toISOString(),
      kind: 'done',
      round,
      index,
    } as RunEvent;
    kept.push(event);
    const waiting = kept.filter(({ id }) => !confirmed.has(id));
    await workshop.ask('POST', '/runs/r/events', { events: waiting }).then(
      () => waiting.forEach(({ id }) => confirmed.add(id)),
      () => null,
    );
    await wait(next() * 170);
    // a server that is slow to come up again is killed no less often
    while (kills < Math.floor(i / 25)) await wait(20);
  }
  over = true;
  await saboteur;
  await workshop.ask('POST', '/runs/r/events', {
    events: kept.filter(({ id }) => !confirmed.has(id)).concat(kept.at(-1)!),
  });
  const { events } = await workshop.ask<{ events: RunEvent[] }>('GET', '/runs/r/events?after=0');
  expect(kills).toBeGreaterThan(3);
  expect(events.map(({ id }) => id).sort()).toEqual(kept.map(({ id }) => id).sort());
  expect(foldRun(run, events)).toMatchObject({ done: 120, next: null, doubts: [] });
  // what the server had confirmed before each kill was there after it, or it would have been sent again under
  // the same id
  const { summary } = await workshop.ask<{ summary: { done: number } }>('GET', '/runs/r');
  expect(summary.done).toBe(120);
});

/** A run at the mill, with someone before it; and a way to have its server answered for by something else. */
async function atMillBehind(id: string, answer: { status: number; contentType: string; body: string }) {
  const job = drawnSpurJob({ id, name: 'Wheel', pitch: '1', teeth: 20, face: '8', bore: '6' });
  await workshop.ask('PUT', `/jobs/${id}`, { revision: 0, job });
  await workshop.ask('POST', `/jobs/${id}/runs`, { id: `r-${id}`, partId: 'p1', revision: 1 });
  // a device of its own each time
  const device = await browser.createBrowserContext();
  const person = await Person.sitDown(device, workshop.address);
  await person.goTo(`/runs/r-${id}`);
  await person.makesReady();
  await person.sees('✓ stored');
  let between = true;
  await person.page.setRequestInterception(true);
  person.page.on('request', (request) => {
    const caught = between && request.method() === 'POST' && request.url().includes('/events');
    void (caught ? request.respond(answer) : request.continue());
  });
  const doneThere = async () =>
    (await workshop.ask<{ summary: { done: number } }>('GET', `/runs/r-${id}`)).summary.done;
  return { person, doneThere, letThrough: () => (between = false), leave: () => device.close() };
}

const json = 'application/json';
test.each([
  [
    'a page of the network in between',
    { status: 200, contentType: 'text/html', body: '<html>Sign in to this network</html>' },
    /server away, 2 kept here/,
  ],
  [
    'a server that does not have this run',
    { status: 404, contentType: json, body: '{"detail":"There is no run with the id r."}' },
    /There is no run.* 2 kept here/,
  ],
  [
    'a fault of the server',
    { status: 500, contentType: json, body: '{"detail":"Something went wrong here."}' },
    /Something went wrong here.* 2 kept here/,
  ],
])('answered by %s, counts stay on the screen and go in later', async (_, answer, says) => {
  const { person, doneThere, letThrough, leave } = await atMillBehind(`s${answer.status}`, answer);
  try {
    await person.pressButton('Tooth space 1 cut');
    await wait(BETWEEN_COUNTS_MS);
    await person.pressButton('Tooth space 2 cut');
    await person.sees(says);
    await person.sees('Tooth space 3 cut');
    letThrough();
    await person.sees('✓ stored');
    expect(await doneThere()).toBe(2);
  } finally {
    await leave();
  }
});

test('a device that the server no longer knows keeps what it counted until it is let in again', async () => {
  const answer = { status: 401, contentType: json, body: '{"detail":"This device is not let in yet."}' };
  const { person, doneThere, letThrough, leave } = await atMillBehind('unknown', answer);
  try {
    await person.pressButton('Tooth space 1 cut');
    await person.sees('Vuelta does not know this device yet');
    letThrough();
    await person.page.reload({ waitUntil: 'domcontentloaded' });
    await person.sees('Tooth space 2 cut');
    await person.sees('✓ stored');
    expect(await doneThere()).toBe(1);
  } finally {
    await leave();
  }
});
