import type { EntityManager } from '@mikro-orm/libsql';
import { plan, stationOf } from '../../core/plan/index.ts';
import { digestOf, readRun, runDigestSchema, runEventSchema, type RunDigest } from '../../core/run/index.ts';
import { lengthText } from '../../core/units/index.ts';
import type { LogEntry, LogPage } from '../../core/wire/index.ts';
import { RunEventRow, RunRow } from '../entities/index.ts';
import { notFound } from '../problems.ts';
import type { Store } from '../store.ts';
import type { JobService } from './jobs.ts';
import type { ShopService } from './shop.ts';

type LoggedRow = Pick<RunRow, 'id' | 'jobId' | 'partId' | 'startedAt' | 'updatedAt' | 'digest'>;

/** The digest of a run that rests from before there was a logbook. */
async function makeDigest(em: EntityManager, row: RunRow): Promise<RunDigest> {
  const events = await em.find(RunEventRow, { runId: row.id }, { orderBy: { arrival: 'asc' } });
  return digestOf(
    readRun(JSON.parse(row.document)),
    events.map(({ document }) => runEventSchema.parse(JSON.parse(document))),
  );
}

/** The logbook: every run of every job, read from its digest and never from its counts. */
export class LogService {
  private readonly store: Store;
  private readonly jobs: JobService;
  private readonly shop: ShopService;
  constructor(store: Store, jobs: JobService, shop: ShopService) {
    this.store = store;
    this.jobs = jobs;
    this.shop = shop;
  }

  /** Newest first. */
  async list(): Promise<LogEntry[]> {
    const em = this.store.em.fork();
    const rows = await em.find(
      RunRow,
      {},
      { orderBy: { startedAt: 'desc', id: 'asc' }, exclude: ['document', 'summary'] },
    );
    return Promise.all(rows.map((row) => this.entry(em, row)));
  }

  /** One run, with what was measured on its part since. @throws Refused 404 */
  async page(id: string): Promise<LogPage> {
    const em = this.store.em.fork();
    const row = await em.findOne(RunRow, { id }, { exclude: ['document', 'summary'] });
    if (!row) throw notFound('run', id);
    const entry = await this.entry(em, row);
    const { job } = await this.jobs.read(row.jobId);
    const { equipment } = await this.shop.read();
    const part = plan(job, equipment).parts.find((each) => each.id === row.partId);
    const inspect = part && stationOf(part, 'inspect');
    const read = inspect?.detail.checks.filter(({ reading }) => reading !== null) ?? [];
    const siblings = await em.find(RunRow, { jobId: row.jobId }, { exclude: ['document', 'summary'] });
    const others = await Promise.all(siblings.map((other) => this.entry(em, other)));
    return {
      ...entry,
      readings: read.map(({ name, reading, should }) => ({
        label: name,
        text: `${lengthText(reading!, job.units, 'fine')}, should be ${lengthText(should, job.units, 'fine')}`,
      })),
      verdict: inspect?.detail.verdict ? inspect.answer : null,
      continuedBy: others.filter(({ digest }) => digest.continues === id).map(({ runId }) => runId),
    };
  }

  private async entry(em: EntityManager, row: LoggedRow): Promise<LogEntry> {
    const { id, jobId, partId, startedAt, updatedAt } = row;
    const resting = row.digest === '' ? null : runDigestSchema.safeParse(JSON.parse(row.digest));
    const digest = resting?.success ? resting.data : await this.mended(em, id);
    return { runId: id, jobId, partId, startedAt, updatedAt, digest };
  }

  /** Makes a digest that lacks, or is of an older shape, and keeps it. */
  private async mended(em: EntityManager, id: string): Promise<RunDigest> {
    const fresh = em.fork();
    const row = await fresh.findOneOrFail(RunRow, { id });
    const digest = await makeDigest(fresh, row);
    row.digest = JSON.stringify(digest);
    await fresh.flush();
    return digest;
  }
}
