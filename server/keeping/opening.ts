import { accessSync, constants, copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import Database from 'libsql';
import { migrationsList } from '../migrations/index.ts';
import { copyStore, newestGoodCopy, troubleIn } from './copies.ts';

/** @throws a plain sentence when nothing can be written in the folder */
export function needFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK | constants.X_OK);
  } catch (error) {
    const why: Readonly<Record<string, string>> = {
      EACCES: 'this user may not write there',
      EPERM: 'this user may not write there',
      EROFS: 'that disk can only be read',
      ENOSPC: 'the disk is full',
      ENOTDIR: 'a part of that path is a file',
      EEXIST: 'that is a file, not a folder',
    };
    const { code = '' } = error as NodeJS.ErrnoException;
    throw new Error(
      `Nothing can be stored in ${folder}: ${why[code] ?? code}. Set VUELTA_DATA to a folder that can be written.`,
    );
  }
}

const stampOf = (now: Date): string => now.toISOString().replace(/[:.]/g, '-');

/**
 * Puts a damaged store aside and the newest good copy in its place.
 * @returns what was done, as a sentence @throws a plain sentence when there is no good copy
 */
export function takeCopy(store: string, now: Date): string {
  const copy = newestGoodCopy(store);
  if (!copy) throw new Error(`There is no sound copy of ${store} to take. Restore a backup file instead.`);
  const aside = `${store}.damaged-${stampOf(now)}`;
  if (existsSync(store)) renameSync(store, aside);
  for (const end of ['-wal', '-shm'])
    if (existsSync(`${store}${end}`)) renameSync(`${store}${end}`, `${aside}${end}`);
  const half = `${store}.half`;
  rmSync(half, { force: true });
  copyFileSync(copy.file, half);
  renameSync(half, store);
  return `The copy ${path.basename(copy.file)} is in use; what stood there is kept as ${path.basename(aside)}.`;
}

/** Names of the steps a store has been brought through; none where it is new. */
function stepsOf(store: string): string[] {
  const database = new Database(store, { readonly: true });
  try {
    const tables = database
      .prepare(`select name from sqlite_master where type = 'table' and name = 'mikro_orm_migrations'`)
      .all();
    if (tables.length === 0) return [];
    const rows = database.prepare('select name from mikro_orm_migrations order by id').all();
    return (rows as { name: string }[]).map(({ name }) => name);
  } finally {
    database.close();
  }
}

/**
 * Looks at a store before it is opened, and copies it before its tables are changed.
 * @throws a plain sentence when it is damaged, or from a later version; nothing is changed then
 */
export function lookBeforeOpening(store: string): void {
  if (!existsSync(store)) return;
  const trouble = troubleIn(store);
  if (trouble !== null) {
    const copy = newestGoodCopy(store);
    const offer = copy
      ? `The newest sound copy is ${path.basename(copy.file)}: start with --take-copy to use it; what stands there now is put aside and kept.`
      : 'There is no copy of it here. Move it away to begin anew, and restore a backup file.';
    throw new Error(`The store ${store} is damaged (${trouble}). Nothing was changed. ${offer}`);
  }
  const done = stepsOf(store);
  const known = new Set(migrationsList.map(({ name }) => name));
  const later = done.filter((name) => !known.has(name));
  if (later.length > 0)
    throw new Error(
      `This workshop was opened by a later Vuelta (${later.join(', ')}). Start that version; nothing was changed.`,
    );
  const next = migrationsList.find(({ name }) => !done.includes(name));
  if (done.length > 0 && next) copyStore(store, `before-${next.name}`);
}
