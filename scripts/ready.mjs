/**
 * Installs and builds what is missing or out of date. No dependencies of its own: it runs before there are
 * any.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { compress } from './compress.mjs';
import { offlinePage } from './offline.mjs';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const stamps = path.join(root, 'node_modules', '.vuelta');

export function fail(message) {
  console.error(`\n${message}\n`);
  process.exit(1);
}

/** Runs a command in the project's folder; ends the whole script when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** npm itself, by the one that started this script where there is one. */
export function npm(...args) {
  const through = process.env.npm_execpath;
  if (through) run(process.execPath, [through, ...args]);
  else run(process.platform === 'win32' ? 'npm.cmd' : 'npm', args, { shell: process.platform === 'win32' });
}

export const bin = (name) => path.join(root, 'node_modules', name);

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(path.relative(root, file)).update(readFileSync(file));
  return hash.digest('hex');
}

function filesBelow(folder) {
  return readdirSync(folder, { recursive: true })
    .map((name) => path.join(folder, name))
    .filter((file) => statSync(file).isFile() && !/\.test\.tsx?$/.test(file))
    .sort();
}

/** Does `make` unless the files' hash is the one stamped when it was last done. */
function unlessStamped(name, files, product, make) {
  const stamp = path.join(stamps, name);
  const now = hashOf(files);
  if (existsSync(product) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return false;
  make();
  mkdirSync(stamps, { recursive: true });
  writeFileSync(stamp, now);
  return true;
}

export function install() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Vuelta needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  const lock = path.join(root, 'package-lock.json');
  unlessStamped('installed', [lock], bin('typescript'), () => {
    console.log('Installing packages (about a minute, once)…');
    npm('ci', '--include=dev', '--no-audit', '--no-fund');
  });
}

export function build() {
  const sources = ['core', 'server', 'stand-ins', 'web', 'bench'].flatMap((folder) =>
    filesBelow(path.join(root, folder)),
  );
  const settings = [
    'package.json',
    'package-lock.json',
    'vite.config.ts',
    'index.html',
    'scripts/compress.mjs',
    'scripts/offline.mjs',
    'tsconfig.base.json',
    'tsconfig.build.json',
  ].map((name) => path.join(root, name));
  unlessStamped('built', [...sources, ...settings], path.join(root, 'dist/web/index.html'), () => {
    console.log('Building…');
    run(process.execPath, [bin('typescript/bin/tsc'), '-p', 'tsconfig.build.json']);
    run(process.execPath, [bin('vite/bin/vite.js'), 'build', '--logLevel', 'warn']);
    offlinePage(path.join(root, 'web/offline/sw.js'), path.join(root, 'dist/web'));
    compress(path.join(root, 'dist/web'));
  });
}
