import { afterAll, beforeAll, expect, test } from '@jest/globals';
import path from 'node:path';
import type { Browser } from 'puppeteer-core';
import { drawnSpurJob } from '../core/job/index.ts';
import type { EventsPage } from '../core/wire/index.ts';
import { BETWEEN_COUNTS_MS, openBrowser, Person, wait } from './person.ts';
import { Workshop } from './workshop.ts';

const samples = path.resolve('server/gate/samples');
const certificate = { cert: path.join(samples, 'cert.pem'), key: path.join(samples, 'key.pem') };
let workshop: Workshop;
let browser: Browser;
beforeAll(async () => {
  [workshop, browser] = await Promise.all([
    Workshop.open('empty', { certificate }),
    openBrowser('--ignore-certificate-errors'),
  ]);
});
afterAll(async () => {
  await browser.close();
  await workshop.close();
});

test('by HTTPS the mill opens anew while the server is away, counts on from where it was, and sends it later', async () => {
  const job = drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1', teeth: 60, face: '8', bore: '6' });
  await workshop.ask('PUT', '/jobs/j', { revision: 0, job });
  await workshop.ask('POST', '/jobs/j/runs', { id: 'r', partId: 'p1', revision: 1 });
  await workshop.countElsewhere('r', 3);
  const person = await Person.sitDown(browser, workshop.address);
  await person.goTo('/runs/r');
  await person.sees('Tooth space 4 cut');
  await person.page.evaluate(() => navigator.serviceWorker.ready.then(() => {}));
  // while the server answers it is believed, and not what is kept
  const drawing = await person.page.goto(`${workshop.address}/crank.svg`);
  expect([drawing?.headers()['content-type'], drawing?.fromServiceWorker()]).toEqual(['image/svg+xml', true]);
  await person.goTo('/runs/r');
  await person.pressButton('Tooth space 4 cut');
  await person.sees('Tooth space 5 cut');
  await person.sees('✓ stored');
  // another screen counts on; this one has seen it when the plug is pulled
  const other = await Person.sitDown(await browser.createBrowserContext(), workshop.address);
  await other.goTo('/runs/r');
  for (const space of [5, 6]) {
    await other.pressButton(`Tooth space ${space} cut`);
    await other.sees(`Tooth space ${space + 1} cut`);
    await wait(BETWEEN_COUNTS_MS);
  }
  await other.sees('✓ stored');
  await other.page.close();
  await person.page.bringToFront();
  await person.sees('Tooth space 7 cut');
  await wait(500);
  await workshop.kill();
  await person.page.reload({ waitUntil: 'domcontentloaded' });
  await person.sees('Tooth space 7 cut');
  await person.sees('server away');
  await person.pressButton('Tooth space 7 cut');
  await person.sees('server away, 1 kept here');
  await wait(BETWEEN_COUNTS_MS);
  await person.pressButton('Tooth space 8 cut');
  await person.sees('server away, 2 kept here');
  // and once more, with what waits
  await person.page.reload({ waitUntil: 'domcontentloaded' });
  await person.sees('Tooth space 9 cut');
  await workshop.start();
  await person.sees('✓ stored');
  await person.sees('Tooth space 9 cut');
  const { events } = await workshop.ask<EventsPage>('GET', '/runs/r/events');
  const done = events.flatMap((event) => (event.kind === 'done' ? [event.index] : []));
  expect([...new Set(done)].sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  expect(done).toHaveLength(new Set(events.map(({ id }) => id)).size);
  expect(person.faults).toEqual([]);
});
