/**
 * Takes one current picture of each main view, from the demo workshop, into docs/screenshots (or the folder
 * given).
 */
import { mkdirSync } from 'node:fs';
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
  ['card-wheel', '/jobs/demo-carriage/p1/wheel'],
  ['card-blank-in-doubt', '/jobs/demo-winding/p1/blank'],
  ['card-cutter', '/jobs/demo-fog-cam/p1/cutter'],
  ['card-dividing', '/jobs/demo-lens-second/p1/dividing'],
  [
    'card-template',
    '/jobs/demo-fog-cam/p1/cutter',
    async (page) => {
      const summary = await page.waitForSelector('::-p-text(Make the cutter for this very count)');
      await summary.click();
      await page.waitForSelector('.make-sheet');
      await page.$eval('.error-plot', (plot) => plot.scrollIntoView());
    },
  ],
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
    'counts',
    '/counts',
    async (page) => {
      const cell = await page.waitForSelector('::-p-aria([name="127: differential, with gears"])');
      await cell.click();
    },
  ],
];
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
} finally {
  await close();
  await workshop.close();
}
