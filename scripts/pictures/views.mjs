import { eachBench, openBench, spoilWheel } from './benches.mjs';
import { makeClass } from './class.mjs';
import { runByMotor, showDevices } from './motor.mjs';

/** A printed row with two gears that stand in each other's place. */
async function fillChart(page) {
  for (const [n, text] of [
    [0, '58'],
    [2, '29'],
    [3, '20'],
  ]) {
    const field = (await page.$$('.chart-row .fields input'))[n];
    await field.click({ count: 3 });
    await field.type(text);
  }
}

async function showCounts(page, { address, shoot }) {
  const cell = await page.waitForSelector('::-p-aria([name="127: differential, with gears"])');
  await cell.click();
  await shoot('What this shop can divide');
  await page.goto(`${address}/chart`, { waitUntil: 'networkidle2' });
  await fillChart(page);
  await shoot('A row of a printed chart, checked');
}

/** An answer with the pin's own hole counted, then the same on paper. */
async function answerWrongly(page, { address, shoot }) {
  const kept = {
    state: {
      ...{ learner: 77, tried: [], classroom: null, own: null, outbox: [] },
      inHand: {
        ...{ draw: { kind: 'simple', seed: 31, level: 2 }, answers: {}, marked: null },
        ...{ counted: false, hintShown: false, workingShown: false },
      },
    },
    version: 1,
  };
  await page.evaluate((text) => localStorage.setItem('vuelta-exercises', text), JSON.stringify(kept));
  await page.reload({ waitUntil: 'networkidle0' });
  // the pin's own hole counted
  const asked = await page.waitForSelector('.exercise h1');
  const count = Number(/for (\d+) teeth/.exec(await asked.evaluate((each) => each.textContent))[1]);
  const circle = [33, 31, 29, 27, 23, 21, 20, 19, 18, 17, 16, 15, 49, 47, 43, 41, 39, 37].find(
    (holes) => (40 * holes) % count === 0,
  );
  const all = (40 * circle) / count;
  await page.type('.exercise-field input', `${Math.floor(all / circle)} ${(all % circle) + 1}/${circle}`);
  await page.keyboard.press('Enter');
  await page.waitForSelector('.exercise-verdict');
  await shoot('A slip, told by what it gives');
  const sheet = `${address}/exercises/sheet?number=47&level=2&kinds=outside,simple,arms,train&each=2`;
  for (const [caption, show] of [
    ['The sheet', ''],
    ['The key, apart, with its working', '&show=key'],
  ]) {
    await page.goto(sheet + show, { waitUntil: 'networkidle2' });
    await page.waitForSelector('.paper-list');
    await shoot(caption);
  }
}

const compareRuns = async (page) => (await page.waitForSelector('::-p-text(beside)')).click();

/** Its lead, in the night shift, and the return stroke at the mill. */
async function showHelical(page, { address, shoot }) {
  await page.keyboard.press('l');
  await shoot('The lead: train, table, what a tooth strays; night shift');
  await page.goto(`${address}/runs/run-demo-fan-gear`, { waitUntil: 'networkidle2' });
  await shoot('At the mill: the return stroke, prompt by prompt');
}

/** On a telephone at the machine. */
async function onTelephone(page, { address, shoot }) {
  for (const [caption, at] of [
    ['The jobs', '/'],
    ['A card', '/jobs/demo-lens-second/p1/dividing'],
    ['At the mill', '/runs/run-demo-lens-second'],
    ['An exercise', '/exercises'],
  ]) {
    await page.goto(address + at, { waitUntil: 'networkidle2' });
    await shoot(caption);
  }
  const actions = [
    { do: 'run', on: true },
    { do: 'lock', on: true },
    { do: 'depth', to: 2.98 },
  ];
  await openBench(page, address, {
    jobId: 'demo-lens-second',
    actions: [...actions, { do: 'table', to: 15 }],
  });
  await shoot('The practice bench');
}

/**
 * Each picture: its name, the address it begins at, and what is done before it is taken. Who shoots by the
 * way makes a sheet of several.
 */
export const VIEWS = [
  { name: 'bench', at: '/' },
  { name: 'door-sample', at: '/jobs/demo-pump-gear/p1/gear' },
  { name: 'card-blank-in-doubt', at: '/jobs/demo-winding/p1/blank' },
  { name: 'card-dividing', at: '/jobs/demo-lens-second/p1/dividing' },
  { name: 'mill', at: '/runs/run-demo-lens-second' },
  { name: 'card-setup', at: '/jobs/demo-lens-second/p1/setup' },
  { name: 'card-inspect', at: '/jobs/demo-stair-moon/p1/inspect' },
  { name: 'logbook', at: '/log/run-demo-lens-second', before: compareRuns },
  { name: 'helical', at: '/jobs/demo-blower/p1/lead', before: showHelical, across: 2, width: 960 },
  { name: 'practice', at: '/', before: spoilWheel },
  { name: 'practice-benches', at: '/', before: eachBench, across: 2, width: 960 },
  { name: 'shop', at: '/shop' },
  { name: 'exercise', at: '/exercises', before: answerWrongly, across: 3, width: 960 },
  { name: 'class', at: '/classes', before: makeClass },
  { name: 'mill-motor', at: '/', before: runByMotor, across: 2, width: 960 },
  // last of those with devices: its cable was out
  { name: 'devices', at: '/devices', before: showDevices, across: 2, width: 960 },
  { name: 'counts', at: '/counts', before: showCounts, across: 2, width: 960 },
  { name: 'telephone', at: '/', before: onTelephone, across: 5, width: 390, telephone: true },
];
