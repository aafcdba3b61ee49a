import type { EntityManager } from '@mikro-orm/libsql';
import { plainWords } from '../../core/job/index.ts';
import type { NowLine } from '../../core/prompts/index.ts';
import type { MeasuredRecord } from '../../core/inspect/index.ts';
import type { RunDigest } from '../../core/run/index.ts';
import type { LogEntry, LogList, LogPage, LogQuery, UnreadRun } from '../../core/wire/index.ts';
import { RunRow } from '../entities/index.ts';
import { notFound, Refused, unreadable } from '../problems.ts';
import { Conditions, cursorOf, readCursor } from './cursor.ts';
import type { Store } from '../store.ts';
import type { Desk } from '../heavy/index.ts';
import type { JobService } from './jobs.ts';
import type { RunGround } from './runs.ts';
import type { ShopService } from './shop.ts';

const LOGGED = ['id', 'jobId', 'partId', 'startedAt', 'updatedAt', 'digest'] as const;
type LoggedRow = Pick<RunRow, (typeof LOGGED)[number]>;

/** The logbook: every run of every job, read from its digest and never from its counts. */
export class LogService {
  private readonly store: Store;
  private readonly jobs: JobService;
  private readonly shop: ShopService;
  private readonly desk: Desk;
  constructor({ store, jobs, shop, desk }: RunGround) {
    this.store = store;
    this.jobs = jobs;
    this.shop = shop;
    this.desk = desk;
  }

  /** A page of the runs that fit, newest first; with the first page those that cannot be read. */
  async list(query: LogQuery): Promise<LogList> {
    const em = this.store.em.fork();
    const conditions = new Conditions()
      .also(`outcome <> 'unread'`)
      .words('words', plainWords(query.words))
      .alsoIf('outcome = ?', query.outcome)
      .alsoIf('piece = ?', query.piece);
    const { sql, given } = conditions;
    const after = readCursor(query.after);
    const behind = after ? ' and (started_at < ? or (started_at = ? and id > ?))' : '';
    const ask = <Row extends object>(question: string, values: readonly (string | number)[]) =>
      em.getConnection().execute<Row[]>(question, [...values]);
    const rows = await ask<{ id: string }>(
      `select id from run where ${sql}${behind} order by started_at desc, id asc limit ?`,
      [...given, ...(after ? [after[0], after[0], after[1]] : []), query.limit + 1],
    );
    const [{ count } = { count: 0 }] = await ask<{ count: number }>(
      `select count(*) as count from run where ${sql}`,
      given,
    );
    const wanted = rows.slice(0, query.limit).map(({ id }) => id);
    const found = await em.find(RunRow, { id: { $in: wanted } }, { fields: LOGGED });
    const byId = new Map(found.map((row) => [row.id, entryOf(row)]));
    const runs = wanted.flatMap((id) => byId.get(id) ?? []);
    const last = runs.at(-1);
    return {
      runs,
      total: count,
      next: rows.length > query.limit && last ? cursorOf(last.startedAt, last.runId) : null,
      unread: query.after === undefined ? await this.unread(em) : [],
    };
  }

  private async unread(em: EntityManager): Promise<UnreadRun[]> {
    const rows = await em.find(RunRow, { outcome: 'unread' }, { fields: ['id', 'words'] });
    return rows.map(({ id, words }) => ({ runId: id, why: words }));
  }

  /** One run, with what its card has of readings while none is written with it. @throws Refused 404 */
  async page(id: string): Promise<LogPage> {
    const em = this.store.em.fork();
    const row = await em.findOne(RunRow, { id });
    if (!row) throw notFound('run', id);
    if (row.outcome === 'unread') throw new Refused(422, [unreadable('This run', row.words)]);
    const entry = entryOf(row);
    const siblings = await em.find(
      RunRow,
      { jobId: row.jobId, outcome: { $ne: 'unread' } },
      { fields: LOGGED },
    );
    const others = siblings.map(entryOf);
    return {
      ...entry,
      onCard: entry.digest.measured.length > 0 ? null : await this.onCard(row),
      now: row.now === '' ? null : (JSON.parse(row.now) as NowLine),
      continuedBy: others.filter(({ digest }) => digest.continues === id).map(({ runId }) => runId),
      deepenedBy: others.filter(({ digest }) => digest.deepens?.runId === id).map(({ runId }) => runId),
    };
  }

  /** What the card has of readings now; null where it has none, or has no inspecting. */
  private async onCard({ jobId, partId }: LoggedRow): Promise<MeasuredRecord | null> {
    const { job } = await this.jobs.read(jobId);
    const { equipment } = await this.shop.read();
    return this.desk.ask('record', { job, equipment, partId });
  }
}

/** As it was written with the run; nothing of it is made when it is read. */
const entryOf = ({ id, jobId, partId, startedAt, updatedAt, digest }: LoggedRow): LogEntry => ({
  runId: id,
  jobId,
  partId,
  startedAt,
  updatedAt,
  digest: JSON.parse(digest) as RunDigest,
});
