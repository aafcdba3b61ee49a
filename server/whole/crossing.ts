import { randomUUID } from 'node:crypto';
import { MOST_DEVICES } from '../../core/devices/index.ts';
import { readJob } from '../../core/job/index.ts';
import type { Restored } from '../../core/wire/index.ts';
import { canonical } from '../canonical.ts';
import { standingOfRow } from '../resting/index.ts';
import type { Staging } from './staging.ts';

/** The store is held no longer than about so long at once, ms. */
const STEP = 8;
/** Between two steps, ms: whoever waits for the store has it. */
const PAUSE = 2;
const FEWEST_AT_ONCE = 5;

export interface RestoreHeard {
  readonly better: (soFar: Restored) => void;
  readonly stopped: () => boolean;
}

/** Of the rows that go over at once, the first and the last. */
type Span = readonly [from: number, to: number];

/** A document in the backup, and the one of its id here. */
export interface Pair {
  readonly theirs: string;
  readonly ours: string;
}

/** Both as they are read today: of an older version, or written in another order, it is the same. */
export function isSame(one: string, other: string, read: (raw: unknown) => unknown): boolean {
  if (one === other) return true;
  const today = (document: string): unknown => {
    try {
      return read(JSON.parse(document));
    } catch {
      return document;
    }
  };
  return canonical(today(one)) === canonical(today(other));
}

function jobToday(raw: unknown): unknown {
  const read = readJob(raw);
  return read.ok ? read.value : raw;
}

const JOB = 'name, line, document, archived, updated_at, kinds, materials, tags, person, words, listed';
const NEW_JOB = `id, ${JOB}, revision, created_at, run_id, standing`;
const RUN = 'id, job_id, part_id, document, started_at, updated_at';
const LISTED = ['summary', 'digest', 'now', 'words', 'outcome', 'piece', 'listed']
  .map((name) => `${name} = r.${name}`)
  .join(', ');
const EVENT = 'id, run_id, device, device_seq, document';

/** Rows of a staged backup on their way into the workshop; none refers to one that is not here yet. */
export class Crossing {
  private readonly staging: Staging;
  private readonly tally: RestoreTally;
  private readonly stopped: () => boolean;
  constructor(crossing: {
    readonly staging: Staging;
    readonly tally: RestoreTally;
    readonly stopped: () => boolean;
  }) {
    this.staging = crossing.staging;
    this.tally = crossing.tally;
    this.stopped = crossing.stopped;
  }

  /** @returns false where it was stopped */
  async all(): Promise<boolean> {
    this.step(() => this.putShop());
    return (
      (await this.each('job', (span) => this.putJobs(span))) &&
      (await this.each('kept', (span) => this.putKept(span))) &&
      (await this.each('run', (span) => this.putRuns(span))) &&
      (await this.each('event', (span) => this.putEvents(span))) &&
      (await this.each('run', (span) => this.listRuns(span))) &&
      (await this.each('picture', (span) => this.putPictures(span))) &&
      (await this.each('device', (span) => this.putDevices(span))) &&
      (await this.each('cut', (span) => this.standJobs(span)))
    );
  }

  /** As many rows at once as hold the store for {@link STEP}: counts of others come in between. */
  private async each(table: string, put: (span: Span) => void): Promise<boolean> {
    const last = this.staging.count(`select coalesce(max(rowid), 0) from staged_${table}`);
    let atOnce = FEWEST_AT_ONCE;
    for (let from = 1; from <= last;) {
      const to = Math.min(last, from + atOnce - 1);
      const took = this.step(() => put([from, to]));
      this.tally.add({ rows: to - from + 1 });
      from = to + 1;
      atOnce = Math.max(FEWEST_AT_ONCE, Math.min(2 * atOnce, Math.floor((atOnce * STEP) / took)));
      await new Promise((resolve) => setTimeout(resolve, PAUSE));
      if (this.stopped()) return false;
    }
    return true;
  }

  /** All of it or nothing. @returns how long it took, ms, without the beginning and the end */
  private step(put: () => void): number {
    const { database } = this.staging;
    database.exec('begin immediate');
    const started = performance.now();
    try {
      put();
      const took = performance.now() - started;
      database.exec('commit');
      return took;
    } catch (error) {
      database.exec('rollback');
      throw error;
    }
  }

  private run(query: string, ...values: (string | number)[]): number {
    return this.staging.database.prepare(query).run(...values).changes;
  }

  private putShop(): void {
    const { shop } = this.staging;
    if (!shop) return;
    this.run(
      `insert into here.shop (id, document, revision) values (1, ?, 1)
       on conflict (id) do update set document = excluded.document, revision = revision + 1`,
      JSON.stringify(shop),
    );
  }

  /** Jobs take the place of those here; what stood otherwise is kept. */
  private putJobs(span: Span): void {
    const both = this.staging.database
      .prepare(
        `select j.id, j.document as theirs, h.document as ours from staged_job j join here.job h on h.id = j.id
         where j.raw = 0 and j.rowid between ? and ?`,
      )
      .all(...span) as (Pair & { readonly id: string })[];
    const changed = both.filter(({ theirs, ours }) => !isSame(theirs, ours, jobToday));
    for (const { id } of changed) {
      this.run(
        `insert into here.kept_version (id, job_id, document, base_revision, at)
         select ?, id, document, revision, ? from here.job where id = ?`,
        randomUUID(),
        new Date().toISOString(),
        id,
      );
      this.run(
        `update here.job as h set (${JOB}, revision) = (
           select ${JOB}, max(h.revision, revision) + 1 from staged_job where id = h.id) where id = ?`,
        id,
      );
    }
    this.run(
      `insert or ignore into here.job (${NEW_JOB})
       select ${NEW_JOB} from staged_job where rowid between ? and ?`,
      ...span,
    );
    const jobs = this.staging.count(
      'select count(*) from staged_job where raw = 0 and rowid between ? and ?',
      ...span,
    );
    this.tally.add({ jobs, changed: changed.length });
  }

  private putKept(span: Span): void {
    this.run(
      `insert or ignore into here.kept_version select * from staged_kept
       where rowid between ? and ? and job_id in (select id from here.job)`,
      ...span,
    );
  }

  private putRuns(span: Span): void {
    const within = 'rowid between ? and ?';
    this.run(
      `update main.staged_run set fresh = 1 where ${within} and id not in (select id from here.run)`,
      ...span,
    );
    this.run(
      `update here.run set listed = 0
       where id in (select id from staged_run where ${within} and not fresh and not raw)`,
      ...span,
    );
    this.run(
      `insert into here.run (${RUN}, summary)
       select ${RUN}, '{}' from staged_run where ${within} and fresh`,
      ...span,
    );
    this.run(
      `update here.job set listed = 0
       where id in (select job_id from staged_run where ${within})`,
      ...span,
    );
    // one that could not be read, and is here: its counts are here too
    this.run(
      `delete from main.staged_event
       where run_id in (select id from staged_run where ${within} and raw and not fresh)`,
      ...span,
    );
    const runs = this.staging.count(`select count(*) from staged_run where raw = 0 and ${within}`, ...span);
    this.tally.add({ runs });
  }

  /** Adds the counts that are not here yet; a number that one has here that cannot be read stays its. */
  private putEvents(span: Span): void {
    const counts = this.run(
      `insert or ignore into here.run_event (${EVENT}) select ${EVENT} from staged_event
       where rowid between ? and ? order by rowid`,
      ...span,
    );
    this.tally.add({ counts });
  }

  /**
   * What rests beside a run that was not here, and came whole with all its counts; others are listed from
   * what is here, and so is one that was counted meanwhile.
   */
  private listRuns(span: Span): void {
    this.run(
      `update here.run as h set ${LISTED}
       from staged_run as r
       where r.rowid between ? and ? and r.fresh and not r.raw and h.id = r.id and h.listed = 0
         and r.events = (select count(*) from here.run_event where run_id = r.id)`,
      ...span,
    );
  }

  private putPictures(span: Span): void {
    this.run(
      'insert or ignore into here.picture select * from staged_picture where rowid between ? and ?',
      ...span,
    );
  }

  /** Those that are not here; those that are know their own lines. No more than a shop has. */
  private putDevices(span: Span): void {
    const ids = this.staging.database
      .prepare('select id from staged_device where rowid between ? and ? order by rowid')
      .all(...span) as { id: string }[];
    for (const { id } of ids)
      this.tally.add({
        devices: this.run(
          `insert or ignore into here.device select * from staged_device
           where id = ? and (select count(*) from here.device) < ?`,
          id,
          MOST_DEVICES,
        ),
      });
  }

  /** How the newest run of each of these jobs stands; what else they are found by was written with them. */
  private standJobs(span: Span): void {
    const { database } = this.staging;
    const newestOf = database.prepare(
      `select id, summary, listed from here.run where job_id = ? order by started_at desc, id desc limit 1`,
    );
    const stand = database.prepare('update here.job set run_id = ?, standing = ?, listed = 1 where id = ?');
    const jobs = database.prepare('select job_id from staged_cut where rowid between ? and ?').all(...span);
    for (const { job_id: id } of jobs as { job_id: string }[]) {
      const newest = newestOf.get(id) as { id: string; summary: string; listed: number } | undefined;
      // one that is listed later brings its job along
      if (newest && newest.listed !== 0) stand.run(newest.id, standingOfRow(newest), id);
    }
  }
}

/** Told no oftener than this, ms. */
const TOLD_EVERY = 150;

/** Of a restore that has put nothing back. */
export const NOTHING_BACK: Restored = {
  ...{ jobs: 0, changed: 0, runs: 0, counts: 0, devices: 0, aside: '', rows: 0, ofRows: 0 },
  finished: false,
};

/** How far a restore is, told now and then. */
export class RestoreTally {
  now: Restored;
  private readonly better: RestoreHeard['better'];
  private told = 0;
  /** @param ofRows all there are */
  constructor(ofRows: number, better: RestoreHeard['better']) {
    this.better = better;
    this.now = { ...NOTHING_BACK, ofRows };
  }
  /** @param more of each count; the file put aside */
  add({ aside, ...more }: Partial<Omit<Restored, 'finished' | 'ofRows'>>): void {
    const { jobs, changed, runs, counts, devices, rows } = this.now;
    this.now = {
      ...this.now,
      jobs: jobs + (more.jobs ?? 0),
      changed: changed + (more.changed ?? 0),
      runs: runs + (more.runs ?? 0),
      counts: counts + (more.counts ?? 0),
      devices: devices + (more.devices ?? 0),
      rows: rows + (more.rows ?? 0),
      aside: aside ?? this.now.aside,
    };
    const at = performance.now();
    if (at - this.told < TOLD_EVERY) return;
    this.told = at;
    this.better(this.now);
  }
}
