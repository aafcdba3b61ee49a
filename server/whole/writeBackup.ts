import { createHash } from 'node:crypto';
import { closeSync, openSync, writeSync } from 'node:fs';
import Database from 'libsql';
import { deviceSchema } from '../../core/devices/index.ts';
import { readJob } from '../../core/job/index.ts';
import { readRun, runEventSchema } from '../../core/run/index.ts';
import { equipmentSchema, shopToToday } from '../../core/shop/index.ts';
import { BACKUP_FORMAT, BACKUP_VERSION } from './backupFile.ts';

/** A document that rests, parsed; null where it is damaged or of a version that is not read here. */
function parsed(document: string, reads: (raw: unknown) => boolean): unknown {
  try {
    const raw: unknown = JSON.parse(document);
    return reads(raw) ? raw : null;
  } catch {
    return null;
  }
}

function isRun(raw: unknown): boolean {
  try {
    readRun(raw);
    return true;
  } catch {
    return false;
  }
}
const isEvent = (raw: unknown): boolean => runEventSchema.safeParse(raw).success;
const isDevice = (raw: unknown): boolean => deviceSchema.safeParse(raw).success;
const isShop = (raw: unknown): boolean => equipmentSchema.safeParse(shopToToday(raw)).success;

/** A file that is written piece by piece, and ends with the hash of all that was written. */
class HashedFile {
  private readonly hash = createHash('sha256');
  private readonly fd: number;
  constructor(file: string) {
    this.fd = openSync(file, 'w');
  }
  write(text: string): void {
    this.hash.update(text);
    writeSync(this.fd, text);
  }
  end(): void {
    writeSync(this.fd, `,\n"sha256":"${this.hash.digest('hex')}"}\n`);
    closeSync(this.fd);
  }
}

type Row = Readonly<Record<string, string | number>>;

interface Writing {
  /** The file the store rests in, and the one that is written anew. */
  readonly store: string;
  readonly file: string;
  /** When, ISO 8601. */
  readonly at: string;
  /** Is it no longer wanted? Then it ends where it is, not whole. */
  readonly stopped?: () => boolean;
}

/**
 * Writes the whole workshop into a file, as it stands at one moment, a row at a time: others read and write
 * the store meanwhile, and no more of it is in memory than one run with its counts.
 */
export function writeBackup({ store, file, at, stopped = () => false }: Writing): void {
  const database = new Database(store);
  const out = new HashedFile(file);
  try {
    database.exec('begin');
    const shop = database.prepare('select document from shop where id = 1').get() as Row | undefined;
    const document = shop && String(shop['document']);
    const equipment = document === undefined ? null : parsed(document, isShop);
    out.write(
      `{"format":${JSON.stringify(BACKUP_FORMAT)},"version":${BACKUP_VERSION},"at":${JSON.stringify(at)}`,
    );
    out.write(`,\n"shop":${JSON.stringify(equipment)}`);
    if (document !== undefined && !equipment) out.write(`,"shopRaw":${JSON.stringify(document)}`);
    const list = (name: string, query: string, say: (row: Row) => object) => {
      out.write(`,\n"${name}":[`);
      let first = true;
      for (const row of database.prepare(query).iterate() as Iterable<Row>) {
        if (stopped()) return;
        out.write(`${first ? '' : ','}\n${JSON.stringify(say(row))}`);
        first = false;
      }
      out.write(']');
    };
    list('jobs', 'select * from job order by id', jobIn);
    list('kept', 'select * from kept_version order by id', keptIn);
    const events = database.prepare('select document from run_event where run_id = ? order by arrival');
    list('runs', 'select * from run order by id', (row) => runIn(row, events.all(row['id']) as Row[]));
    list('pictures', 'select * from picture order by id', pictureIn);
    list('devices', 'select * from device order by id', deviceIn);
    database.exec('commit');
  } finally {
    out.end();
    database.close();
  }
}

function jobIn({ document, id, name, line, revision, archived, created_at, updated_at }: Row): object {
  const job = parsed(String(document), (raw) => readJob(raw).ok);
  return {
    job,
    ...(job ? {} : { raw: document, id, name }),
    line,
    revision,
    archived: archived === 1,
    createdAt: created_at,
    updatedAt: updated_at,
  };
}

const keptIn = ({ id, job_id, document, base_revision, at }: Row): object => ({
  id,
  jobId: job_id,
  job: parsed(String(document), () => true) ?? document,
  baseRevision: base_revision,
  at,
});

function runIn(row: Row, counted: readonly Row[]): object {
  const { id, job_id, part_id, document, started_at, updated_at } = row;
  const run = parsed(String(document), isRun);
  const events: unknown[] = [];
  const eventsRaw: string[] = [];
  for (const { document: text } of counted) {
    const event = parsed(String(text), isEvent);
    if (event) events.push(event);
    else eventsRaw.push(String(text));
  }
  return {
    run,
    ...(run ? {} : { raw: document, id, jobId: job_id, partId: part_id }),
    startedAt: started_at,
    updatedAt: updated_at,
    events,
    eventsRaw,
  };
}

function deviceIn({ id, document }: Row): object {
  const device = parsed(String(document), isDevice);
  return { device, ...(device ? {} : { raw: document, id }) };
}

const pictureIn = ({ id, about, words, width, height, at, data, away }: Row): object => ({
  ...{ id, about, words, width, height, at, data },
  away: away === 1,
});
