/** The built server on a store of its own, for scripts that look at it or count what a hand does. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { BROWSER_ARGS, findBrowser } from './browser.mjs';
import { root } from './ready.mjs';

const folder = (what) => mkdtempSync(path.join(os.tmpdir(), `vuelta-${what}-`));

/** @param args of the server, as `--demo` @returns its address, and how it is stopped and its store let go */
export async function openWorkshop(port, ...args) {
  const data = folder('workshop');
  const address = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, [path.join(root, 'dist/node/server/main.js'), ...args], {
    env: { ...process.env, PORT: String(port), VUELTA_DATA: data, LOG_LEVEL: 'error' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) =>
    server.stdout.on('data', (chunk) => String(chunk).includes(address) && resolve()),
  );
  const close = async () => {
    server.kill();
    await new Promise((resolve) => server.on('exit', resolve));
    rmSync(data, { recursive: true, force: true });
  };
  return { address, close };
}

/** A browser with a memory of its own, which goes with it. */
export async function openBrowser() {
  const { launch } = await import('puppeteer-core');
  const userDataDir = folder('browser');
  const browser = await launch({ executablePath: findBrowser(), args: BROWSER_ARGS, userDataDir });
  const close = async () => {
    await browser.close();
    rmSync(userDataDir, { recursive: true, force: true });
  };
  return { browser, close };
}

/** A page of 1280 × 800, in a browser window that remembers nothing, with nothing moving by itself. */
export async function openPage(context) {
  const page = await context.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  return page;
}
