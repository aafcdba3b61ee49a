import { rmSync } from 'node:fs';
import path from 'node:path';
import { readRun } from '../../core/run/index.ts';
import type { Restored } from '../../core/wire/index.ts';
import { copiesOf, copyStore } from '../keeping/index.ts';
import { listOlder, RUN_LISTED } from '../resting/index.ts';
import { connectStore } from '../store.ts';
import { notABackup } from './backupFile.ts';
import { Crossing, isSame, RestoreTally, type Pair, type RestoreHeard } from './crossing.ts';
import { nameOfRun, Staging } from './staging.ts';

/**
 * What could not be read has an id of its text: where it rests under another, it is here already.
 * @throws Refused 422 where what rests here under the same id is another thing
 */
function compare({ database }: Staging): void {
  database.exec(
    `delete from main.staged_event where device = 'unread' and exists (
       select 1 from here.run_event h where h.run_id = staged_event.run_id and h.document = staged_event.document)`,
  );
  const runs = database.prepare(
    `select r.document as theirs, h.document as ours from staged_run r join here.run h on h.id = r.id where r.raw = 0`,
  );
  for (const { theirs, ours } of runs.iterate() as Iterable<Pair>)
    if (!isSame(theirs, ours, readRun))
      throw notABackup(`the run of “${nameOfRun(theirs)}” in it has the id of another run here`);
  const counts = database.prepare(
    `select e.document as theirs, h.document as ours, e.run_id as run, h.run_id as runHere
     from staged_event e join here.run_event h on h.id = e.id`,
  );
  for (const { theirs, ours, run, runHere } of counts.iterate() as Iterable<
    Pair & { readonly run: string; readonly runHere: string }
  >) {
    // a count’s id is its own in the whole workshop
    if (run !== runHere) throw notABackup('a count in it belongs to another run here');
    if (isSame(theirs, ours, (raw) => raw)) continue;
    const { document } = database.prepare('select document from staged_run where id = ?').get(run) as {
      document: string;
    };
    throw notABackup(`a count of “${nameOfRun(document)}” in it is another one than here`);
  }
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
 * @param store the file it rests in @param file the backup; a file beside it holds its rows meanwhile
 * @param making hears how far it is; stopped, it ends between two steps
 * @throws Refused 422 for a file that cannot be read whole, or has other things under the ids of those here
 */
export async function restoreBackup(
  store: string,
  file: string,
  { better, stopped }: RestoreHeard,
): Promise<Restored> {
  const staging = new Staging(store, `${file}.rows`);
  try {
    if (!staging.fill(file, stopped)) return new RestoreTally(0, better).now;
    compare(staging);
    const tally = new RestoreTally(rowsIn(staging), better);
    if (stopped()) return tally.now;
    tally.add({ aside: putAside(store) });
    const finished = await new Crossing({ staging, tally, stopped }).all();
    staging.settle();
    return { ...tally.now, finished };
  } finally {
    await listRest(store, staging);
    staging.close();
  }
}

/** Runs are gone through twice, put back and listed; so are the jobs they are of. */
const rowsIn = (staging: Staging): number =>
  staging.count(
    `select (select count(*) from staged_job) + (select count(*) from staged_kept)
       + 2 * (select count(*) from staged_run) + (select count(*) from staged_event)
       + (select count(*) from staged_picture) + (select count(*) from staged_device)
       + (select count(*) from staged_cut)`,
  );

/** What is not listed by what was known of it beforehand. */
async function listRest(store: string, staging: Staging): Promise<void> {
  const runs = staging.count('select count(*) from here.run where listed <> ?', RUN_LISTED);
  const jobs = staging.count('select count(*) from here.job where listed = 0');
  if (runs + jobs === 0) return;
  const workshop = await connectStore(store);
  try {
    await listOlder(workshop.em.fork(), staging.shop ?? staging.shopHere ?? { materials: [] });
  } finally {
    await workshop.close(true);
  }
}
