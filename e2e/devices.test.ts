import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createServer, type AddressInfo } from 'node:net';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Device } from '../core/devices/index.ts';
import { drawnSpurJob, withDividing, withHead, withSpurPart, type Job } from '../core/job/index.ts';
import { choose, drive, shop as motorShop } from '../core/sampleRuns.ts';
import { STOCK_ROTARY, type Equipment } from '../core/shop/index.ts';
import { measure } from '../core/units/index.ts';
import { StandIns } from '../stand-ins/standIns.ts';
import { journeysIn } from './journeys.ts';
import { BETWEEN_COUNTS_MS, wait, type Person } from './person.ts';

const place = journeysIn('demo');
const standIns = new StandIns(pathToFileURL(`${path.resolve('stand-ins/pages')}/`));
let port = 0;

/** Four ports in a row that are free just now. */
async function freePorts(): Promise<number> {
  for (;;) {
    const probe = createServer();
    await new Promise<void>((resolve) => probe.listen(0, '127.0.0.1', resolve));
    const found = (probe.address() as AddressInfo).port;
    await new Promise((resolve) => probe.close(resolve));
    if (found < 65_000) return found;
  }
}

beforeAll(async () => {
  port = await freePorts();
  await standIns.listen(port);
});
afterAll(() => standIns.close());

async function ask<Answer>(method: string, where: string, body?: object): Promise<Answer> {
  const answer = await fetch(`${place.workshop.address}/api${where}`, {
    ...{ method, headers: { 'content-type': 'application/json' } },
    ...(body && { body: JSON.stringify(body) }),
  });
  const told = (await answer.json()) as Answer;
  if (!answer.ok) throw new Error(JSON.stringify(told));
  return told;
}

/** The demo’s devices, on the lines of this journey’s stand-ins. */
async function plugIn(): Promise<void> {
  const { devices } = await ask<{ devices: Device[] }>('GET', '/devices');
  for (const device of devices) {
    const at = { motor: 1, readout: 2, tool: 3 }[device.kind];
    const link = { via: 'tcp', host: '127.0.0.1', port: port + at };
    await ask('PUT', `/devices/${device.id}`, { ...device, link });
  }
}

const TEETH = 8;
/** 8 teeth by the motor on the stock rotary table: 200 steps of 8, 90 to 1, 144 000 to the turn. */
async function jobByMotor(): Promise<string> {
  const { equipment, revision } = await ask<{ equipment: Equipment; revision: number }>('GET', '/shop');
  await ask('PUT', '/shop', { revision, equipment: { ...equipment, steppers: [drive] } });
  let job: Job = drawnSpurJob({
    id: 'by-motor',
    name: 'Cam index wheel',
    pitch: '2',
    teeth: TEETH,
    face: '8',
    bore: '5',
  });
  job = withSpurPart(job, 'p1', (part) => ({
    ...part,
    setup: { ...part.setup, cutterDiameter: measure('60', 'mm') },
  }));
  job = withHead({ job, partId: 'p1', head: STOCK_ROTARY, shop: motorShop });
  const choice = choose({ head: STOCK_ROTARY, count: TEETH }, 'stepper');
  job = withDividing(job, 'p1', (dividing) => ({ ...dividing, choice }));
  const stored = await ask<{ revision: number }>('PUT', '/jobs/by-motor', { revision: 0, job });
  await ask('POST', '/jobs/by-motor/runs', {
    ...{ id: 'run-by-motor', partId: 'p1', revision: stored.revision, piece: { kind: 'work', name: '' } },
  });
  return '/runs/run-by-motor';
}

const truly = () => standIns.motor.truly;

/** A finger on the button for so long, or until the table stands. */
async function holds(person: Person, selector: string, ms?: number): Promise<void> {
  const button = await person.page.waitForSelector(selector, { visible: true });
  await button!.scrollIntoView();
  const box = (await button!.boundingBox())!;
  await person.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await person.page.mouse.down();
  if (ms === undefined) {
    await wait(250);
    for (let i = 0; i < 300 && (await person.page.$('.is-turning')); i += 1) await wait(50);
  } else await wait(ms);
  await person.page.mouse.up();
}

/**
 * Holds until it can be read that it is there; on a busy machine the page may seem lost in between, and a
 * person presses again.
 */
async function holdsUntil(person: Person, selector: string, sign: string): Promise<void> {
  for (let tries = 0; tries < 12; tries += 1) {
    await holds(person, selector);
    for (let i = 0; i < 10; i += 1) {
      if ((await person.text()).includes(sign)) return;
      await wait(60);
    }
  }
  await person.sees(sign);
}

test('devices: on their lines, tried out, one set up wrong is told at the field', async () => {
  await plugIn();
  const person = await place.sitDown();
  await person.goTo('/devices');
  await person.sees(/Rotary table motor Motor ✓ on its line/);
  await person.pressButton('Rotary table motor');
  await person.pressButton('It stands at 0');
  await person.sees('0°');
  await person.sees('Hold: turn 9°');
  await holdsUntil(person, '.device-go', 'Hold: turn back to 0');
  await person.sees('It came to rest where it was sent.');
  expect(truly()).toBeCloseTo(9, 4);
  await holdsUntil(person, '.device-go', 'Hold: turn 9°');
  expect(truly()).toBeCloseTo(0, 4);
  await person.pressButton('Mill readout');
  await person.sees('X-40.000 mm');
  await person.pressButton('Indicator');
  standIns.turn({ reads: 0.125, press: true });
  await person.sees('0.125 mm');
  await person.sees('Pressed once since it came on.');
  await person.types('Machine', '8.8.8.8');
  await person.pressButton('Keep the change');
  await person.sees('Give a machine of this network: its name, or an address like 192.168.1.20.');
  expect(await person.hardToUse()).toEqual([]);
  expect(person.faults).toEqual([]);
});

test('a gear by motor, from the touch to the closing move, the readout in sight', async () => {
  await plugIn();
  const person = await place.sitDown();
  const address = await jobByMotor();
  standIns.turn({ axes: { X: -40, Y: 0, Z: -10 } });
  await person.goTo(address);
  await person.makesReady();
  await person.sees('No zero at the touch yet');
  // brought to the touch, and along to where it first cuts at full depth
  standIns.turn({ axes: { X: 0, Z: 0 } });
  await person.sees('0 here');
  await wait(300);
  for (const button of await person.page.$$('.readout-axis button')) {
    await button.click();
    await wait(300);
  }
  standIns.turn({ axes: { X: 10, Z: 4.5 } });
  await person.sees('In the work');
  await wait(BETWEEN_COUNTS_MS);
  await person.key(' ');
  await person.sees('Hold to turn to tooth space 2');
  await person.sees('It stands at 0 steps.');
  const start = truly();
  const turnedBy = () => truly() - start;
  // 360° ÷ 8 = 45°, 18 000 steps; not while the cutter is in the work
  await holds(person, '.motor-go', 600);
  await person.sees('is not turned now: the readout says that the cutter is in the work.');
  expect(turnedBy()).toBeCloseTo(0, 4);
  standIns.turn({ axes: { X: -30 } });
  await person.sees('✓ Clear');
  // let go half-way it stops, and says where; the count has not moved
  standIns.turn({ motor: { speed: 0.5 } });
  await holds(person, '.motor-go', 700);
  await person.sees(/Stopped[^.]*\. It stands at \d+ steps, and goes on from there\./);
  const stopped = turnedBy();
  expect(stopped).toBeGreaterThan(0);
  expect(stopped).toBeLessThan(44);
  expect(await person.page.$eval('.mill-done', (button) => (button as HTMLElement).innerText)).toContain(
    'Tooth space 2 cut',
  );
  standIns.turn({ motor: { speed: 5 } });
  for (let k = 2; k <= TEETH; k += 1) {
    await person.sees(`Hold to turn to tooth space ${k}`);
    await holdsUntil(
      person,
      '.motor-go',
      `✓ The table stands at tooth space ${k}, ${(k - 1) * 18_000} steps.`,
    );
    expect(turnedBy()).toBeCloseTo((k - 1) * 45, 3);
    standIns.turn({ axes: { X: 10 } });
    await person.sees('In the work');
    standIns.turn({ axes: { X: -30 } });
    await person.sees('✓ Clear');
    await wait(BETWEEN_COUNTS_MS);
    await person.key(' ');
  }
  await person.sees('Hold to turn to tooth space 1');
  await holdsUntil(person, '.motor-go', '✓ The table stands at tooth space 1, 144000 steps.');
  expect(turnedBy()).toBeCloseTo(360, 3);
  await wait(BETWEEN_COUNTS_MS);
  await person.key(' ');
  await person.pressButton('It drops in');
  await person.goTo('/log/run-by-motor');
  await person.sees('Sent by Rotary table motor');
  // one was let go, on purpose
  await person.sees(/\d+ moves, 8 came to rest where they were sent/);
  expect(person.faults.filter((fault) => !/409/.test(fault))).toEqual([]);
});

test('its cable pulled: a doubt is told, counting by hand goes on', async () => {
  await plugIn();
  const person = await place.sitDown();
  const started = await ask<{ jobs: { revision: number }[] } & { job: { id: string }; revision: number }>(
    'GET',
    '/jobs/by-motor',
  );
  await ask('POST', '/jobs/by-motor/runs', {
    ...{ id: 'run-pulled', partId: 'p1', revision: started.revision, piece: { kind: 'work', name: '' } },
  });
  await person.goTo('/runs/run-pulled');
  await person.makesReady();
  await wait(BETWEEN_COUNTS_MS);
  await person.key(' ');
  await person.sees('Hold to turn to tooth space 2');
  standIns.turn({ cable: { motor: false } });
  await person.sees('is not on its line');
  await person.sees('Turn by hand meanwhile: counting goes on as ever.');
  await wait(BETWEEN_COUNTS_MS);
  await person.key(' ');
  await person.sees('Tooth space 2 is cut.');
  standIns.turn({ cable: { motor: true } });
  await person.sees('The line to the motor was lost');
  await person.pressButton('It stands at tooth space 2');
  await person.sees('Hold to turn to tooth space 3');
  expect(person.faults).toEqual([]);
});

test('an indicator’s button writes into the field in hand, in its own unit, and goes on to the next', async () => {
  await plugIn();
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-lens-second/p1/inspect');
  await person.page.waitForSelector('.field input', { visible: true });
  const fields = await person.page.$$('.work .field input');
  await fields[0]!.click({ count: 3 });
  await wait(500);
  standIns.turn({ reads: 42.35, press: true });
  const valueOf = (i: number) => fields[i]!.evaluate((input) => (input as HTMLInputElement).value);
  for (let i = 0; i < 100 && (await valueOf(0)) !== '42.35 mm'; i += 1) await wait(50);
  expect(await valueOf(0)).toBe('42.35 mm');
  // which tool wrote it stands beside it, and goes into the log with it
  await person.sees('by Indicator');
  expect(await fields[1]!.evaluate((input) => input === document.activeElement)).toBe(true);
  standIns.turn({ tool: { inches: true }, reads: 25.4, press: true });
  for (let i = 0; i < 100 && (await valueOf(1)) !== '1 in'; i += 1) await wait(50);
  expect(await valueOf(1)).toBe('1 in');
  expect(person.faults).toEqual([]);
});

test('half-way at the mill a caliper’s button writes the chords, and the log names it', async () => {
  await plugIn();
  const { workshop } = place;
  const job = drawnSpurJob({ id: 'half', name: 'Half', pitch: '1.5', teeth: 24, face: '10', bore: '8' });
  await workshop.ask('PUT', '/jobs/half', { revision: 0, job });
  await workshop.ask('POST', '/jobs/half/runs', { id: 'run-half', partId: 'p1', revision: 1 });
  await workshop.countElsewhere('run-half', 13);
  const person = await place.sitDown();
  await person.goTo('/runs/run-half');
  await person.pressButton('Half-way: check across');
  // 39·sin(6·180°/24) = 27.577
  await person.sees('27.577 mm');
  const fields = await person.page.$$('.mill-chord-fields input');
  await fields[0]!.click();
  await wait(700);
  standIns.turn({ tool: { inches: false }, reads: 27.58, press: true });
  await person.sees('✓ good, 0.003 mm off, by Indicator');
  for (
    let i = 0;
    i < 100 && !(await fields[1]!.evaluate((input) => input === document.activeElement));
    i += 1
  )
    await wait(50);
  standIns.turn({ reads: 27.6, press: true });
  await person.sees('✓ good, 0.023 mm off, by Indicator');
  await person.pressButton('Write it down, go on');
  await person.sees('Tooth space 14 cut');
  await person.goTo('/log/run-half');
  await person.sees('After no. 13: 27.580 mm and 27.600 mm, should be 27.577 mm: good, by Indicator');
  expect(person.faults).toEqual([]);
});

test('with a readout in sight the drawing of a helical gear keeps above it, and below the head line', async () => {
  await plugIn();
  const person = await place.sitDown();
  await person.goTo('/runs/run-demo-fan-gear');
  await person.page.waitForSelector('.readout-line', { visible: true });
  const [drawn, readout, bar] = await Promise.all(
    ['.mill-plate svg', '.readout-line', '.mill-head'].map((place) =>
      person.page.$eval(place, (element) => {
        const { top, bottom } = element.getBoundingClientRect();
        return { top, bottom };
      }),
    ),
  );
  expect(drawn!.bottom).toBeLessThanOrEqual(readout!.top + 1);
  expect(drawn!.top).toBeGreaterThanOrEqual(bar!.bottom - 1);
});
