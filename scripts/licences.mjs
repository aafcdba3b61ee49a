/**
 * Lists the licences of all that runs with Vuelta, fonts and libraries, in docs/licences.md. `--check`
 * compares.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { format } from 'prettier';
import { fail, root } from './ready.mjs';

const LIST = path.join(root, 'docs/licences.md');
const { packages } = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));

/** What a package says of itself where the lock does not. */
function ownWord(folder) {
  const file = path.join(root, folder, 'package.json');
  const { license } = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
  return typeof license === 'string' ? license : license?.type;
}

/** Of one that tells it only by the text that lies with it. */
function byItsText(folder) {
  const file = path.join(root, folder, 'LICENSE');
  const text = existsSync(file) ? readFileSync(file, 'utf8').replace(/\s+/g, ' ') : '';
  return /Permission is hereby granted, free of charge, .* without restriction/.test(text)
    ? 'MIT'
    : undefined;
}

const rows = Object.entries(packages)
  .filter(([folder, { dev, optional, devOptional }]) => folder && !dev && !optional && !devOptional)
  .map(([folder, { version, license }]) => {
    const name = folder.slice(folder.lastIndexOf('node_modules/') + 'node_modules/'.length);
    return { name, version, licence: license ?? ownWord(folder) ?? byItsText(folder) ?? 'not told' };
  })
  .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1));

const untold = rows.filter(({ licence }) => licence === 'not told');
if (untold.length > 0) fail(`No licence is told by: ${untold.map(({ name }) => name).join(', ')}.`);

const counts = [...new Set(rows.map(({ licence }) => licence))].map((licence) => [
  licence,
  rows.filter((row) => row.licence === licence).length,
]);
const text = await format(
  [
    '# Licences of what runs with Vuelta',
    '',
    'Fonts and libraries that the page and the server need, with all that these need in turn. Made by',
    '`npm run licences`.',
    '',
    '| licence | packages |',
    '| --- | --- |',
    ...counts.sort(([, a], [, b]) => b - a).map(([licence, count]) => `| ${licence} | ${count} |`),
    '',
    '## Packages',
    '',
    '| package | version | licence |',
    '| --- | --- | --- |',
    ...rows.map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`),
    '',
  ].join('\n'),
  { parser: 'markdown', singleQuote: true, printWidth: 110 },
);

if (!process.argv.includes('--check')) writeFileSync(LIST, text);
else if (!existsSync(LIST) || readFileSync(LIST, 'utf8') !== text)
  fail('docs/licences.md is not that of these packages: npm run licences.');
