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

/** A bench of each sort, some cuts done by the prompts. */
export async function eachBench(page, { address, shoot }) {
  const ask = askOf(address);
  const { equipment } = await ask('GET', '/shop');
  const { jobOfGear, jobOfRack, splinedShaft } = await core('sampleBench');
  const put = async (job) => {
    await ask('PUT', `/jobs/${job.id}`, { revision: 0, job });
    return job;
  };
  const named = (job, id, name) => put({ ...job, id, name });
  const stored = async (id) => (await ask('GET', `/jobs/${id}`)).job;
  for (const [caption, job, cuts] of [
    [
      'Differential, for a room: gears turn the plate',
      await named(
        jobOfGear({ teeth: 53, module: 1, method: 'differential' }),
        'bench-orrery',
        'Orrery, wheel of 53',
      ),
      9,
    ],
    ['Helical: the table turns the work', await stored('demo-blower'), 6],
    ['A rack: the table divides', await named(jobOfRack(), 'bench-rack', 'Fog signal, cam rack'), 5],
    ['A worm wheel, sunk in its hollow', await stored('demo-carriage'), 14],
    [
      'Splines: walls that overhang',
      await named(splinedShaft(), 'bench-splines', 'Fog signal, splined shaft'),
      5,
    ],
  ]) {
    const shop = caption.startsWith('Helical') || caption.startsWith('A worm') ? equipment : job.equipment;
    const actions = await actionsFor(job, 'p1', shop ?? equipment, cuts);
    await openBench(page, address, { jobId: job.id, actions });
    if (caption.startsWith('Differential')) {
      // for a room, where the train stands beside the work
      await (await page.waitForSelector('::-p-aria([name="More"])')).click();
      await (await page.waitForSelector('::-p-aria([name="For a projector"])')).click();
      await page.waitForSelector('.practice-right .scribe-drawing');
    }
    await shoot(caption);
  }
  await spoilWheel(page, { address }, 4);
  await page.keyboard.press('i');
  await page.waitForSelector('.practice-measured');
  await shoot('Indexed too early, and how it measures');
}
