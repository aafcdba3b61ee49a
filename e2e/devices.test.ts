import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { openBrowser, Person } from './person.ts';
import { Workshop } from './workshop.ts';

interface Told {
  readonly code: string;
  readonly pass: string;
  readonly reachedAt: readonly string[];
}
let workshop: Workshop;
let browser: Browser;
beforeAll(async () => {
  [workshop, browser] = await Promise.all([Workshop.open('demo', { host: '0.0.0.0' }), openBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await workshop.close();
});

test('a tablet is let in by its code, another by the squares; one is put out, and the owner sees who is in', async () => {
  const owner = await Person.sitDown(browser, workshop.address);
  await owner.goTo('/');
  await owner.pressWords('Let another device in');
  const { reachedAt } = await workshop.ask<Told>('GET', '/pairing');
  const [network] = reachedAt;
  if (network === undefined) {
    // a machine in no network has no other devices
    await owner.sees('This machine is in no network just now');
    return;
  }
  await owner.sees(network);
  await owner.sees('None yet.');
  const code = await owner.page.$eval('.devices-code', ({ textContent }) => textContent);
  expect(code).toMatch(/^\d{3} \d{3}$/);

  // the tablet: nothing of the shop until the code is typed as it is read
  const tablet = await Person.sitDown(await browser.createBrowserContext(), network);
  await tablet.goTo('/shop');
  await tablet.sees('Vuelta does not know this device yet');
  await tablet.seesNot(/Logbook/);
  await tablet.types('Code', code === '000 000' ? '000 001' : '000 000');
  await tablet.pressButton('Let this device in');
  await tablet.sees('That is not the code');
  await tablet.types('Code', code);
  await tablet.types('What it is called in this shop', 'Mill tablet');
  await tablet.pressButton('Let this device in');
  await tablet.sees('Head with three plates');

  // another by what the squares carry: nothing to type, and nothing is left in the address
  const { pass } = await workshop.ask<Told>('GET', '/pairing');
  const squares = `/#let-in=${pass}`;
  const phone = await Person.sitDown(await browser.createBrowserContext(), network);
  await phone.page.setViewport({ width: 390, height: 844 });
  await phone.goTo(squares);
  await phone.sees('What it is called in this shop');
  await phone.seesNot(/Code/);
  expect(phone.page.url()).toBe(`${network}/`);
  await phone.pressButton('Let this device in');
  await phone.sees('On the bench');
  // the same squares let in nobody else
  const late = await Person.sitDown(await browser.createBrowserContext(), network);
  await late.goTo(squares);
  await late.pressButton('Let this device in');
  await late.sees('That is not the code, or not any more');
  await late.sees('Code');

  await owner.page.bringToFront();
  await owner.sees('Mill tablet last here');
  await owner.sees('Telephone last here');
  await owner.press('Put out Mill tablet', 'button');
  await owner.seesGo(/Mill tablet/);
  await tablet.page.bringToFront();
  await tablet.goTo('/shop');
  await tablet.sees('Vuelta does not know this device yet');
  await phone.page.bringToFront();
  await phone.goTo('/log');
  await phone.sees('Logbook');
  await owner.page.bringToFront();
  await owner.pressButton('Another code');
  await owner.seesGo(new RegExp(code!));
  // where the machine is in several networks, another of its addresses is a press away
  if (reachedAt[1]) {
    await owner.pressButton(reachedAt[1]);
    await owner.sees(`open ${reachedAt[1]} there`);
  }
  // and all of them at once, asked for twice
  const { code: newCode } = await workshop.ask<Told>('GET', '/pairing');
  await tablet.page.bringToFront();
  await tablet.types('Code', newCode);
  await tablet.pressButton('Let this device in');
  await tablet.sees('Head with three plates');
  await owner.page.bringToFront();
  await owner.sees('Tablet last here');
  await owner.pressButton('Put all out');
  await owner.sees('A tablet at a mill keeps what it has counted');
  await owner.pressButton('Put all out');
  await owner.sees('None yet.');
  await phone.page.bringToFront();
  await phone.goTo('/log');
  await phone.sees('Vuelta does not know this device yet');
  for (const { faults } of [owner, tablet, phone, late]) expect(faults).toEqual([]);
});
