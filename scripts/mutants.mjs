/**
 * Small faults put into core, one at a time, to see whether a test notices: `npm run mutants` for the folders
 * with changes, `npm run mutants -- setup gear` for these, `--all` for every one, `--sample 60` for so many
 * of a folder's faults (40 unless said), `--seed 2` for others. Prints the share noticed by folder, lists
 * what was not, and fails below the floor.
 */
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { Stryker } from '@stryker-mutator/core';
import { FOLDERS, sourcesOf } from './mutation/folders.mjs';
import { mutantsOf, rangeOf, sample } from './mutation/sample.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    all: { type: 'boolean', default: false },
    sample: { type: 'string', default: '40' },
    seed: { type: 'string', default: '1' },
  },
});
const FLOOR = JSON.parse(readFileSync('docs/mutation-floor.json', 'utf8'));

function changedFolders() {
  const changed = execFileSync('git', ['status', '--porcelain', '--untracked-files=all'], {
    encoding: 'utf8',
  }).concat(execFileSync('git', ['diff', '--name-only', 'HEAD~1'], { encoding: 'utf8' }));
  return FOLDERS.filter((folder) => new RegExp(`core/${folder}/[^/]+\\.ts`).test(changed));
}

const folders = values.all ? FOLDERS : positionals.length > 0 ? positionals : changedFolders();
if (folders.length === 0) console.log(`No folder with mutants has changed. Name one: ${FOLDERS.join(', ')}.`);

mkdirSync('.mutants', { recursive: true });
let below = false;
for (const folder of folders) {
  const started = Date.now();
  const all = await mutantsOf(sourcesOf(folder));
  const chosen = sample(all, Number(values.sample), `${values.seed} ${folder}`);
  process.env.MUTANT_FOLDER = folder;
  const results = await new Stryker({
    mutate: chosen.map(rangeOf),
    testRunner: 'jest',
    testRunnerNodeArgs: ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'],
    jest: {
      projectType: 'custom',
      configFile: 'scripts/mutation/jest.config.mjs',
      enableFindRelatedTests: false,
    },
    buildCommand: `${process.execPath} scripts/mutation/bundle.mjs`,
    coverageAnalysis: 'perTest',
    mutator: { excludedMutations: ['StringLiteral', 'BlockStatement'] },
    ignorePatterns: [
      '/dist',
      '/docs',
      '/server',
      '/web',
      '/e2e',
      '/bench',
      '.mutants',
      '.mutant-tests',
      '*.md',
    ],
    plugins: ['@stryker-mutator/jest-runner'],
    concurrency: 2,
    timeoutMS: 15_000,
    reporters: [],
    tempDirName: '.stryker-tmp',
    logLevel: 'error',
    allowConsoleColors: false,
    cleanTempDir: 'always',
  }).runMutationTest();
  const noticed = results.filter(({ status }) => status === 'Killed' || status === 'Timeout');
  const missed = results.filter(({ status }) => status === 'Survived' || status === 'NoCoverage');
  const score = (100 * noticed.length) / (noticed.length + missed.length);
  const lines = missed
    .map(({ fileName, location: { start, end }, mutatorName, replacement, status }) => {
      const file = path.relative(process.cwd(), path.resolve(fileName)).replace(/^.*?core\//, 'core/');
      const source = readFileSync(file, 'utf8').split('\n');
      const was = source
        .slice(start.line - 1, end.line)
        .map((line, i, { length }) =>
          line.slice(i === 0 ? start.column - 1 : 0, i === length - 1 ? end.column - 1 : undefined).trim(),
        )
        .join(' ');
      return `${file}:${start.line}:${start.column} ${mutatorName}${status === 'NoCoverage' ? ' (no test gets there)' : ''}: ${was.slice(0, 110)}  →  ${(replacement ?? '').replace(/\s+/g, ' ').slice(0, 110)}`;
    })
    .sort();
  writeFileSync(`.mutants/${folder}.txt`, `${lines.join('\n')}\n`);
  const floor = FLOOR[folder] ?? 0;
  if (score < floor) below = true;
  console.log(
    `${folder.padEnd(9)} ${score.toFixed(0).padStart(3)} % noticed, ${noticed.length} of ${noticed.length + missed.length} (of ${all.length} in the folder), ${((Date.now() - started) / 1000).toFixed(0)} s${score < floor ? `  BELOW THE FLOOR OF ${floor} %` : ''}`,
  );
  for (const line of lines) console.log(`    ${line}`);
}
process.exit(below ? 1 : 0);
