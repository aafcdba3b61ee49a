import type { EntityManager } from '@mikro-orm/libsql';
import { nowLine } from '../../core/prompts/index.ts';
import { recordOf, type MeasuredRecord } from '../../core/inspect/index.ts';
import { plan, stationOf } from '../../core/plan/index.ts';
import { digestOf, readRun, runDigestSchema, type RunDigest, type RunSummary } from '../../core/run/index.ts';
import type { LogEntry, LogPage, UnreadRun } from '../../core/wire/index.ts';
import { RunEventRow, RunRow } from '../entities/index.ts';
import { notFound, whyUnread } from '../problems.ts';
import { readEvents } from './events.ts';
import type { Store } from '../store.ts';
import type { JobService } from './jobs.ts';
import type { ShopService } from './shop.ts';

type LoggedRow = Pick<RunRow, 'id' | 'jobId' | 'partId' | 'startedAt' | 'updatedAt' | 'digest'>;

/** The digest of a run that rests from before there was a logbook. */
async function makeDigest(em: EntityManager, row: RunRow): Promise<RunDigest> {
  const events = await em.find(RunEventRow, { runId: row.id }, { orderBy: { arrival: 'asc' } });
  return digestOf(readRun(JSON.parse(row.document)), readEvents(events));
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

  /** Newest first; what cannot be read is named beside the rest. */
  async list(): Promise<{ readonly runs: LogEntry[]; readonly unread: UnreadRun[] }> {
    const em = this.store.em.fork();
    const rows = await em.find(
      RunRow,
      {},
      { orderBy: { startedAt: 'desc', id: 'asc' }, exclude: ['document', 'summary'] },
    );
    return this.readable(em, rows);
  }

  /** One run, with what its card has of readings while none is written with it. @throws Refused 404 */
  async page(id: string): Promise<LogPage> {
    const em = this.store.em.fork();
    const row = await em.findOne(RunRow, { id });
    if (!row) throw notFound('run', id);
    const entry = await this.entry(em, row);
    const siblings = await em.find(RunRow, { jobId: row.jobId }, { exclude: ['document', 'summary'] });
    const { runs: others } = await this.readable(em, siblings);
    return {
      ...entry,
      onCard: entry.digest.measured.length > 0 ? null : await this.onCard(row),
      now: nowLine(readRun(JSON.parse(row.document)), JSON.parse(row.summary) as RunSummary),
      continuedBy: others.filter(({ digest }) => digest.continues === id).map(({ runId }) => runId),
      deepenedBy: others.filter(({ digest }) => digest.deepens?.runId === id).map(({ runId }) => runId),
    };
  }

  private async readable(em: EntityManager, rows: readonly LoggedRow[]) {
    const runs: LogEntry[] = [];
    const unread: UnreadRun[] = [];
    for (const row of rows)
      try {
        runs.push(await this.entry(em, row));
      } catch (error) {
        unread.push({ runId: row.id, why: whyUnread(error) });
      }
    return { runs, unread };
  }

  /** What the card has of readings now; null where it has none, or has no inspecting. */
  private async onCard({ jobId, partId }: LoggedRow): Promise<MeasuredRecord | null> {
    const { job } = await this.jobs.read(jobId);
    const { equipment } = await this.shop.read();
    const part = plan(job, equipment).parts.find((each) => each.id === partId);
    const inspect = part && stationOf(part, 'inspect');
    return inspect ? recordOf(inspect.detail, job.units) : null;
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
