/**
 * Takes one current picture of each main view, from the demo workshop, into docs/screenshots (or the folder
 * given).
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { build, install, root } from './ready.mjs';
import { openBrowser, openPage, openWorkshop } from './workshop.mjs';

install();
build();
const target = path.resolve(root, process.argv[2] ?? 'docs/screenshots');
const only = process.argv[3];
mkdirSync(target, { recursive: true });
const workshop = await openWorkshop(4871, '--demo');
const { browser, close } = await openBrowser();

/** The simulated devices, on the lines where the demo looks for them. */
const standIns = spawn(process.execPath, [path.join(root, 'dist/node/stand-ins/main.js')], {
  stdio: 'ignore',
});
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const knobs = (turned) =>
  fetch('http://127.0.0.1:4820/knobs', { method: 'POST', body: JSON.stringify(turned) });

async function chooseMotor(page) {
  await wait(3000);
  const motor = await page.waitForSelector('::-p-text(Rotary table motor)');
  await motor.click();
  const zero = await page.waitForSelector('::-p-text(It stands at 0)');
  await zero.click();
  await page.waitForSelector('.device-go');
}

/** A wheel by motor, made by the API: its first space cut, the table half-way to the second. */
async function runByMotor(page) {
  const core = (name) => import(path.join(root, `dist/node/core/${name}/index.js`));
  const { drawnSpurJob, withDividing, withHead, withSpurPart } = await core('job');
  const { countAim, quickMethods } = await core('dividing');
  const { measure } = await core('units');
  const ask = async (method, address, body) => {
    const answer = await fetch(`${workshop.address}/api${address}`, {
      ...{ method, headers: { 'content-type': 'application/json' } },
      ...(body && { body: JSON.stringify(body) }),
    });
    return answer.json();
  };
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
  const choice = quickMethods({ head, gearSets, steppers }, countAim(97)).find(
    ({ method }) => method === 'stepper',
  ).ways[0].choice;
  const job = withDividing(
    withHead({ job: sized, partId: 'p1', head, shop: equipment }),
    'p1',
    (dividing) => ({
      ...dividing,
      choice,
    }),
  );
  const { revision } = await ask('PUT', '/jobs/by-motor', { revision: 0, job });
  await ask('POST', '/jobs/by-motor/runs', {
    ...{ id: 'run-by-motor', partId: 'p1', revision, piece: { kind: 'work', name: '' } },
  });
  await knobs({ axes: { X: 0, Z: 0 } });
  await page.goto(`${workshop.address}/runs/run-by-motor`, { waitUntil: 'networkidle2' });
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
  await knobs({ axes: { X: -30, Z: 2.25 }, motor: { speed: 0.05 } });
  await wait(900);
  const box = await go.boundingBox();
  await page.mouse.move(box.x + 90, box.y + 30);
  await page.mouse.down();
  await wait(1500);
}

/** A class at work: made, joined and tried by the API, as tablets do. */
async function makeClass(page) {
  const { poseExercise, nextExercise } = await import(path.join(root, 'dist/node/core/exercises/index.js'));
  const ask = async (address, body, method = 'POST') => {
    const answer = await fetch(`${workshop.address}/api${address}`, {
      ...{ method, headers: { 'content-type': 'application/json' } },
      body: JSON.stringify(body),
    });
    return answer.json();
  };
  const kinds = ['simple', 'arms', 'angle', 'outside', 'depth', 'train', 'pins', 'centring'];
  const room = await ask('/classes', { name: 'Keepers, first year', kinds, jobId: 'demo-lens-second' });
  const names = [
    'Ana',
    'Bruno',
    'Celia',
    'Dario',
    'Elsa',
    'Fidel',
    'Gala',
    'Hugo',
    'Irene',
    'Julio',
    'Karla',
  ];
  for (const [n, name] of names.entries()) {
    const { token, seed } = await ask('/learners', { code: room.code, name });
    const tried = [];
    for (let i = 0; i < 6 + (n % 5); i += 1) {
      const draw = nextExercise(tried, { kinds, learner: seed });
      const { fields } = poseExercise(draw);
      const answers = Object.fromEntries(fields.map(({ key, answer }) => [key, answer]));
      const slips = (i + n) % 3 === 0;
      if (slips && draw.kind === 'arms') answers.holes = String(Number(answers.holes) - 1);
      else if (slips && draw.kind === 'depth') answers.depth = String(2 * Number(answers.depth));
      else if (slips) answers[fields[0].key] = '1';
      const { right } = await ask(`/learners/${token}/tries`, { id: `t${i}`, draw, answers });
      tried.push({ draw, right });
    }
    // some have rehearsed the class’s job, one all of it
    const made = [62, 0, 17, 31, 0, 8][n] ?? 0;
    const harms = { 2: { gouged: 1 }, 3: { gouged: 2, shifted: 1 }, 5: { shifted: 3 } }[n] ?? {};
    if (made > 0)
      await ask(`/learners/${token}/bench`, { jobId: 'demo-lens-second', made, of: 62, harms }, 'PUT');
  }
  await page.goto(`${workshop.address}/classes/${room.key}`, { waitUntil: 'networkidle0' });
  await page.waitForSelector('.class-slips');
}

/** name, address, what to do before the picture */
const views = [
  ['bench', '/'],
  ['door-sample', '/jobs/demo-pump-gear/p1/gear'],
  ['card-blank-in-doubt', '/jobs/demo-winding/p1/blank'],
  ['card-dividing', '/jobs/demo-lens-second/p1/dividing'],
  [
    'chart-check',
    '/chart',
    async (page) => {
      for (const [n, text] of [
        [0, '58'],
        [2, '29'],
        [3, '20'],
      ]) {
        const field = (await page.$$('.chart-row .fields input'))[n];
        await field.click({ count: 3 });
        await field.type(text);
      }
    },
  ],
  ['mill', '/runs/run-demo-lens-second'],
  ['card-setup', '/jobs/demo-lens-second/p1/setup'],
  ['card-inspect', '/jobs/demo-stair-moon/p1/inspect'],
  [
    'logbook',
    '/log/run-demo-lens-second',
    async (page) => {
      const beside = await page.waitForSelector('::-p-text(beside)');
      await beside.click();
    },
  ],
  ['mill-helical', '/runs/run-demo-fan-gear'],
  ['card-lead', '/jobs/demo-blower/p1/lead', async (page) => page.keyboard.press('l')],
  [
    'practice',
    '/practice/demo-lens-second/p1',
    async (page) => {
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
      const actions = [{ do: 'run', on: true }, ...spaces, ...early, { do: 'crank', turns: '7/31' }];
      await page.evaluate(
        (kept) => localStorage.setItem('vuelta-practice /jobs/demo-lens-second/p1', kept),
        JSON.stringify({ revision: 1, seed: null, actions }),
      );
      await page.reload({ waitUntil: 'networkidle0' });
      await page.waitForSelector('::-p-text(gouged)');
    },
  ],
  ['shop', '/shop'],
  [
    'exercise',
    '/exercises',
    async (page) => {
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
    },
  ],
  ['class', '/classes', makeClass],
  ['devices', '/devices', chooseMotor],
  ['mill-motor', '/devices', runByMotor],
  [
    'counts',
    '/counts',
    async (page) => {
      const cell = await page.waitForSelector('::-p-aria([name="127: differential, with gears"])');
      await cell.click();
    },
  ],
];
/** The first page of a sheet, by poppler where there is one: it looks at a PDF as a printer does. */
async function sheetPicture(name, job) {
  if (only && !name.includes(only)) return;
  const answer = await fetch(`${workshop.address}/api/jobs/${job}/files/sheet.pdf`);
  const file = path.join(os.tmpdir(), `${name}.pdf`);
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
  const drawn = spawnSync('pdftoppm', ['-r', '90', '-png', '-singlefile', file, path.join(target, name)]);
  rmSync(file);
  console.log(drawn.error ? `${name}: no poppler here, the picture stays as it was` : name);
}

try {
  for (const [name, address, before] of views) {
    if (only && !name.includes(only)) continue;
    const context = await browser.createBrowserContext();
    const page = await openPage(context);
    await page.goto(workshop.address + address, { waitUntil: 'networkidle2' });
    if (before) await before(page);
    await page.evaluate(() => document.fonts.ready);
    await new Promise((resolve) => setTimeout(resolve, 500));
    await page.screenshot({ path: path.join(target, `${name}.png`) });
    await context.close();
    console.log(name);
  }
  await sheetPicture('sheet', 'demo-lens-second');
} finally {
  await close();
  standIns.kill();
  await workshop.close();
}
