/**
 * Takes one current picture of each main view, from the demo workshop, into docs/screenshots (or the folder
 * given).
 */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { BROWSER_ARGS, findBrowser } from './browser.mjs';
import { build, install, root } from './ready.mjs';

install();
build();
const { launch } = await import('puppeteer-core');
const target = path.resolve(root, process.argv[2] ?? 'docs/screenshots');
const only = process.argv[3];
const data = mkdtempSync(path.join(os.tmpdir(), 'vuelta-pictures-'));
const port = 4871;
const base = `http://127.0.0.1:${port}`;
mkdirSync(target, { recursive: true });

const server = spawn(process.execPath, [path.join(root, 'dist/node/server/main.js'), '--demo'], {
  env: { ...process.env, PORT: String(port), VUELTA_DATA: data, LOG_LEVEL: 'error' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => String(chunk).includes(base) && resolve()),
);
const browser = await launch({
  executablePath: findBrowser(),
  args: BROWSER_ARGS,
  userDataDir: path.join(data, 'browser'),
});

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
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    await page.goto(base + address, { waitUntil: 'networkidle2' });
    if (before) await before(page);
    await page.evaluate(() => document.fonts.ready);
    await new Promise((resolve) => setTimeout(resolve, 500));
    await page.screenshot({ path: path.join(target, `${name}.png`) });
    await context.close();
    console.log(name);
  }
} finally {
  await browser.close();
  server.kill();
  await new Promise((resolve) => server.on('exit', resolve));
  rmSync(data, { recursive: true, force: true });
}
