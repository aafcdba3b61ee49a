import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import Database from 'libsql';

/** How often the store is copied by itself, and how many of the copies are kept. */
export interface CopyRule {
  /** 0: none are made. */
  readonly keep: number;
  readonly hours: number;
}

const folderOf = (store: string): string => path.join(path.dirname(store), 'copies');
const nameOf = (store: string): string => path.basename(store, '.sqlite');

/** A copy of a store, with when it was made, ms. */
export interface Copy {
  readonly file: string;
  readonly at: number;
}

/** The copies of a store, the newest first; those made before a change of its tables among them. */
export function copiesOf(store: string): Copy[] {
  const folder = folderOf(store);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.startsWith(`${nameOf(store)}-`) && name.endsWith('.sqlite'))
    .map((name) => path.join(folder, name))
    .map((file) => ({ file, at: statSync(file).mtimeMs }))
    .sort((a, b) => b.at - a.at || (a.file < b.file ? 1 : -1));
}

/** What SQLite finds wrong with a store at a quick look; null when it is sound. */
export function troubleIn(file: string): string | null {
  let database: Database.Database | null = null;
  try {
    database = new Database(file, { readonly: true });
    const rows = database.prepare('pragma quick_check(3)').all() as { quick_check: string }[];
    const told = rows.map(({ quick_check }) => quick_check);
    return told.length === 1 && told[0] === 'ok' ? null : told.join('; ');
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    database?.close();
  }
}

/**
 * Copies a store by SQLite’s own means, whole and of one moment, while others read and write it.
 * @param what begins the name of the copy: `2026-12-01`, `before-pictures`
 * @returns the file of the copy; under its name only once it is whole
 */
export function copyStore(store: string, what: string): string {
  const folder = folderOf(store);
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, `${nameOf(store)}-${what}.sqlite`);
  const half = `${file}.half`;
  rmSync(half, { force: true });
  const database = new Database(store);
  try {
    database.exec(`vacuum into '${half.replaceAll("'", "''")}'`);
  } finally {
    database.close();
  }
  renameSync(half, file);
  return file;
}

/** Takes away the oldest of the copies beyond those that are kept. */
export function thinCopies(store: string, keep: number): void {
  for (const { file } of copiesOf(store).slice(Math.max(1, keep))) rmSync(file, { force: true });
}

/** The newest copy that is sound; null when there is none. */
export const newestGoodCopy = (store: string): Copy | null =>
  copiesOf(store).find(({ file }) => troubleIn(file) === null) ?? null;

/** Is it time for the next copy? */
export function isCopyDue(store: string, { keep, hours }: CopyRule, now: number): boolean {
  if (keep === 0) return false;
  const [newest] = copiesOf(store);
  // a clock that was set back makes a copy from the future: it is due then too
  return !newest || Math.abs(now - newest.at) >= hours * 3_600_000;
}
