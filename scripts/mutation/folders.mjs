/**
 * The folders of core whose wiring is pinned by mutants, and the tests beyond their own that look at them.
 */
import { readdirSync } from 'node:fs';

export const FOLDERS = [
  'setup',
  'inspect',
  'gear',
  'lead',
  'worm',
  'wheel',
  'run',
  'cutter',
  'arrival',
  'sample',
  'trouble',
  'dividing',
];

/** Of core/plan the tests that ask for figures; those that try anything at all take long and ask for none. */
const OF_PLAN = ['joints', 'plan'];
/** A folder whose figures are told by another: the tests of that one. */
const TOLD_BY = {
  run: ['core/prompts/sentences.test.ts', 'core/logbook/logbook.test.ts'],
  setup: ['core/prompts/sentences.test.ts'],
  trouble: ['core/logbook/logbook.test.ts'],
  arrival: ['core/plan/arrivals.test.ts'],
};

/** Brute force that takes longer than all the rest: what only it would notice counts as missed. */
const TOO_LONG = ['core/setup/stroke.test.ts'];

const testsIn = (folder) =>
  readdirSync(folder)
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => `${folder}/${name}`)
    .filter((name) => !TOO_LONG.includes(name));

/** @param folder of core */
export const testsOf = (folder) => [
  ...testsIn(`core/${folder}`),
  ...testsIn('core/worked'),
  ...testsIn('core/plan').filter((name) => OF_PLAN.some((part) => name.startsWith(`core/plan/${part}`))),
  ...(TOLD_BY[folder] ?? []),
];

/** Sources of a folder, tests left aside. */
export const sourcesOf = (folder) =>
  readdirSync(`core/${folder}`)
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'index.ts')
    .map((name) => `core/${folder}/${name}`);
