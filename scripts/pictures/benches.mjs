import path from 'node:path';
import { root } from '../ready.mjs';
import { askOf } from './ask.mjs';

const core = (name) => import(path.join(root, `dist/node/core/${name}.js`));

/** What a hand does on the bench of a stored job that obeys every prompt: the first so many cuts of it. */
async function actionsFor(job, partId, equipment, cuts) {
  const { plan } = await core('plan/index');
  const { freezeRun } = await core('run/index');
  const { benchOf, demonstrate } = await core('practice/index');
  const planned = plan(job, equipment);
  const start = { runId: 'r', jobRevision: 1, partId };
  const { value: run } = freezeRun({ job, planned, shop: equipment, start });
  const part = planned.parts.find(({ id }) => id === partId);
  const actions = [];
  let made = 0;
  for (const { action, told } of demonstrate(benchOf(part, run).value)) {
    actions.push(action);
    if (told.some(({ what }) => what === 'cut')) made += 1;
    if (made === cuts) break;
  }
  return actions;
}

/** Opens a bench with so much done on it already. */
export async function openBench(page, address, { jobId, partId = 'p1', actions }) {
  const at = `/jobs/${jobId}/${partId}`;
  await page.goto(`${address}/practice/${jobId}/${partId}`, { waitUntil: 'networkidle2' });
  await page.evaluate(
    (key, kept) => localStorage.setItem(key, kept),
    `vuelta-practice ${at}`,
    JSON.stringify({ revision: 1, seed: null, actions }),
  );
  await page.reload({ waitUntil: 'networkidle0' });
  await page.waitForSelector('.practice-work, .practice-side');
}

/** The second wheel of the demo: some spaces, then one indexed with the cutter still in the work. */
export async function spoilWheel(page, { address }, after = 0) {
  const cut = [
    { do: 'lock', on: true },
    { do: 'depth', to: 2.98 },
    { do: 'table', to: 15 },
  ];
  const index = [
    { do: 'table', to: -40 },
    { do: 'lock', on: false },
    { do: 'pin', to: 'out' },
    { do: 'crank', turns: '20/31' },
    { do: 'pin', to: 'in' },
    { do: 'arms-round' },
  ];
  const spaces = Array.from({ length: 12 }, () => [...cut, ...index]).flat();
  // the thirteenth is indexed with the cutter still in the work
  const early = [...cut, { do: 'table', to: -5 }, { do: 'lock', on: false }, { do: 'pin', to: 'out' }];
  const spoilt = [{ do: 'run', on: true }, ...spaces, ...early, { do: 'crank', turns: '7/31' }];
  const on = [
    { do: 'table', to: -40 },
    { do: 'crank', turns: '13/31' },
    { do: 'pin', to: 'in' },
    { do: 'arms-round' },
  ];
  const more = Array.from({ length: after }, () => [...cut, ...index]).flat();
  const actions = after > 0 ? [...spoilt, ...on, ...more] : spoilt;
  await openBench(page, address, { jobId: 'demo-lens-second', actions });
  await page.waitForSelector('::-p-text(gouged)');
}

/** For a room, where the train stands beside the work. */
async function projected(page) {
  await (await page.waitForSelector('::-p-aria([name="More"])')).click();
  await (await page.waitForSelector('::-p-aria([name="For a projector"])')).click();
  await page.waitForSelector('.practice-right .scribe-drawing');
}

/** A bench of each sort: of a demo job, or of one made for it; the first cuts done by the prompts. */
async function benchesWith(ask) {
  const { jobOfGear, jobOfRack, splinedShaft } = await core('sampleBench');
  const stored = async (id) => (await ask('GET', `/jobs/${id}`)).job;
  const made = async (job, id, name) => {
    const named = { ...job, id, name };
    await ask('PUT', `/jobs/${id}`, { revision: 0, job: named });
    return named;
  };
  const geared = jobOfGear({ teeth: 53, module: 1, method: 'differential' });
  return [
    {
      caption: 'Differential, for a room: gears turn the plate',
      ...{ job: await made(geared, 'bench-orrery', 'Orrery, wheel of 53'), cuts: 9, seen: projected },
    },
    { caption: 'Helical: the table turns the work', job: await stored('demo-blower'), cuts: 6 },
    {
      caption: 'A rack: the table divides',
      ...{ job: await made(jobOfRack(), 'bench-rack', 'Fog signal, cam rack'), cuts: 5 },
    },
    { caption: 'A worm wheel, sunk in its hollow', job: await stored('demo-carriage'), cuts: 14 },
    {
      caption: 'Splines: walls that overhang',
      ...{ job: await made(splinedShaft(), 'bench-splines', 'Fog signal, splined shaft'), cuts: 5 },
    },
  ];
}

export async function eachBench(page, { address, shoot }) {
  const ask = askOf(address);
  const { equipment } = await ask('GET', '/shop');
  for (const { caption, job, cuts, seen } of await benchesWith(ask)) {
    // a job copied the head it divides on, which the shop of the demo need not have
    const shop = job.id.startsWith('demo-') ? equipment : job.equipment;
    await openBench(page, address, { jobId: job.id, actions: await actionsFor(job, 'p1', shop, cuts) });
    await seen?.(page);
    await shoot(caption);
  }
  await spoilWheel(page, { address }, 4);
  await page.keyboard.press('i');
  await page.waitForSelector('.practice-measured');
  await shoot('Indexed too early, and how it measures');
}
