import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import Database from 'libsql';
import { scratchFolder } from '../scratch.ts';
import { Trial, jobNamed } from '../trial.ts';
import { storeFile } from '../config.ts';
import {
  copiesOf,
  copyStore,
  isCopyDue,
  lockStore,
  lookBeforeOpening,
  needFolder,
  takeCopy,
  thinCopies,
  troubleIn,
} from './index.ts';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(path.join(scratchFolder(), 'vuelta-keeping-'));
});
afterEach(() => {
  chmodSync(folder, 0o700);
  rmSync(folder, { recursive: true, force: true });
});
/** A store with one table of so many rows. */
function makeStore(rows = 1): string {
  const file = path.join(folder, 'workshop.sqlite');
  const database = new Database(file);
  database.exec('create table if not exists count (n)');
  for (let i = 0; i < rows; i += 1) database.exec(`insert into count values (${i})`);
  database.close();
  return file;
}
const rowsIn = (file: string): number => {
  const database = new Database(file, { readonly: true });
  const { n } = database.prepare('select count(*) as n from count').get() as { n: number };
  database.close();
  return n;
};

describe('one server for a store', () => {
  const lockOf = () => path.join(folder, 'workshop.sqlite.lock');
  test('a lock that a server left behind is taken over; one that is held, or held on another machine, is not', () => {
    const lock = lockStore(lockOf());
    expect(existsSync(lockOf())).toBe(true);
    lock.release();
    expect(existsSync(lockOf())).toBe(false);
    // no process has this number
    writeFileSync(lockOf(), JSON.stringify({ ...JSON.parse('{"pid":4194304}'), host: 'elsewhere' }));
    expect(() => lockStore(lockOf())).toThrow(/open on the machine “elsewhere”/);
    writeFileSync(lockOf(), '');
    lockStore(lockOf()).release();
    lockStore(lockOf());
    const held = JSON.parse(readFileSync(lockOf(), 'utf8')) as { host: string };
    writeFileSync(lockOf(), JSON.stringify({ ...held, pid: 4_194_304 }));
    lockStore(lockOf());
    writeFileSync(lockOf(), JSON.stringify({ ...held, pid: process.ppid }));
    expect(() => lockStore(lockOf())).toThrow(/open in another Vuelta already \(process \d+\)/);
  });
});

describe('copies by itself', () => {
  test('whole and sound, under their day; the oldest go; due by the hour, also after a clock that was set', () => {
    const store = makeStore(3);
    expect(isCopyDue(store, { keep: 14, hours: 24 }, Date.now())).toBe(true);
    const file = copyStore(store, '2026-11-30');
    expect(path.basename(file)).toBe('workshop-2026-11-30.sqlite');
    expect([rowsIn(file), troubleIn(file)]).toEqual([3, null]);
    expect(readdirSync(path.dirname(file))).toEqual(['workshop-2026-11-30.sqlite']);
    const rule = { keep: 2, hours: 24 };
    expect(isCopyDue(store, rule, Date.now())).toBe(false);
    expect(isCopyDue(store, rule, Date.now() + 25 * 3_600_000)).toBe(true);
    expect(isCopyDue(store, rule, Date.now() - 25 * 3_600_000)).toBe(true);
    expect(isCopyDue(store, { keep: 0, hours: 24 }, Date.now() + 1e12)).toBe(false);
    utimesSync(file, 1000, 1000);
    copyStore(store, '2026-12-01');
    copyStore(store, '2026-12-02');
    thinCopies(store, 2);
    expect(
      copiesOf(store)
        .map((copy) => path.basename(copy.file))
        .sort(),
    ).toEqual(['workshop-2026-12-01.sqlite', 'workshop-2026-12-02.sqlite']);
  });

  test('a copy of the same day takes the place of the one before only once it is whole', () => {
    const store = makeStore(1);
    const file = copyStore(store, '2026-12-01');
    makeStore(4);
    expect(copyStore(store, '2026-12-01')).toBe(file);
    expect(rowsIn(file)).toBe(5);
  });
});

describe('what stands in the way of opening', () => {
  test('a damaged store is named, left as it is, and the newest sound copy offered and taken at a word', () => {
    const store = makeStore(2);
    copyStore(store, '2026-11-29');
    const bad = copyStore(store, '2026-11-30');
    writeFileSync(bad, 'cut short');
    writeFileSync(store, 'this is no store at all, whatever it is called');
    expect(() => lookBeforeOpening(store)).toThrow(
      /is damaged .*Nothing was changed\. The newest sound copy is workshop-2026-11-29\.sqlite: start with --take-copy/,
    );
    expect(readFileSync(store, 'utf8')).toMatch(/^this is no store/);
    const said = takeCopy(store, new Date('2026-12-01T08:00:00Z'));
    expect(said).toBe(
      'The copy workshop-2026-11-29.sqlite is in use; what stood there is kept as workshop.sqlite.damaged-2026-12-01T08-00-00-000Z.',
    );
    expect(rowsIn(store)).toBe(2);
    expect(readFileSync(`${store}.damaged-2026-12-01T08-00-00-000Z`, 'utf8')).toMatch(/^this is no store/);
    expect(() => lookBeforeOpening(store)).not.toThrow();
  });

  test('without a sound copy it says so', () => {
    const store = path.join(folder, 'workshop.sqlite');
    writeFileSync(store, 'nothing');
    expect(() => lookBeforeOpening(store)).toThrow(/There is no copy of it here/);
    expect(() => takeCopy(store, new Date())).toThrow(/no sound copy/);
  });

  test('a store of a later version is refused by what it knows, and a new one, or none, is not', () => {
    const store = path.join(folder, 'workshop.sqlite');
    expect(() => lookBeforeOpening(store)).not.toThrow();
    const database = new Database(store);
    database.exec('create table mikro_orm_migrations (id integer primary key, name text)');
    database.exec(`insert into mikro_orm_migrations (name) values ('20261124-first'), ('20991231-later')`);
    database.close();
    expect(() => lookBeforeOpening(store)).toThrow(/opened by a later Vuelta \(20991231-later\)/);
  });

  test('before its tables are changed a store is copied', () => {
    const store = makeStore(1);
    const database = new Database(store);
    database.exec('create table mikro_orm_migrations (id integer primary key, name text)');
    database.exec(`insert into mikro_orm_migrations (name) values ('20261124-first')`);
    database.close();
    lookBeforeOpening(store);
    expect(copiesOf(store).map(({ file }) => path.basename(file))).toEqual([
      'workshop-before-20261125-logbook.sqlite',
    ]);
  });

  test('a folder that is a file, or below one, is told in words', () => {
    writeFileSync(path.join(folder, 'file'), '');
    expect(() => needFolder(path.join(folder, 'file', 'data'))).toThrow(/a part of that path is a file/);
    expect(() => needFolder(path.join(folder, 'new', 'data'))).not.toThrow();
    mkdirSync(path.join(folder, 'own'));
  });
});

test('a server that cannot start lets go of its lock; a second one on the same folder is refused in words', async () => {
  const trial = new Trial('keeping');
  await trial.start();
  await trial.keep(jobNamed('k1'));
  const lock = `${storeFile(trial.config)}.lock`;
  await trial.stop();
  expect(existsSync(lock)).toBe(false);
  writeFileSync(lock, JSON.stringify({ pid: process.ppid, host: (await import('node:os')).hostname() }));
  await expect(trial.start()).rejects.toThrow(/open in another Vuelta already/);
  rmSync(lock);
  await trial.start();
  expect((await trial.ask('GET', '/jobs/k1')).status).toBe(200);
  expect((await trial.ask<{ ok: boolean }>('GET', '/health')).body).toMatchObject({
    ok: true,
    store: 'read',
  });
  await trial.close();
});
