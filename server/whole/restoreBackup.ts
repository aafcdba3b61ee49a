import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import type { EntityManager } from '@mikro-orm/libsql';
import Database from 'libsql';
import { readJob } from '../../core/job/index.ts';
import { plan, whatItIs } from '../../core/plan/index.ts';
import { readRun, runEventSchema, tallyOf } from '../../core/run/index.ts';
import { equipmentSchema, shopToToday, type Equipment } from '../../core/shop/index.ts';
import type { Restored } from '../../core/wire/index.ts';
import { canonical } from '../canonical.ts';
import { JobRow, KeptVersionRow, PictureRow, RunEventRow, RunRow, ShopRow } from '../entities/index.ts';
import { copiesOf, copyStore } from '../keeping/index.ts';
import { eventRow, listedFields, listOlder, restingOf, standingOfRow } from '../resting/index.ts';
import { connectStore } from '../store.ts';
import { notABackup, readBackup, type ReadBackup } from './backupFile.ts';

/** Rows put back at once: the store is held no longer than these take. */
const AT_ONCE = 10;
const EVENTS_AT_ONCE = 500;
/** Between two batches, ms: whoever waits for the store has it. */
const PAUSE = 4;

type Em = EntityManager;

interface RestoreHeard {
  readonly better: (soFar: Restored) => void;
  readonly stopped: () => boolean;
}

/** Puts back in small steps, each whole, so that counts of others come in between. */
class Steps {
  private readonly em: Em;
  /** Called between two steps with the rows dealt with; throws where no more is wanted. */
  readonly pass: (rows: number) => Promise<void>;
  constructor(em: Em, pass: (rows: number) => Promise<void>) {
    this.em = em;
    this.pass = pass;
  }
  /** @param put writes some rows; what it gives is added up */
  async each<Row>(
    rows: readonly Row[],
    put: (em: Em, some: readonly Row[]) => Promise<number>,
    atOnce = AT_ONCE,
  ): Promise<number> {
    let sum = 0;
    for (let i = 0; i < rows.length; i += atOnce) {
      const some = rows.slice(i, i + atOnce);
      sum += await this.em.fork().transactional((em) => put(em, some));
      await this.pass(some.length);
    }
    return sum;
  }
}

/** A stored job as it is read today: of an older version, or written in another order, it is the same job. */
function toToday(document: string): unknown {
  try {
    const read = readJob(JSON.parse(document));
    return read.ok ? read.value : document;
  } catch {
    return document;
  }
}

function shopOf(document: string): Equipment | null {
  try {
    const read = equipmentSchema.safeParse(shopToToday(JSON.parse(document)));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** @throws Refused 422 where what rests here under the same id is another thing */
async function compare(em: Em, { runs }: ReadBackup): Promise<void> {
  for (const { run, events } of runs) {
    const row = await em.fork().findOne(RunRow, { id: run.id }, { fields: ['document'] });
    if (!row) continue;
    if (canonical(runAsRead(row.document)) !== canonical(run))
      throw notABackup(`the run of “${run.jobName}” in it has the id of another run here`);
    const here = await em.fork().find(RunEventRow, { runId: run.id }, { fields: ['id', 'document'] });
    const known = new Map(here.map(({ id, document }) => [id, document]));
    for (const event of events) {
      const document = known.get(event.id);
      if (document !== undefined && canonical(JSON.parse(document)) !== canonical(event))
        throw notABackup(`a count of “${run.jobName}” in it is another one than here`);
    }
  }
  // a count’s id is its own in the whole workshop
  const byId = new Map(runs.flatMap(({ run, events }) => events.map(({ id }) => [id, run.id] as const)));
  const ids = [...byId.keys()];
  for (let i = 0; i < ids.length; i += 500) {
    const some = await em
      .fork()
      .find(RunEventRow, { id: { $in: ids.slice(i, i + 500) } }, { fields: ['id', 'runId'] });
    if (some.some(({ id, runId }) => byId.get(id) !== runId))
      throw notABackup('a count in it belongs to another run here');
  }
}

function runAsRead(document: string): unknown {
  try {
    return readRun(JSON.parse(document));
  } catch {
    return document;
  }
}

async function putShop(em: Em, backup: ReadBackup): Promise<Equipment | null> {
  return em.fork().transactional(async (inside) => {
    const row = await inside.findOne(ShopRow, { id: 1 });
    if (!backup.shop) return row && shopOf(row.document);
    const document = JSON.stringify(backup.shop);
    if (row) inside.assign(row, { document, revision: row.revision + 1 });
    else inside.create(ShopRow, { id: 1, document, revision: 1 });
    return backup.shop;
  });
}

/** Jobs take the place of those here; what stood otherwise is kept. @returns how many stood so */
async function putJobs(em: Em, jobs: ReadBackup['jobs'], shop: Equipment | null): Promise<number> {
  let changed = 0;
  const here = await em.find(JobRow, { id: { $in: jobs.map(({ job }) => job.id) } });
  const rows = new Map(here.map((row) => [row.id, row]));
  for (const { job, revision, archived, createdAt, updatedAt, line: told } of jobs) {
    const document = JSON.stringify(job);
    // from before it was written with the job
    const line = told ?? [...new Set(plan(job, shop ?? job.equipment).parts.map(whatItIs))].join('; ');
    const row = rows.get(job.id);
    const found = listedFields(job, line, shop ?? { materials: [] });
    const fields = { name: job.name, line, document, archived, updatedAt, ...found };
    if (!row)
      em.create(JobRow, {
        id: job.id,
        revision,
        createdAt,
        runId: '',
        standing: standingOfRow(null),
        ...fields,
      });
    else if (canonical(toToday(row.document)) !== canonical(job)) {
      em.create(KeptVersionRow, {
        id: randomUUID(),
        jobId: row.id,
        document: row.document,
        baseRevision: row.revision,
        at: new Date().toISOString(),
      });
      em.assign(row, { ...fields, revision: Math.max(row.revision, revision) + 1 });
      changed += 1;
    }
  }
  return changed;
}

/** What could not be read when it was written is put back as it rested, where nothing of its id is here. */
async function putRawJobs(em: Em, jobs: ReadBackup['rawJobs']): Promise<number> {
  for (const { id, raw, name, revision, archived, createdAt, updatedAt } of jobs)
    if (!(await em.findOne(JobRow, { id })))
      em.create(JobRow, {
        ...{ id, name: name ?? id, line: '', document: raw, revision, archived, createdAt, updatedAt },
      });
  return 0;
}

/** @param fresh hears of each that was not here */
async function putRuns(em: Em, runs: ReadBackup['runs'], fresh: Set<string>): Promise<number> {
  const ids = runs.map(({ run }) => run.id);
  const here = new Set((await em.find(RunRow, { id: { $in: ids } }, { fields: ['id'] })).map(({ id }) => id));
  if (here.size > 0) await em.nativeUpdate(RunRow, { id: { $in: [...here] } }, { listed: 0 });
  for (const { run, startedAt, updatedAt } of runs) {
    if (here.has(run.id)) continue;
    fresh.add(run.id);
    em.create(RunRow, {
      id: run.id,
      jobId: run.jobId,
      partId: run.partId,
      document: JSON.stringify(run),
      summary: '{}',
      startedAt,
      updatedAt,
    });
  }
  await em.nativeUpdate(JobRow, { id: { $in: runs.map(({ run }) => run.jobId) } }, { listed: 0 });
  return 0;
}

async function putRawRuns(em: Em, runs: ReadBackup['rawRuns']): Promise<number> {
  for (const { id, jobId, partId, raw, startedAt, updatedAt, events } of runs) {
    if (jobId === undefined || (await em.findOne(RunRow, { id }))) continue;
    em.create(RunRow, {
      ...{ id, jobId, partId: partId ?? 'p1', document: raw, summary: '{}', startedAt, updatedAt },
    });
    await em.flush();
    const rows = events.map((event) => eventRow(id, runEventSchema.parse(event)));
    if (rows.length > 0) await em.insertMany(RunEventRow, rows);
    await em.nativeUpdate(JobRow, { id: jobId }, { listed: 0 });
  }
  return 0;
}

interface Putting {
  readonly store: string;
  readonly pass: Steps['pass'];
  /** Hears how many of each run were not here yet. */
  readonly added: Map<string, number>;
  readonly tally: RestoreTally;
}

/** Adds the counts that are not here yet. */
async function putEvents(runs: ReadBackup['runs'], { store, pass, added, tally }: Putting): Promise<void> {
  const database = new Database(store);
  try {
    database.exec('pragma busy_timeout = 5000');
    // a number may be taken by one that cannot be read here: that one stays
    const insert = database.prepare(
      'insert or ignore into run_event (id, run_id, device, device_seq, document) values (?, ?, ?, ?, ?)',
    );
    const events = runs.flatMap(({ events: counted }) => counted);
    for (let i = 0; i < events.length; i += EVENTS_AT_ONCE) {
      database.exec('begin immediate');
      const some = events.slice(i, i + EVENTS_AT_ONCE);
      let counts = 0;
      for (const { id, runId, device, deviceSeq, ...event } of some) {
        const document = JSON.stringify({ id, runId, device, deviceSeq, ...event });
        const { changes } = insert.run(id, runId, device, deviceSeq, document);
        if (changes === 0) continue;
        added.set(runId, (added.get(runId) ?? 0) + 1);
        counts += 1;
      }
      database.exec('commit');
      tally.add({ counts });
      await pass(some.length);
    }
  } finally {
    database.close();
  }
}

/**
 * What rests beside a run that was not here, and came whole with all its counts; others are listed from what
 * is here, and so is one that was counted meanwhile.
 */
async function listRuns(
  em: Em,
  runs: ReadBackup['runs'],
  added: ReadonlyMap<string, number>,
): Promise<number> {
  for (const { run, events } of runs)
    if (added.get(run.id) === events.length)
      await em.nativeUpdate(RunRow, { id: run.id, listed: 0 }, restingOf(tallyOf(run, events)));
  return 0;
}

/** How the newest run of each of these jobs stands; what else they are found by was written with them. */
async function standJobs(em: Em, jobIds: readonly string[]): Promise<number> {
  for (const id of jobIds) {
    const [newest] = await em.find(
      RunRow,
      { jobId: id },
      { orderBy: { startedAt: 'desc', id: 'desc' }, limit: 1, fields: ['id', 'summary', 'listed'] },
    );
    // one that is listed later brings its job along
    if (newest && newest.listed !== 0)
      await em.nativeUpdate(JobRow, { id }, { runId: newest.id, standing: standingOfRow(newest), listed: 1 });
  }
  return 0;
}

async function putKept(em: Em, kept: readonly ReadBackup['kept'][number][]): Promise<number> {
  for (const { id, jobId, job, baseRevision, at } of kept)
    if (!(await em.findOne(KeptVersionRow, { id })) && (await em.findOne(JobRow, { id: jobId })))
      em.create(KeptVersionRow, {
        ...{ id, jobId, document: typeof job === 'string' ? job : JSON.stringify(job), baseRevision, at },
      });
  return 0;
}

async function putPictures(em: Em, pictures: readonly ReadBackup['pictures'][number][]): Promise<number> {
  for (const { away, ...picture } of pictures)
    if (!(await em.findOne(PictureRow, { id: picture.id }, { fields: ['id'] })))
      em.create(PictureRow, { ...picture, away: away ? 1 : 0 });
  return 0;
}

const MOST_ASIDE = 10;

/** A copy of the store as it stood; of all that were put aside so, the newest few stay. */
function putAside(store: string): string {
  const file = copyStore(store, `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}`);
  const asides = copiesOf(store).filter((copy) => copy.file.includes('-before-restore-'));
  for (const { file: old } of asides.slice(MOST_ASIDE)) rmSync(old, { force: true });
  return path.join('copies', path.basename(file));
}

/**
 * Puts a backup back: its shop and its jobs take the place of those here, its counts are added to those here.
 * Jobs that differ are kept as versions, jobs that are only here stay. All of it is looked at before anything
 * is changed, and the workshop as it stood is put aside; then it goes in in small steps, each whole. One that
 * was broken off is put back again from the start, and does nothing twice.
 * @param store the file it rests in @param file the backup
 * @param making hears how far it is; stopped, it ends between two steps
 * @throws Refused 422 for a file that cannot be read whole, or has other things under the ids of those here
 */
export async function restoreBackup(
  store: string,
  file: string,
  { better, stopped }: RestoreHeard,
): Promise<Restored> {
  const backup = readBackup(readFileSync(file, 'utf8'));
  const open = await connectStore(store);
  try {
    const { em } = open;
    await compare(em, backup);
    const tally = new RestoreTally(backup, better);
    if (stopped()) return tally.now;
    tally.add({ aside: putAside(store) });
    const pass = async (rows: number) => {
      tally.add({ rows });
      await new Promise((resolve) => setTimeout(resolve, PAUSE));
      if (stopped()) throw new Stopped();
    };
    const shop = await putShop(em, backup);
    try {
      await putAll({ backup, store, shop, tally, steps: new Steps(em, pass) });
      await listOlder(em.fork(), shop ?? { materials: [] });
      return { ...tally.now, finished: true };
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
      await listOlder(em.fork(), shop ?? { materials: [] });
      return tally.now;
    }
  } finally {
    await open.close(true);
  }
}

/** No more is wanted: thrown between two steps. */
class Stopped extends Error {}

/** What is in it, each part in steps, in an order in which nothing refers to what is not here yet. */
async function putAll({
  backup,
  store,
  shop,
  tally,
  steps,
}: {
  readonly backup: ReadBackup;
  readonly store: string;
  readonly shop: Equipment | null;
  readonly tally: RestoreTally;
  readonly steps: Steps;
}): Promise<void> {
  await steps.each(backup.jobs, async (inside, some) => {
    const changed = await putJobs(inside, some, shop);
    tally.add({ jobs: some.length, changed });
    return changed;
  });
  await steps.each(backup.rawJobs, putRawJobs);
  await steps.each(backup.rawRuns, putRawRuns);
  await steps.each(backup.kept, putKept);
  const fresh = new Set<string>();
  await steps.each(backup.runs, (inside, some) => {
    tally.add({ runs: some.length });
    return putRuns(inside, some, fresh);
  });
  const added = new Map<string, number>();
  await putEvents(backup.runs, { store, pass: steps.pass, added, tally });
  const isFresh = backup.runs.filter(({ run }) => fresh.has(run.id));
  await steps.each(isFresh, (inside, some) => listRuns(inside, some, added));
  await steps.each(backup.pictures, putPictures);
  await steps.each([...new Set(backup.runs.map(({ run }) => run.jobId))], standJobs);
}

/** Told no oftener than this, ms. */
const TOLD_EVERY = 150;

/** How far a restore is, told now and then. */
class RestoreTally {
  now: Restored;
  private readonly better: RestoreHeard['better'];
  private told = 0;
  constructor({ jobs, rawJobs, rawRuns, kept, runs, pictures }: ReadBackup, better: RestoreHeard['better']) {
    this.better = better;
    const counts = runs.reduce((sum, { events }) => sum + events.length, 0);
    // runs are gone through twice, put back and listed; so are the jobs they are of
    const cut = new Set(runs.map(({ run }) => run.jobId)).size;
    const ofRows =
      [jobs, rawJobs, rawRuns, kept, pictures].reduce((sum, some) => sum + some.length, 2 * runs.length) +
      counts +
      cut;
    this.now = { jobs: 0, changed: 0, runs: 0, counts: 0, aside: '', rows: 0, ofRows, finished: false };
  }
  /** @param more of each count; the file put aside */
  add({ aside, ...more }: Partial<Omit<Restored, 'finished' | 'ofRows'>>): void {
    const { jobs, changed, runs, counts, rows } = this.now;
    this.now = {
      ...this.now,
      jobs: jobs + (more.jobs ?? 0),
      changed: changed + (more.changed ?? 0),
      runs: runs + (more.runs ?? 0),
      counts: counts + (more.counts ?? 0),
      rows: rows + (more.rows ?? 0),
      aside: aside ?? this.now.aside,
    };
    const at = performance.now();
    if (at - this.told < TOLD_EVERY) return;
    this.told = at;
    this.better(this.now);
  }
}
