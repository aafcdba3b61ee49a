/**
 * Every check there is: types, lint, unit and server tests, the build, browser journeys. Installs what it
 * needs.
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { findBrowser } from './browser.mjs';
import { bin, build, install, root } from './ready.mjs';

install();
const results = mkdtempSync(path.join(os.tmpdir(), 'vuelta-results-'));
let passed = 0;
let failed = 0;

/**
 * Runs a check. What it says comes in one piece, so that those that run at once do not mix, or as it comes.
 */
function check(name, args, { env = {}, live = false } = {}) {
  if (live) console.log(`\n— ${name}`);
  const started = Date.now();
  return new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      stdio: live ? 'inherit' : 'pipe',
      env: { ...process.env, ...env },
    });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (chunk) => {
        said += chunk;
      });
    child.on('close', (status) => {
      const seconds = ((Date.now() - started) / 1000).toFixed(1);
      if (!live) console.log(`\n— ${name}`);
      console.log(`${said}  ${status === 0 ? 'good' : 'NOT GOOD'}, ${seconds} s`);
      resolve(status === 0);
    });
  });
}
function count(good) {
  if (good) passed += 1;
  else failed += 1;
}
async function jest(name, config, env = {}) {
  const output = path.join(results, `${config}.json`);
  const good = await check(
    name,
    [
      '--experimental-vm-modules',
      '--disable-warning=ExperimentalWarning',
      bin('jest/bin/jest.js'),
      '--config',
      config,
      '--json',
      '--outputFile',
      output,
    ],
    { env, live: true },
  );
  try {
    const told = JSON.parse(readFileSync(output, 'utf8'));
    passed += told.numPassedTests;
    failed += told.numFailedTests + told.numRuntimeErrorTestSuites;
  } catch {
    count(good && false);
  }
}

/** One after the other; two such rows side by side are what two cores carry. */
async function inTurn(...checks) {
  for (const [name, ...args] of checks) count(await check(name, args));
}
await Promise.all([
  inTurn(['lint', bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']),
  inTurn(
    ['types', bin('typescript/bin/tsc'), '-p', 'tsconfig.json'],
    ['types of core alone', bin('typescript/bin/tsc'), '-p', 'tsconfig.core.json'],
    ['format', bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'],
    ['what nothing uses', bin('knip/bin/knip.js'), '--no-progress'],
    ['licences', path.join(root, 'scripts/licences.mjs'), '--check'],
    ['Markdown', bin('markdownlint-cli2/markdownlint-cli2-bin.mjs')],
  ),
]);
await jest('unit and server', 'jest.config.mjs');
if (failed === 0) {
  build();
  await jest('browser journeys', 'jest.e2e.config.mjs', { BROWSER_PATH: findBrowser() });
} else console.log('\nThe browser journeys wait until the rest is good.');

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
