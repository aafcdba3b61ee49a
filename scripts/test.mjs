/**
 * Every check there is: types, lint, unit and server tests, the build, browser journeys. Installs what it
 * needs.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { findBrowser } from './browser.mjs';
import { bin, build, install, root } from './ready.mjs';

install();
const results = mkdtempSync(path.join(os.tmpdir(), 'vuelta-results-'));
let passed = 0;
let failed = 0;

function check(name, args, env = {}) {
  console.log(`\n— ${name}`);
  const started = Date.now();
  const { status } = spawnSync(process.execPath, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  console.log(`  ${status === 0 ? 'good' : 'NOT GOOD'}, ${((Date.now() - started) / 1000).toFixed(1)} s`);
  return status === 0;
}
function count(good) {
  if (good) passed += 1;
  else failed += 1;
}
function jest(name, config, env = {}) {
  const output = path.join(results, `${config}.json`);
  const good = check(
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
    env,
  );
  try {
    const told = JSON.parse(readFileSync(output, 'utf8'));
    passed += told.numPassedTests;
    failed += told.numFailedTests + told.numRuntimeErrorTestSuites;
  } catch {
    count(good && false);
  }
}

count(check('types', [bin('typescript/bin/tsc'), '-p', 'tsconfig.json']));
count(check('types of core alone', [bin('typescript/bin/tsc'), '-p', 'tsconfig.core.json']));
count(check('lint', [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']));
count(check('format', [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']));
jest('unit and server', 'jest.config.mjs');
if (failed === 0) {
  build();
  jest('browser journeys', 'jest.e2e.config.mjs', { BROWSER_PATH: findBrowser() });
} else console.log('\nThe browser journeys wait until the rest is good.');

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
