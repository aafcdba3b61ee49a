/**
 * Takes one current picture of each main view, from the demo workshop, into docs/screenshots (or the folder
 * given).
 */
import { spawnSync } from 'node:child_process';
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

/** name, address, what to do before the picture */
const views = [
  ['bench', '/'],
  ['door-sample', '/jobs/demo-pump-gear/p1/gear'],
  ['card-drive', '/jobs/demo-carriage/p2/drive'],
  ['card-blank-in-doubt', '/jobs/demo-winding/p1/blank'],
  ['card-cutter', '/jobs/demo-fog-cam/p1/cutter'],
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
    'mill-wrong',
    '/runs/run-demo-lens-second',
    async (page) => {
      await page.keyboard.press('x');
      const symptom = await page.waitForSelector('::-p-text(One tooth at the end is thin)');
      await symptom.click();
      await page.waitForSelector('.trouble-list');
    },
  ],
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
  ['card-spacing', '/jobs/demo-square/p1/spacing'],
  ['shop', '/shop'],
  [
    'paper',
    '/jobs/demo-lens-second/print',
    async (page) => {
      const files = await page.waitForSelector('::-p-text(Drawings, tables and programs)');
      await files.click();
    },
  ],
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
  await workshop.close();
}
