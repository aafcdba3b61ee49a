/**
 * Writes the whole workshop into a file, whether its server runs or not: `npm run backup -- FILE`; with
 * `--demo` that of the demo workshop.
 */
import { existsSync, renameSync } from 'node:fs';
import path from 'node:path';
import { build, fail, install, root } from './ready.mjs';

const args = process.argv.slice(2);
const [given] = args.filter((arg) => !arg.startsWith('--'));
if (!given) fail('Where to? npm run backup -- FILE');
install();
build();
const { readConfig, storeFile } = await import('../dist/node/server/config.js');
const { writeBackup } = await import('../dist/node/server/whole/index.js');
const store = storeFile(readConfig(process.env, args, root));
if (!existsSync(store)) fail(`There is no workshop in ${store} yet.`);
const file = path.resolve(given);
writeBackup({ store, file: `${file}.half`, at: new Date().toISOString() });
renameSync(`${file}.half`, file);
console.log(`\nThe whole workshop is in ${file}.\n`);
