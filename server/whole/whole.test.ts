import { describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'libsql';
import { MOST_DEVICES, type Device } from '../../core/devices/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import type { LogList, Problem, Restored, StoredRun } from '../../core/wire/index.ts';
import { Trial } from '../trial.ts';
import { rowsInLines } from './backupRows.ts';
import { restoreBackup } from './restoreBackup.ts';
import { writeBackup } from './writeBackup.ts';

const sample = (version: number): string =>
  readFileSync(new URL(`./samples/v${version}.json`, import.meta.url), 'utf8');

describe('backups of every version go into an empty workshop', () => {
  test.each([
    [1, 'tooth-space', 53, 0, 0],
    [2, 'flat', 7, 1, 0],
    [3, 'flat', 7, 1, 2],
  ])('version %i', async (version, divides, divisions, pictures, devices) => {
    const trial = new Trial(`whole-v${version}`);
    await trial.start();
    const { status, body } = await trial.ask<Restored>('POST', '/restore', sample(version));
    expect([status, body]).toMatchObject([200, { jobs: 1, changed: 0, runs: 1, counts: 2, devices }]);
    const { run, summary } = (await trial.ask<StoredRun>('GET', '/runs/r1')).body;
    expect(run).toMatchObject({ divides, divisions });
    expect(summary).toMatchObject({ done: 2, next: { space: 3 } });
    const log = (await trial.ask<LogList>('GET', '/log?words=second%20wheel')).body;
    expect(log.total).toBe(version === 1 ? 1 : 0);
    const shown = await trial.ask<{ pictures: object[] }>('GET', '/pictures?about=job%2Fj1');
    expect(shown.body.pictures).toHaveLength(pictures);
    // once more: nothing twice
    expect((await trial.ask<Restored>('POST', '/restore', sample(version))).body).toMatchObject({
      changed: 0,
      counts: 0,
      devices: 0,
    });
    await trial.close();
  });
});

describe('devices of a backup', () => {
  const listed = async (trial: Trial) =>
    (await trial.ask<{ devices: Device[] }>('GET', '/devices')).body.devices;
  const motor = (name: string): Device => ({
    ...{ id: 'm1', kind: 'motor', name, letter: 'C', perTurn: 400, reversed: true, speed: 100 },
    ...{ takeUp: 0, pulses: 0, hold: 'arm', watchedBy: null, on: true },
    link: { via: 'tcp', host: 'localhost', port: 9 },
  });

  test('come back as they were set up, put aside: their lines are another machine’s', async () => {
    const trial = new Trial('devices-back');
    await trial.start();
    await trial.ask('POST', '/restore', sample(3));
    // at once, without a start
    expect(await listed(trial)).toMatchObject([
      { id: 't1', name: 'Caliper of the bench', on: false, decimal: ',', link: { path: '/dev/ttyUSB0' } },
      { id: 'm1', name: 'Rotary table motor', on: false, perTurn: 360, takeUp: 2, watchedBy: 'x1' },
    ]);
    await trial.close();
  });

  test('one that is here stays as it is; one of another version rests as it rested', async () => {
    const trial = new Trial('devices-here');
    await trial.start();
    await trial.ask('PUT', '/devices/m1', motor('Motor of this bench'));
    const database = new Database(path.join(trial.folder, 'workshop.sqlite'));
    const later = '{"id":"later","kind":"scanner"}';
    database.prepare('insert into device (id, document) values (?, ?)').run('later', later);
    const { body } = await trial.ask<Restored>('POST', '/restore', sample(3));
    expect(body.devices).toBe(1);
    expect(await listed(trial)).toMatchObject([{ id: 't1' }, { ...motor('Motor of this bench') }]);
    const backup = await trial.ask<{ devices: object[]; sha256?: string }>('GET', '/backup');
    expect(backup.body.devices).toContainEqual({ device: null, raw: later, id: 'later' });
    database.prepare('delete from device').run();
    // written in other lines it has another hash
    const { sha256: _, ...text } = backup.body;
    const again = await trial.ask<Restored>('POST', '/restore', JSON.stringify(text));
    expect(again.body.devices).toBe(3);
    expect(database.prepare("select document from device where id = 'later'").get()).toMatchObject({
      document: later,
    });
    database.close();
    await trial.close();
  });

  test('one that is damaged is told, and nothing is taken; more than a shop has stay in the file', async () => {
    const trial = new Trial('devices-many');
    await trial.start();
    const { sha256: _, ...whole } = JSON.parse(sample(3)) as {
      sha256: string;
      devices: { device: Device }[];
    };
    const strange = { ...whole, devices: [{ device: { ...motor('M'), perTurn: -1 } }] };
    const refused = await trial.ask<Problem>('POST', '/restore', JSON.stringify(strange));
    expect(refused.status).toBe(422);
    expect(sayIssue(refused.body.issues[0]!)).toBe(
      'This cannot be put back: a device in it is damaged. Nothing was changed.',
    );
    const many = Array.from({ length: MOST_DEVICES + 3 }, (_each, i) => ({
      device: { ...motor(`M ${i}`), id: `m${i}` },
    }));
    const { body } = await trial.ask<Restored>(
      'POST',
      '/restore',
      JSON.stringify({ ...whole, devices: many }),
    );
    expect([body.finished, body.devices]).toEqual([true, MOST_DEVICES]);
    expect(await listed(trial)).toHaveLength(MOST_DEVICES);
    await trial.close();
  });
});

describe('a restore that is under way', () => {
  const many = 200;
  interface Sample {
    jobs: { job: { id: string; name: string } }[];
    sha256?: string;
  }
  /** One job, many times over. */
  function large(): string {
    const { sha256: _, ...one } = JSON.parse(sample(3)) as Sample;
    const [first] = one.jobs;
    const more = Array.from({ length: many - 1 }, (_, i) => ({
      ...first!,
      line: 'a wheel',
      job: { ...first!.job, id: `more-${i}`, name: `Wheel ${i}` },
    }));
    return JSON.stringify({ ...one, jobs: [...one.jobs, ...more] });
  }

  test('says how far it is, lets no second one in, and goes on to the end', async () => {
    const trial = new Trial('restoring');
    await trial.start();
    const under = async () => (await trial.ask<{ under: Restored | null }>('GET', '/restore')).body.under;
    expect(await under()).toBeNull();
    const first = trial.ask<Restored>('POST', '/restore', large());
    let soFar = await under();
    const until = performance.now() + 20_000;
    while (!soFar && performance.now() < until) soFar = await under();
    expect(soFar).toMatchObject({ finished: false });
    const second = await trial.ask<Problem>('POST', '/restore', sample(2));
    expect([second.status, second.body.issues[0]!.code]).toEqual([409, 'restore-under-way']);
    // jobs, the run twice and its job, its two counts, the picture, two devices
    const ofRows = many + 2 + 1 + 2 + 1 + 2;
    expect((await first).body).toMatchObject({
      jobs: many,
      changed: 0,
      finished: true,
      rows: ofRows,
      ofRows,
    });
    expect((await trial.ask<{ total: number }>('GET', '/jobs?limit=1')).body.total).toBe(many);
    expect(await under()).toBeNull();
    // nothing is under way: to stop it stops nothing
    expect((await trial.ask('DELETE', '/restore')).status).toBe(200);
    await trial.close();
  });

  /** A store and a file beside it, for what the server’s threads do. */
  async function atRest(name: string, text: string) {
    const trial = new Trial(name);
    await trial.start();
    const [store, file] = ['workshop.sqlite', 'backup.json'].map((each) => path.join(trial.folder, each));
    writeFileSync(file!, text);
    const restore = (stopped: () => boolean = () => false) => {
      const told: Restored[] = [];
      const better = (soFar: Restored) => told.push(soFar);
      return restoreBackup(store!, file!, { better, stopped }).then((restored) => ({ restored, told }));
    };
    return { trial, store: store!, file: file!, restore };
  }
  const totalIn = async (trial: Trial) =>
    (await trial.ask<{ total: number }>('GET', '/jobs?limit=1')).body.total;

  test('stops between two steps, whole as far as it came, and put back again goes on to the end', async () => {
    const { trial, restore } = await atRest('stopped', large());
    // while it is read: nothing goes over
    const early = await restore(() => true);
    expect(early.restored).toMatchObject({ jobs: 0, aside: '', finished: false });
    expect(await totalIn(trial)).toBe(0);
    // each row is asked for as it is read, then once each step
    let asked = 0;
    const rowsRead = many + 4;
    const { restored } = await restore(() => (asked += 1) > rowsRead + 3);
    expect(restored.finished).toBe(false);
    expect(restored.aside).toMatch(/^copies\//);
    expect(restored.jobs).toBeGreaterThan(0);
    expect(restored.jobs).toBeLessThan(many);
    expect(await totalIn(trial)).toBe(restored.jobs);
    const again = await restore();
    expect(again.restored).toMatchObject({ jobs: many, changed: 0, finished: true });
    const rows = again.told.map((told) => told.rows);
    expect(rows).toEqual([...rows].sort((one, other) => one - other));
    expect(await totalIn(trial)).toBe(many);
    await trial.close();
  });

  test('a file in other lines than it was written in is the same backup', async () => {
    const { trial, store, file, restore } = await atRest('lines', large());
    await restore();
    writeBackup({ store, file, at: '2026-11-25T10:00:00Z' });
    const inLines = readFileSync(file, 'utf8');
    // as it is written, it is read a line at a time: shop, jobs, run, picture, devices
    expect([...rowsInLines(file)].map(({ of }) => of).length).toBe(1 + many + 1 + 1 + 2);
    const { sha256: _, ...whole } = JSON.parse(inLines) as Record<string, unknown>;
    const everything = async (text: string, name: string) => {
      const other = await atRest(name, text);
      expect((await other.restore()).restored).toMatchObject({
        jobs: many,
        runs: 1,
        counts: 2,
        finished: true,
      });
      writeBackup({ ...other, at: '2026-11-25T10:00:00Z' });
      const written = readFileSync(other.file, 'utf8');
      await other.trial.close();
      return written;
    };
    const { shop, jobs, kept, runs, pictures, devices, ...head } = whole;
    for (const [name, text] of [
      ['written', inLines],
      ['indented', JSON.stringify(whole, null, 2)],
      ['one-line', JSON.stringify(whole)],
      ['turned-round', JSON.stringify({ devices, pictures, runs, kept, jobs, shop, ...head })],
      ['parted-elsewhere', inLines.replace('},\n{"job"', '}\n,{"job"').replace(/,\n"sha256.*\n$/, '}')],
      ['a-line-more', inLines.replace(/,\n"sha256.*\n$/, ',\n"remark":[{"of":"mine"}]}')],
    ] as const)
      expect([name, await everything(text, `lines-${name}`)]).toEqual([name, inLines]);
    await trial.close();
  });

  test('signs of several bytes that lie across the pieces it is read in are whole', () => {
    const file = path.join(mkdtempSync(path.join(tmpdir(), 'vuelta-pieces-')), 'backup.json');
    // 3 bytes each, rows of 30 kB, 6 MB: the pieces of a MB end within signs
    const rows = Array.from({ length: 200 }, (_, i) => ({ job: '″'.repeat(10_000 + i), '≥': 'é' }));
    const list = (name: string, each: readonly object[] = []) =>
      `"${name}":[${each.map((row) => `\n${JSON.stringify(row)}`).join(',')}]`;
    const text = [
      '{"format":"vuelta-workshop","version":2,"at":"2026-11-25T10:00:00Z"',
      '"shop":null',
      ...[list('jobs', rows), list('kept'), list('runs'), list('pictures')],
    ].join(',\n');
    const sha256 = createHash('sha256').update(text).digest('hex');
    writeFileSync(file, `${text},\n"sha256":"${sha256}"}\n`);
    const read = [...rowsInLines(file)];
    expect(read.slice(1).map(({ raw }) => raw)).toEqual(rows);
    rmSync(path.dirname(file), { recursive: true });
  });

  test.each<[string, (text: string) => string, RegExp]>([
    ['a letter in a name', (text) => text.replace('"name":"', '"name":"x'), /was changed since/],
    [
      'a letter in a count',
      (text) => text.replace('"kind":"done"', '"kind":"dune"'),
      /a run in it is damaged/,
    ],
    ['the hash', (text) => text.replace(/"sha256":"./, '"sha256":"g'), /was changed since/],
    ['cut off between two rows', (text) => text.slice(0, text.indexOf('\n"runs"')), /not whole, or no JSON/],
    ['cut off within a row', (text) => text.slice(0, text.indexOf('"runs"') - 40), /not whole, or no JSON/],
  ])('broken: %s; nothing of it is taken, and what is here stays', async (name, breaks, words) => {
    const { trial, store, file, restore } = await atRest(`broken-${name.replaceAll(' ', '-')}`, sample(2));
    await restore();
    writeBackup({ store, file, at: '2026-11-25T10:00:00Z' });
    const before = readFileSync(file, 'utf8');
    writeFileSync(file, breaks(before));
    await expect(restore()).rejects.toMatchObject({
      issues: [{ detail: { why: expect.stringMatching(words) } }],
    });
    expect(readdirSync(path.dirname(file)).filter((each) => each.includes('.rows'))).toEqual([]);
    writeBackup({ store, file, at: '2026-11-25T10:00:00Z' });
    expect(readFileSync(file, 'utf8')).toBe(before);
    await trial.close();
  });

  test('jobs, runs or counts that stand in it twice are refused by name', async () => {
    const { sha256: _, ...one } = JSON.parse(sample(2)) as Sample & { runs: object[] };
    for (const [text, words] of [
      [{ ...one, jobs: [...one.jobs, ...one.jobs] }, 'a job in it stands there twice'],
      [{ ...one, runs: [...one.runs, ...one.runs] }, 'a run in it stands there twice'],
      [{ ...one, jobs: [] }, 'a run in it belongs to no job in it'],
    ] as const) {
      const { trial, restore } = await atRest('twice', JSON.stringify(text));
      await expect(restore()).rejects.toMatchObject({ issues: [{ detail: { why: words } }] });
      expect(await totalIn(trial)).toBe(0);
      await trial.close();
    }
  });

  test('what could not be read goes over as it rested, once', async () => {
    const { trial, store, file, restore } = await atRest('raw', sample(2));
    await restore();
    const put = (sql: string, ...values: string[]) => {
      const database = new Database(store);
      database.prepare(sql).run(...values);
      database.close();
    };
    put(
      `insert into run_event (id, run_id, device, device_seq, document) values ('bad', 'r1', 'x', 9, '{"no')`,
    );
    put(`insert into job select 'odd', 'Odd one', '', '{"version":99}', 3, 0, created_at, updated_at,
      '', '', '', '', '', '', 'not-cut', 0 from job limit 1`);
    writeBackup({ store, file, at: '2026-11-25T10:00:00Z' });
    const text = readFileSync(file, 'utf8');
    // where it lies already, nothing is added
    expect((await restore()).restored).toMatchObject({ counts: 0, changed: 0 });
    const other = await atRest('raw-other', text);
    expect((await other.restore()).restored).toMatchObject({ jobs: 1, runs: 1, counts: 3 });
    expect((await other.restore()).restored).toMatchObject({ counts: 0 });
    const database = new Database(other.store, { readonly: true });
    const rests = (sql: string) => database.prepare(sql).all();
    expect(rests(`select document from run_event where device = 'unread'`)).toMatchObject([
      { document: '{"no' },
    ]);
    expect(rests(`select document, name from job where id = 'odd'`)).toMatchObject([
      { document: '{"version":99}', name: 'Odd one' },
    ]);
    database.close();
    expect((await other.trial.ask<StoredRun>('GET', '/runs/r1')).body.summary.done).toBe(2);
    await other.trial.close();
    await trial.close();
  });

  test('a backup that nobody waits for any more ends where it is', () => {
    const trial = new Trial('half');
    return trial.start().then(async () => {
      await trial.ask('POST', '/restore', large());
      const [store, file] = ['workshop.sqlite', 'half.json'].map((name) => path.join(trial.folder, name));
      let rows = 0;
      writeBackup({ store: store!, file: file!, at: '2026-11-25T10:00:00Z', stopped: () => ++rows > 5 });
      const lines = readFileSync(file!, 'utf8')
        .split('\n')
        .filter((line) => line.startsWith('{"job"'));
      expect(lines).toHaveLength(5);
      await trial.close();
    });
  });
});
