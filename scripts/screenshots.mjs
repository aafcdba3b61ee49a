/**
 * Takes one current picture of each main view, from the demo workshop, into docs/screenshots (or the folder
 * given).
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { montage } from './pictures/montage.mjs';
import { VIEWS } from './pictures/views.mjs';
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

const TELEPHONE = { width: 390, height: 844, isMobile: true, hasTouch: true };
const SETTLES_MS = 500;

async function take({ name, at, before, telephone, ...sheet }) {
  const context = await browser.createBrowserContext();
  const page = await openPage(context);
  if (telephone) await page.setViewport(TELEPHONE);
  const tiles = [];
  const picture = async () => {
    await page.evaluate(() => document.fonts.ready);
    await new Promise((resolve) => setTimeout(resolve, SETTLES_MS));
    return Buffer.from(await page.screenshot());
  };
  const shoot = async (caption) => tiles.push({ caption, png: await picture() });
  await page.goto(workshop.address + at, { waitUntil: 'networkidle2' });
  await before?.(page, { address: workshop.address, shoot });
  const file = path.join(target, `${name}.png`);
  if (tiles.length > 0) await montage(browser, tiles, { file, ...sheet });
  else writeFileSync(file, await picture());
  await context.close();
  console.log(name);
}

/** The first page of a sheet, by poppler where there is one: it looks at a PDF as a printer does. */
async function sheetPicture(name, job) {
  const answer = await fetch(`${workshop.address}/api/jobs/${job}/files/sheet.pdf`);
  const file = path.join(os.tmpdir(), `${name}.pdf`);
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
  const drawn = spawnSync('pdftoppm', ['-r', '90', '-png', '-singlefile', file, path.join(target, name)]);
  rmSync(file);
  console.log(drawn.error ? `${name}: no poppler here, the picture stays as it was` : name);
}

const wanted = (name) => !only || name === only;

try {
  for (const view of VIEWS) if (wanted(view.name)) await take(view);
  if (wanted('sheet')) await sheetPicture('sheet', 'demo-lens-second');
} finally {
  await close();
  standIns.kill();
  await workshop.close();
}
