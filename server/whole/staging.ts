import { createHash } from 'node:crypto';
import { rmSync } from 'node:fs';
import Database from 'libsql';
import { plan, whatItIs } from '../../core/plan/index.ts';
import { runEventSchema, tallyOf } from '../../core/run/index.ts';
import { equipmentSchema, shopToToday, type Equipment } from '../../core/shop/index.ts';
import { listedFields, restingOf, standingOfRow } from '../resting/index.ts';
import {
  notABackup,
  readDeviceEntry,
  readJobEntry,
  readKeptEntry,
  readPictureEntry,
  readRunEntry,
  readShop,
  type DeviceInBackup,
  type JobInBackup,
  type KeptInBackup,
  type RawDevice,
  type RawJob,
  type RawRun,
  type RunInBackup,
} from './backupFile.ts';
import { NotInLines, rowsInLines, rowsInOnePiece, type BackupRow } from './backupRows.ts';

type Cell = string | number;
type Row = Readonly<Record<string, Cell>>;

/** The counts of a run, of the text of their list. */
const COUNTS = `
  insert into main.staged_event (id, run_id, device, device_seq, document)
  select json_extract(value, '$.id'), ?, json_extract(value, '$.device'),
    json_extract(value, '$.deviceSeq'), value
  from json_each(?)`;

/**
 * Tables as the workshop’s own, and what is known of a row beside that. Their names are no names of the
 * workshop’s: a table that is not found in one file is looked for in the other.
 */
const TABLES = `
  create table staged_job as select *, 0 as raw from here.job where 0;
  create table staged_kept as select * from here.kept_version where 0;
  create table staged_run as select *, 0 as events, 0 as raw, 0 as fresh from here.run where 0;
  create table staged_event as select id, run_id, device, device_seq, document from here.run_event where 0;
  create table staged_picture as select * from here.picture where 0;
  create table staged_device as select * from here.device where 0;
  create unique index job_once on staged_job (id);
  create unique index run_once on staged_run (id);`;

function shopOf(document: string): Equipment | null {
  try {
    const read = equipmentSchema.safeParse(shopToToday(JSON.parse(document)));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

const STAGED = ['job', 'kept', 'run', 'event', 'picture', 'device', 'cut'] as const;
type Staged = (typeof STAGED)[number];

const quoted = (text: string): string => `'${text.replaceAll("'", "''")}'`;

/**
 * The rows of a backup, read and checked, in a file of their own in the shape they have in the workshop,
 * which stands beside them as `here`: memory does not grow with the backup, and the workshop is held only
 * while rows go over.
 */
export class Staging {
  readonly database: Database.Database;
  /** The shop in the backup; null where there is none. */
  shop: Equipment | null = null;
  /** The shop here; null where there is none, or it cannot be read. */
  readonly shopHere: Equipment | null;
  private readonly file: string;
  private bulk!: Database.Statement;
  private readonly inserts = new Map<string, Database.Statement>();
  /** @param store the file the workshop rests in @param file is written, and goes with {@link close} */
  constructor(store: string, file: string) {
    this.file = file;
    this.remove();
    this.database = new Database(file);
    this.database.exec('pragma journal_mode = memory; pragma synchronous = off; pragma busy_timeout = 5000');
    this.database.exec(`attach ${quoted(store)} as here; pragma here.synchronous = normal`);
    const row = this.database.prepare('select document from here.shop where id = 1').get();
    this.shopHere = row === undefined ? null : shopOf((row as { document: string }).document);
  }

  /**
   * Reads a whole backup. @returns false where it was stopped
   * @throws Refused 422 with what in it cannot be read
   */
  fill(backup: string, stopped: () => boolean): boolean {
    try {
      return this.take(rowsInLines(backup), stopped);
    } catch (error) {
      if (!(error instanceof NotInLines)) throw error;
      return this.take(rowsInOnePiece(backup), stopped);
    }
  }

  /** @returns the first column of the first row */
  count(query: string, ...values: Cell[]): number {
    const row = this.database.prepare(query).get(...values) as Record<string, number>;
    return Object.values(row)[0]!;
  }

  /**
   * What went over is on the disk when this returns. Before, a power cut may take the last steps: nobody was
   * told of them, and put back again they are done.
   */
  settle(): void {
    this.database.exec('pragma here.wal_checkpoint(passive)');
  }

  close(): void {
    this.database.close();
    this.remove();
  }

  private remove(): void {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(this.file + end, { force: true });
  }

  private take(rows: Iterable<BackupRow>, stopped: () => boolean): boolean {
    for (const name of STAGED) this.database.exec(`drop table if exists main.staged_${name}`);
    this.inserts.clear();
    this.database.exec(TABLES);
    this.bulk = this.database.prepare(COUNTS);
    this.database.exec('begin');
    try {
      for (const row of rows) {
        if (stopped()) return false;
        this.put(row);
      }
      this.database.exec('create table staged_cut as select distinct job_id from staged_run');
    } finally {
      this.database.exec('commit');
    }
    this.needCountsOnce();
    const lost =
      'select count(*) from staged_run where raw = 0 and job_id not in (select id from staged_job)';
    if (this.count(lost) > 0) throw notABackup('a run in it belongs to no job in it');
    return true;
  }

  private put({ of, raw }: BackupRow): void {
    if (of === 'shop') this.shop = readShop(raw);
    else if (of === 'jobs') this.putJob(readJobEntry(raw));
    else if (of === 'runs') this.putRun(readRunEntry(raw));
    else if (of === 'kept') this.putKept(readKeptEntry(raw));
    else if (of === 'devices') this.putDevice(readDeviceEntry(raw));
    else {
      const { away, ...picture } = readPictureEntry(raw);
      this.insert('picture', { ...picture, away: away ? 1 : 0 });
    }
  }

  private putJob(entry: JobInBackup | RawJob): void {
    const { revision, archived, createdAt, updatedAt } = entry;
    const standing = { run_id: '', standing: standingOfRow(null) };
    const row = {
      revision,
      archived: archived ? 1 : 0,
      created_at: createdAt,
      updated_at: updatedAt,
      ...standing,
    };
    const read = isRaw(entry) ? rawJob(entry) : this.listedJob(entry);
    this.once('a job in it', 'job', { ...row, ...read });
  }

  private listedJob({ job, line: told }: JobInBackup): Row {
    const shop = this.shop ?? this.shopHere;
    // from before it was written with the job
    const line = told ?? [...new Set(plan(job, shop ?? job.equipment).parts.map(whatItIs))].join('; ');
    const listed = listedFields(job, line, shop ?? { materials: [] });
    return { id: job.id, name: job.name, line, document: JSON.stringify(job), ...listed, raw: 0 };
  }

  private putRun(entry: RunInBackup | RawRun): void {
    const { startedAt, updatedAt, eventsRaw = [] } = entry;
    const { counted, ...read } = isRaw(entry) ? rawRun(entry) : listedRun(entry);
    const events = counted.length + eventsRaw.length;
    const times = { started_at: startedAt, updated_at: updatedAt };
    this.once('a run in it', 'run', { ...read, ...times, events, fresh: 0 });
    // the document of each is its text there, as JSON writes it
    this.bulk.run(read.id, JSON.stringify(counted));
    // what could not be read of a run that can be, rests on as it rested
    for (const [place, text] of eventsRaw.entries()) this.insert('event', rawEvent(read.id, text, place));
  }

  private putKept({ id, jobId, job, baseRevision, at }: KeptInBackup): void {
    const document = typeof job === 'string' ? job : JSON.stringify(job);
    this.insert('kept', { id, job_id: jobId, document, base_revision: baseRevision, at });
  }

  /** Its line is that of the machine it was set up on: it comes put aside. */
  private putDevice(entry: DeviceInBackup | RawDevice): void {
    const row =
      entry.raw === undefined
        ? { id: entry.device.id, document: JSON.stringify({ ...entry.device, on: false }) }
        : { id: entry.id, document: entry.raw };
    this.insert('device', row);
  }

  /** @throws Refused 422 where it is here already */
  private once(what: string, table: Staged, row: Row): void {
    try {
      this.insert(table, row);
    } catch (error) {
      if (!(error instanceof Error && /unique/i.test(error.message))) throw error;
      throw notABackup(`${what} stands there twice`);
    }
  }

  private insert(table: Staged, row: Row): void {
    const names = Object.keys(row);
    let statement = this.inserts.get(table);
    if (!statement) {
      const values = names.map((name) => `@${name}`).join(', ');
      statement = this.database.prepare(
        `insert into main.staged_${table} (${names.join(', ')}) values (${values})`,
      );
      this.inserts.set(table, statement);
    }
    statement.run(row);
  }

  /**
   * No count twice, nor a screen’s number; in the whole file, as in the whole workshop.
   * @throws Refused 422
   */
  private needCountsOnce(): void {
    try {
      this.database.exec(`
        create unique index main.event_once on staged_event (id);
        create unique index main.number_once on staged_event (run_id, device, device_seq)`);
    } catch {
      const { document } = this.database
        .prepare(
          `select document from staged_run where id in (
             select run_id from staged_event group by id having count(*) > 1
             union select run_id from staged_event group by run_id, device, device_seq having count(*) > 1)`,
        )
        .get() as { document: string };
      throw notABackup(`a count of “${nameOfRun(document)}” in it stands there twice`);
    }
  }
}

/** The name of its job. */
export function nameOfRun(document: string): string {
  try {
    return (JSON.parse(document) as { jobName: string }).jobName;
  } catch {
    return '?';
  }
}

const isRaw = <Entry extends { readonly raw?: string | undefined }>(
  entry: Entry,
): entry is Extract<Entry, { readonly raw: string }> => entry.raw !== undefined;

const rawJob = ({ id, name = id, raw }: RawJob): Row => ({
  ...{ id, name, line: '', document: raw, raw: 1 },
  ...{ kinds: '', materials: '', tags: '', person: '', words: '', listed: 0 },
});

function listedRun({ run, events: counted }: RunInBackup) {
  const { id, jobId, partId } = run;
  const row = { id, job_id: jobId, part_id: partId, document: JSON.stringify(run), raw: 0 };
  return { ...row, ...restingOf(tallyOf(run, counted)), counted };
}

/** As it rested: what it is listed by is written when it is here. */
function rawRun({ id, jobId = '', partId = 'p1', raw, events }: RawRun) {
  const row = { id, job_id: jobId, part_id: partId, document: raw, raw: 1, summary: '{}', listed: 0 };
  const counted = events.map((event) => runEventSchema.parse(event));
  return { ...row, digest: '', now: '', words: '', outcome: '', piece: '', counted };
}

/** The same text has the same id, so that it goes in once. */
function rawEvent(runId: string, document: string, place: number): Row {
  const hash = createHash('sha256').update(`${runId} ${place} ${document}`).digest('hex');
  return {
    id: `unread-${hash.slice(0, 32)}`,
    run_id: runId,
    device: 'unread',
    device_seq: place + 1,
    document,
  };
}
