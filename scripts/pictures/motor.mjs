import path from 'node:path';
import { root } from '../ready.mjs';
import { askOf } from './ask.mjs';

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const knobs = (turned) =>
  fetch('http://127.0.0.1:4820/knobs', { method: 'POST', body: JSON.stringify(turned) });

/** A wheel by motor, drawn for the demo's rotary table. @returns where its run is */
async function beginWheel(ask) {
  const core = (name) => import(path.join(root, `dist/node/core/${name}/index.js`));
  const { drawnSpurJob, withDividing, withHead, withSpurPart } = await core('job');
  const { countAim, quickMethods } = await core('dividing');
  const { measure } = await core('units');
  const { equipment } = await ask('GET', '/shop');
  const head = equipment.heads.at(-1);
  const drawn = drawnSpurJob({
    ...{ id: 'by-motor', name: 'Fog signal, cam index wheel', pitch: '1', teeth: 97, face: '8', bore: '12' },
  });
  const sized = withSpurPart(drawn, 'p1', (part) => ({
    ...part,
    setup: { ...part.setup, cutterDiameter: measure('60', 'mm') },
  }));
  const { gearSets, steppers } = equipment;
  const { choice } = quickMethods({ head, gearSets, steppers }, countAim(97)).find(
    ({ method }) => method === 'stepper',
  ).ways[0];
  const placed = withHead({ job: sized, partId: 'p1', head, shop: equipment });
  const job = withDividing(placed, 'p1', (dividing) => ({ ...dividing, choice }));
  const { revision } = await ask('PUT', '/jobs/by-motor', { revision: 0, job });
  await ask('POST', '/jobs/by-motor/runs', {
    ...{ id: 'run-by-motor', partId: 'p1', revision, piece: { kind: 'work', name: '' } },
  });
  return '/runs/run-by-motor';
}

/** The first space is cut; not clear yet, clear, held half-way to the second, and stopped by a key. */
export async function runByMotor(page, { address, shoot }) {
  // the server looks for its devices now and then
  await wait(3000);
  const run = await beginWheel(askOf(address));
  await knobs({ axes: { X: 0, Z: 0 } });
  await page.goto(address + run, { waitUntil: 'networkidle2' });
  await page.waitForSelector('.readout-axis button');
  // the count stands at 0
  await page.keyboard.press('Space');
  await wait(900);
  for (const button of await page.$$('.readout-axis button')) {
    await button.click();
    await wait(300);
  }
  await page.keyboard.press('Space');
  const go = await page.waitForSelector('.motor-go');
  await knobs({ axes: { X: 5, Z: 2.25 }, motor: { speed: 0.05 } });
  await wait(900);
  await shoot('The cutter is in the work: nothing turns');
  await knobs({ axes: { X: -30, Z: 2.25 } });
  await wait(900);
  await shoot('Clear');
  const box = await go.boundingBox();
  await page.mouse.move(box.x + 90, box.y + 30);
  await page.mouse.down();
  await wait(1500);
  await shoot('Held: it turns');
  await page.keyboard.press('Escape');
  await wait(900);
  await shoot('Stopped by a key');
  await page.mouse.up();
}

/** The devices of the shop, then each stand-in as a thing, and what the indicator's button wrote. */
export async function showDevices(page, { address, shoot }) {
  await wait(3000);
  const motor = await page.waitForSelector('::-p-text(Rotary table motor)');
  await motor.click();
  const zero = await page.waitForSelector('::-p-text(It stands at 0)');
  await zero.click();
  await page.waitForSelector('.device-go');
  await shoot('The shop’s devices');
  for (const [thing, caption] of [
    ['motor', 'The stand-in of a motor'],
    ['readout', 'of a readout'],
    ['tool', 'of an indicator'],
  ]) {
    await page.goto(`http://127.0.0.1:4820/${thing}`);
    await wait(1200);
    await shoot(caption);
  }
  await page.goto(`${address}/jobs/demo-stair-moon/p1/inspect`, { waitUntil: 'networkidle2' });
  await readInto(page);
  await shoot('A reading arrives in the field in hand');
  await knobs({ cable: { motor: false } });
  await page.goto(`${address}/devices`, { waitUntil: 'networkidle2' });
  await (await page.waitForSelector('::-p-text(Rotary table motor)')).click();
  await wait(2500);
  await shoot('The motor’s cable is out');
  await knobs({ cable: { motor: true } });
}

async function readInto(page) {
  const field = await page.waitForSelector('::-p-aria([name="Runout, least to most all round"])');
  await field.click();
  await wait(900);
  await knobs({ reads: 0.025, press: true });
  await wait(900);
}
