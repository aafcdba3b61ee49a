import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { sayIssue } from '../../core/messages/index.ts';
import { duplicateJob, readJobFile, type Job } from '../../core/job/index.ts';
import { plan, refusals, whatItIs, type Plan } from '../../core/plan/index.ts';
import { nowLine } from '../../core/prompts/index.ts';
import { readRun, type RunSummary } from '../../core/run/index.ts';
import type { JobListing, StoredJob } from '../../core/wire/index.ts';
import { JobRow, KeptVersionRow, RunRow } from '../entities/index.ts';
import { canonical } from '../canonical.ts';
import { notFound, Refused, unreadable, whyUnread } from '../problems.ts';
import type { Store } from '../store.ts';
import type { ShopService } from './shop.ts';

const now = () => new Date().toISOString();

/** The gear in a few words, for lists. */
const lineOf = (planned: Plan): string => [...new Set(planned.parts.map(whatItIs))].join('; ');

/** Jobs as they rest. Every document that comes in is already checked in shape; figures are checked here. */
export class JobService {
  private readonly store: Store;
  private readonly shop: ShopService;
  constructor(store: Store, shop: ShopService) {
    this.store = store;
    this.shop = shop;
  }

  async list(archived: boolean): Promise<JobListing[]> {
    const em = this.store.em.fork();
    const rows = await em.find(JobRow, { archived }, { orderBy: { updatedAt: 'desc', id: 'asc' } });
    // a run is a long document: only the newest of each job is read
    const begun = await em.find(
      RunRow,
      { jobId: { $in: rows.map(({ id }) => id) } },
      { orderBy: { startedAt: 'asc', id: 'asc' }, fields: ['id', 'jobId'] },
    );
    const last = new Map(begun.map(({ id, jobId }) => [jobId, id]));
    const runs = await em.fork().find(RunRow, { id: { $in: [...last.values()] } });
    const newest = new Map(runs.map((run) => [run.jobId, run]));
    return rows.map(({ id, name, line, revision, archived: away, updatedAt }) => {
      const run = newest.get(id);
      const listed = run ? listRun(run) : null;
      return {
        id,
        name,
        line,
        revision,
        archived: away,
        updatedAt,
        run: listed?.run ?? null,
        trouble: listed?.trouble ?? null,
      };
    });
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
    const planned = await this.check(job);
    const refused = await this.store.em.fork().transactional(async (em) => {
      const row = await em.findOne(JobRow, { id: job.id });
      const stored = row?.revision ?? 0;
      // an answer that was lost on its way: what is sent again is what is stored
      if (row && stored !== revision && sameJob(row.document, job)) return null;
      if (stored !== revision) return this.keep({ em, job, revision, stored, exists: row !== null });
      const fields = {
        name: job.name,
        line: lineOf(planned),
        document: JSON.stringify(job),
        revision: revision + 1,
        updatedAt: now(),
      };
      if (row) em.assign(row, fields);
      else em.create(JobRow, { id: job.id, archived: false, createdAt: fields.updatedAt, ...fields });
      return null;
    });
    if (refused) throw refused;
    return this.read(job.id);
  }

  /** @throws Refused 409 for a stale revision */
  async change(
    id: string,
    revision: number,
    to: { name?: string | undefined; archived?: boolean | undefined },
  ): Promise<StoredJob> {
    return this.store.em.fork().transactional(async (em) => {
      const row = await this.row(em, id);
      const isSo = (to.name ?? row.name) === row.name && (to.archived ?? row.archived) === row.archived;
      if (isSo) return this.present(em, row);
      if (row.revision !== revision) throw new Refused(409, [this.stale(revision, row.revision)]);
      if (to.name !== undefined) {
        const job = { ...this.document(row), name: to.name };
        em.assign(row, { name: to.name, document: JSON.stringify(job) });
      }
      if (to.archived !== undefined) row.archived = to.archived;
      em.assign(row, { revision: revision + 1, updatedAt: now() });
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
    if (!read.ok) throw new Refused(422, read.issues);
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

  private async check(job: Job): Promise<Plan> {
    const { equipment } = await this.shop.read();
    const planned = plan(job, equipment);
    const issues = refusals(planned);
    if (issues.length > 0) throw new Refused(422, issues);
    return planned;
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

/** The newest run of a job; where it cannot be read that is told, and takes nothing else down. */
function listRun(row: RunRow): Pick<JobListing, 'run' | 'trouble'> {
  try {
    const run = readRun(JSON.parse(row.document));
    const { id, startedAt, updatedAt } = row;
    const summary = JSON.parse(row.summary) as RunSummary;
    return { run: { id, startedAt, updatedAt, summary, now: nowLine(run, summary) }, trouble: null };
  } catch (error) {
    return { run: null, trouble: sayIssue(unreadable('Its newest run', whyUnread(error))) };
  }
}
