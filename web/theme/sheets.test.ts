import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';

const WEB = path.resolve('web');
const files = readdirSync(WEB, { recursive: true, encoding: 'utf8' });
const textOf = (file: string): string => readFileSync(path.join(WEB, file), 'utf8');
const sheets = files.filter((file) => file.endsWith('.css'));

/** Every selector of a sheet, one by one, those inside `@media` too. */
function selectorsOf(sheet: string): string[] {
  const bare = textOf(sheet).replace(/\/\*[^]*?\*\//g, '');
  return [...bare.matchAll(/([^{};]+)\{/g)]
    .map(([, before]) => before!.trim())
    .filter((before) => !before.startsWith('@'))
    .flatMap((before) => before.split(/,(?![^(]*\))/))
    .map((selector) => selector.trim().replace(/\s+/g, ' '));
}

const classesIn = (selector: string): string[] =>
  [...selector.matchAll(/\.([a-zA-Z][\w-]*)/g)].map(([, name]) => name!);

/** A state of something, `is-…`, belongs to what it is said of; `ant-…` are the components’ own. */
const isOurs = (name: string): boolean => !/^(is|ant)-/.test(name);

describe('style sheets', () => {
  test('a class is laid out in one folder; elsewhere it is only adapted inside something of that place', () => {
    const owners = new Map<string, Set<string>>();
    for (const sheet of sheets)
      for (const selector of selectorsOf(sheet)) {
        const [name, ...others] = classesIn(selector).filter(isOurs);
        if (name === undefined || others.length > 0 || !/^\.[\w-]+(\.is-[\w-]+)?$/.test(selector)) continue;
        owners.set(name, (owners.get(name) ?? new Set()).add(path.dirname(sheet)));
      }
    const shared = [...owners].filter(([, folders]) => folders.size > 1);
    expect(shared.map(([name, folders]) => `${name} in ${[...folders].join(' and ')}`)).toEqual([]);
    expect(owners.size).toBeGreaterThan(150);
  });
  test('no class is laid out that nothing has', () => {
    const code = files
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
      .map(textOf)
      .join('\n');
    const named = new Set(sheets.flatMap(selectorsOf).flatMap(classesIn).filter(isOurs));
    const dead = [...named].filter((name) => !new RegExp(`(?<![\\w-])${name}(?![\\w-])`).test(code));
    expect(dead).toEqual([]);
  });
  test('none is longer than can be read at once', () => {
    const long = sheets.filter((sheet) => textOf(sheet).split('\n').length > 251);
    expect(long).toEqual([]);
  });
});
