/** Finds an installed browser; on Debian as root it installs Chromium from the distribution's packages. */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { fail } from './ready.mjs';

const NAMES = ['chromium', 'chromium-browser', 'google-chrome', 'google-chrome-stable', 'chrome', 'msedge'];
const PLACES = [
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
  'C:\\Program Files\\Google\\Chrome\\Application\\chrome.exe',
  'C:\\Program Files (x86)\\Microsoft\\Edge\\Application\\msedge.exe',
];

function installed() {
  if (process.env.BROWSER_PATH) return existsSync(process.env.BROWSER_PATH) ? process.env.BROWSER_PATH : null;
  const folders = (process.env.PATH ?? '').split(path.delimiter);
  const onPath = NAMES.flatMap((name) => folders.map((folder) => path.join(folder, name)));
  return [...onPath, ...PLACES].find((file) => existsSync(file)) ?? null;
}

/** @returns the path of a browser that speaks the DevTools protocol */
export function findBrowser() {
  const found = installed();
  if (found) return found;
  if (existsSync('/etc/debian_version') && process.getuid?.() === 0) {
    console.log('Installing Chromium from Debian’s packages…');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'inherit', env });
    spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env,
    });
    const now = installed();
    if (now) return now;
  }
  return fail(
    'The browser journeys need Chromium or Chrome, and none was found. Install one (on Debian: apt-get install chromium), or set BROWSER_PATH to it.',
  );
}

export const BROWSER_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
