import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { sayIssue } from '../../core/messages/index.ts';
import { duplicateJob, readJobFile, type Job } from '../../core/job/index.ts';
import type { Kind } from '../../core/kinds/index.ts';
import type { NowLine } from '../../core/prompts/index.ts';
import type { RunSummary } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { JobListing, JobMarks, JobQuery, JobsPage, StoredJob } from '../../core/wire/index.ts';
import { JobRow, KeptVersionRow, RunRow } from '../entities/index.ts';
import { canonical } from '../canonical.ts';
import type { Desk } from '../heavy/index.ts';
import { notFound, Refused, unreadable } from '../problems.ts';
import type { Store } from '../store.ts';
import { findJobs, type ListedRow } from './findJobs.ts';
import { withLines } from './lineOf.ts';
import { listedFields, listOlder, wordsBetween } from '../resting/index.ts';
import type { ShopService } from './shop.ts';

/** What of a job can be changed without opening it. */
interface JobChange {
  readonly name?: string | undefined;
  readonly archived?: boolean | undefined;
  readonly person?: string | undefined;
  readonly tags?: readonly string[] | undefined;
}

const now = () => new Date().toISOString();

/** Jobs as they rest. Every document that comes in is already checked in shape; figures are checked here. */
export class JobService {
  private readonly store: Store;
  private readonly shop: ShopService;
  private readonly desk: Desk;
  constructor(store: Store, shop: ShopService, desk: Desk) {
    this.store = store;
    this.shop = shop;
    this.desk = desk;
  }

  /** One page of the jobs that fit; with the first, what can be asked for and what was interrupted. */
  async list(query: JobQuery): Promise<JobsPage> {
    const em = this.store.em.fork();
    const { rows, total, next } = await findJobs(em, query);
    const first = query.after === undefined;
    const interrupted = first ? await this.interrupted(em) : null;
    const listed = await this.presentAll(em, interrupted ? [...rows, interrupted] : rows);
    return {
      jobs: listed.slice(0, rows.length),
      total,
      next,
      marks: first ? await this.marks(em, query.archived === 'true') : null,
      interrupted: interrupted ? listed.at(-1)! : null,
    };
  }

  /** The job on the bench whose run was counted last and is not closed. */
  private async interrupted(em: EntityManager): Promise<ListedRow | null> {
    const [last] = await em.getConnection().execute<{ id: string }[]>(
      `select job.id from run cross join job on job.run_id = run.id
       where run.outcome = 'going' and job.archived = 0 and job.standing = 'cutting'
       order by run.updated_at desc, run.id limit 1`,
    );
    return last ? em.findOne(JobRow, { id: last.id }, { exclude: ['document', 'words'] }) : null;
  }

  /** What the jobs here have that can be asked for, in order of the alphabet. */
  private async marks(em: EntityManager, archived: boolean): Promise<JobMarks> {
    // each value once, however many jobs have it: a row made of each would cost more than the page
    const each = async (column: 'person' | 'tags' | 'materials') =>
      (
        await em
          .getConnection()
          .execute<{ word: string }[]>(`select distinct ${column} as word from job where archived = ?`, [
            archived ? 1 : 0,
          ])
      ).map(({ word }) => word);
    const [persons, tags, materials] = [await each('person'), await each('tags'), await each('materials')];
    const named = new Map((await this.shop.read()).equipment.materials.map(({ id, name }) => [id, name]));
    const sorted = (words: Iterable<string>) =>
      [...new Set(words)].filter((word) => word !== '').sort((a, b) => a.localeCompare(b));
    return {
      persons: sorted(persons),
      tags: sorted(tags.flatMap(wordsBetween)),
      materials: sorted(materials.flatMap(wordsBetween)).map((id) => ({
        id,
        name: named.get(id) ?? id,
      })),
    };
  }

  /** Rows with their newest runs, by what rests beside each: no job and no run is read to list it. */
  private async presentAll(em: EntityManager, rows: readonly ListedRow[]): Promise<JobListing[]> {
    const ids = rows.map(({ runId }) => runId).filter((id) => id !== '');
    const runs = await em.fork().find(RunRow, { id: { $in: ids } }, { fields: LISTED_RUN });
    const byId = new Map(runs.map((run) => [run.id, run]));
    return rows.map(({ runId, kinds, tags, ...row }) => {
      const run = byId.get(runId);
      const listed = run ? listRun(run) : null;
      const { id, name, line, revision, archived, createdAt, updatedAt, person, standing } = row;
      return {
        id,
        name,
        line,
        revision,
        archived,
        createdAt,
        updatedAt,
        person,
        standing,
        kinds: wordsBetween(kinds),
        tags: wordsBetween(tags),
        run: listed?.run ?? null,
        trouble: listed?.trouble ?? null,
      };
    });
  }

  /** Is there no job here, nor any that was put away? */
  async areNone(): Promise<boolean> {
    return (
      (await this.store.em.fork().findOne(JobRow, { revision: { $gte: 0 } }, { fields: ['id'] })) === null
    );
  }

  /** Writes what jobs are found by, where they rest from before. */
  async listOlder(): Promise<void> {
    await listOlder(this.store.em.fork(), await this.materials());
  }

  /** A shop that cannot be read takes no list down. */
  private async materials(): Promise<Pick<Equipment, 'materials'>> {
    return this.shop.read().then(
      ({ equipment }) => equipment,
      () => ({ materials: [] }),
    );
  }

  /**
   * The job changed last that has a part of this kind, put away or not.
   * @returns null where there is none that can be read
   */
  async last(kind: Kind): Promise<Job | null> {
    const em = this.store.em.fork();
    const row = await em.findOne(
      JobRow,
      { kinds: { $like: `%\n${kind}\n%` } },
      { orderBy: { updatedAt: 'desc', id: 'asc' } },
    );
    const read = row && readJobFile(row.document);
    return read?.ok ? read.value : null;
  }

  async read(id: string): Promise<StoredJob> {
    const em = this.store.em.fork();
    return this.present(em, await this.row(em, id));
  }

  /**
   * Saves a job. Revision 0 makes it.
   * @throws Refused 422 for figures that cannot be used; 409 for a stale revision, after keeping what was
   * sent
   */
  async save(revision: number, job: Job): Promise<StoredJob> {
    const { line, equipment } = await this.check(job);
    const found = listedFields(job, line, equipment);
    const refused = await this.store.em.fork().transactional(async (em) => {
      const row = await em.findOne(JobRow, { id: job.id });
      const stored = row?.revision ?? 0;
      // an answer that was lost on its way: what is sent again is what is stored
      if (row && stored !== revision && sameJob(row.document, job)) return null;
      if (stored !== revision) return this.keep({ em, job, revision, stored, exists: row !== null });
      const fields = {
        name: job.name,
        line,
        document: JSON.stringify(job),
        revision: revision + 1,
        updatedAt: now(),
        ...found,
      };
      if (row) em.assign(row, fields);
      else em.create(JobRow, { id: job.id, archived: false, createdAt: fields.updatedAt, ...fields });
      return null;
    });
    if (refused) throw refused;
    return this.read(job.id);
  }

  /** @throws Refused 409 for a stale revision */
  async change(id: string, revision: number, to: JobChange): Promise<StoredJob> {
    const materials = await this.materials();
    return this.store.em.fork().transactional(async (em) => {
      const row = await this.row(em, id);
      const { archived = row.archived } = to;
      const job =
        to.name === undefined && to.person === undefined && to.tags === undefined ? null : this.document(row);
      const changed = job && {
        ...job,
        name: to.name ?? job.name,
        person: to.person ?? job.person,
        tags: to.tags ?? job.tags,
      };
      const isSo = archived === row.archived && (!changed || canonical(changed) === canonical(job));
      if (isSo) return this.present(em, row);
      if (row.revision !== revision) throw new Refused(409, [this.stale(revision, row.revision)]);
      if (changed)
        em.assign(row, {
          name: changed.name,
          document: JSON.stringify(changed),
          ...listedFields(changed, row.line, materials),
        });
      em.assign(row, { archived, revision: revision + 1, updatedAt: now() });
      await em.flush();
      return this.present(em, row);
    });
  }

  /** Makes the duplicate once, however often the request arrives. */
  async duplicate(id: string, newId: string, name: string): Promise<StoredJob> {
    const made = await this.store.em.fork().findOne(JobRow, { id: newId });
    if (made) return this.read(newId);
    const { job } = await this.read(id);
    return this.save(0, duplicateJob(job, newId, name));
  }

  /**
   * A job from the text of a job file. One that is already here by its id comes in beside it under a new id.
   */
  async importFile(text: string): Promise<StoredJob> {
    const read = readJobFile(text);
    if (!read.ok) throw new Refused(422, withLines(text, read.issues));
    const taken = await this.store.em.fork().findOne(JobRow, { id: read.value.id });
    return this.save(0, taken ? { ...read.value, id: randomUUID() } : read.value);
  }

  /** Takes a kept version out again, as a job beside the other. */
  async restoreKept(keptId: string): Promise<StoredJob> {
    const em = this.store.em.fork();
    const kept = await em.findOne(KeptVersionRow, { id: keptId });
    if (!kept) throw notFound('kept version', keptId);
    const read = readJobFile(kept.document);
    if (!read.ok) throw new Refused(422, read.issues);
    const saved = await this.save(0, {
      ...read.value,
      id: randomUUID(),
      name: `${read.value.name} (other version)`.slice(0, 120),
    });
    await em.remove(kept).flush();
    return saved;
  }

  private async check(job: Job): Promise<{ line: string; equipment: Equipment }> {
    const { equipment } = await this.shop.read();
    const { line, refused } = await this.desk.ask('check', { job, equipment });
    if (refused.length > 0) throw new Refused(422, refused);
    return { line, equipment };
  }

  /** Keeps what came too late, to be taken out again by hand. */
  private keep({
    em,
    job,
    revision,
    stored,
    exists,
  }: {
    readonly em: Pick<EntityManager, 'create'>;
    readonly job: Job;
    readonly revision: number;
    readonly stored: number;
    readonly exists: boolean;
  }): Refused {
    const keptId = randomUUID();
    if (exists) {
      em.create(KeptVersionRow, {
        id: keptId,
        jobId: job.id,
        document: JSON.stringify(job),
        baseRevision: revision,
        at: now(),
      });
    }
    return new Refused(409, [this.stale(revision, stored)], {
      kept: exists ? keptId : null,
      storedRevision: stored,
    });
  }

  private stale(given: number, stored: number) {
    return {
      code: 'stale-revision',
      path: 'revision',
      severity: 'wrong',
      given: String(given),
      allowed: String(stored),
    } as const;
  }

  private async row(em: EntityManager, id: string): Promise<JobRow> {
    const row = await em.findOne(JobRow, { id });
    if (!row) throw notFound('job', id);
    return row;
  }

  /**
   * What rests was checked when it came in. @throws Refused 422 where it cannot be read: of a later version,
   * or damaged
   */
  private document(row: JobRow): Job {
    const read = readJobFile(row.document);
    if (!read.ok)
      throw new Refused(422, [unreadable(`The job “${row.name}”`, read.issues.map(sayIssue).join(' '))]);
    return read.value;
  }

  private async present(em: EntityManager, row: JobRow): Promise<StoredJob> {
    const kept = await em.find(KeptVersionRow, { jobId: row.id }, { orderBy: { at: 'asc' } });
    const { revision, archived, createdAt, updatedAt } = row;
    return {
      job: this.document(row),
      revision,
      archived,
      createdAt,
      updatedAt,
      kept: kept.map(({ id, at }) => ({ id, at })),
    };
  }
}

/** Is a stored document the very job that is sent, whatever version it rests in? */
function sameJob(document: string, job: Job): boolean {
  const read = readJobFile(document);
  return read.ok && canonical(read.value) === canonical(job);
}

const LISTED_RUN = ['id', 'startedAt', 'updatedAt', 'summary', 'now', 'outcome', 'words'] as const;

/** The newest run of a job; where it cannot be read that is told, and takes nothing else down. */
function listRun({
  id,
  startedAt,
  updatedAt,
  summary,
  now,
  outcome,
  words,
}: Pick<RunRow, (typeof LISTED_RUN)[number]>): Pick<JobListing, 'run' | 'trouble'> {
  if (outcome === 'unread') return { run: null, trouble: sayIssue(unreadable('Its newest run', words)) };
  return {
    run: {
      id,
      startedAt,
      updatedAt,
      summary: JSON.parse(summary) as RunSummary,
      now: now === '' ? null : (JSON.parse(now) as NowLine),
    },
    trouble: null,
  };
}
