import type { EntityManager } from '@mikro-orm/libsql';
import {
  checkEvent,
  goOnWith,
  numberOf,
  readRun,
  standingOfRun,
  stateOf,
  summarise,
  tallyOf,
  type Piece,
  type Run,
  type RunEvent,
  type RunSummary,
  type RunTally,
  type RunDigest,
} from '../../core/run/index.ts';
import type { Appended, EventsPage, RunListing, StoredRun } from '../../core/wire/index.ts';
import { JobRow, RunEventRow, RunRow } from '../entities/index.ts';
import { canonical } from '../canonical.ts';
import type { Desk } from '../heavy/index.ts';
import { eventRow, readEvents, restingOf, standingOfRow } from '../resting/index.ts';
import { RunsInHand } from './runsInHand.ts';
import { notFound, Refused, unreadable, whyUnread } from '../problems.ts';
import type { Store } from '../store.ts';
import type { JobService } from './jobs.ts';
import type { ShopService } from './shop.ts';

export interface StartRun {
  readonly id: string;
  readonly partId: string;
  readonly revision: number;
  readonly piece?: Piece;
  /** A run of this part to go on with, under today's plan. */
  readonly continues?: string | null;
  /** A run of this part whose gear measured thick, to be sunk by so much more, mm. */
  readonly deepens?: {
    readonly runId: string;
    readonly by: number;
    readonly register: 'kept' | 'found';
  } | null;
}

export interface RunGround {
  readonly store: Store;
  readonly jobs: JobService;
  readonly shop: ShopService;
  readonly desk: Desk;
}

/** Runs: frozen at the start, then only ever added to. */
export class RunService {
  private readonly store: Store;
  private readonly jobs: JobService;
  private readonly shop: ShopService;
  private readonly desk: Desk;
  private readonly inHand = new RunsInHand();
  constructor({ store, jobs, shop, desk }: RunGround) {
    this.store = store;
    this.jobs = jobs;
    this.desk = desk;
    this.shop = shop;
  }

  /**
   * Starts a run of a job's part, once, however often the request arrives.
   * @throws Refused 409 when the job has moved on since the person looked at it; 422 when it is not ready to
   * cut
   */
  async start(jobId: string, given: StartRun): Promise<StoredRun> {
    const em = this.store.em.fork();
    const made = await em.findOne(RunRow, { id: given.id });
    if (made) return this.present(made);
    const { job, revision } = await this.jobs.read(jobId);
    if (revision !== given.revision) {
      throw new Refused(409, [
        {
          code: 'stale-revision',
          path: 'revision',
          severity: 'wrong',
          given: String(given.revision),
          allowed: String(revision),
        },
      ]);
    }
    const { equipment } = await this.shop.read();
    const { run: frozen, stands } = await this.desk.ask('freeze', {
      job,
      equipment,
      start: {
        runId: given.id,
        jobRevision: revision,
        partId: given.partId,
        ...(given.piece ? { piece: given.piece } : {}),
        continues: !given.continues ? null : await this.begun(em, given.continues),
        deepens: !given.deepens
          ? null
          : { ...given.deepens, run: this.present(await this.row(em, given.deepens.runId)).run },
      },
    });
    if (!frozen.ok) throw new Refused(422, frozen.issues);
    const at = new Date().toISOString();
    const row = em.create(RunRow, {
      id: given.id,
      jobId,
      partId: given.partId,
      document: JSON.stringify(frozen.value),
      ...restingOf(tallyOf(frozen.value, [])),
      startedAt: at,
      updatedAt: at,
    });
    await em.nativeUpdate(JobRow, { id: jobId }, { runId: given.id, standing: 'ready' });
    await em.flush();
    await this.shop.headStands(stands);
    return this.present(row);
  }

  /** By what rests beside them; one that cannot be read takes none of the others down. */
  async listOf(jobId: string): Promise<RunListing[]> {
    const em = this.store.em.fork();
    if ((await em.count(JobRow, { id: jobId })) === 0) throw notFound('job', jobId);
    const rows = await em.find(
      RunRow,
      { jobId },
      {
        orderBy: { startedAt: 'desc', id: 'asc' },
        fields: ['id', 'jobId', 'partId', 'summary', 'digest', 'startedAt', 'updatedAt'],
      },
    );
    return rows.flatMap((row) => listed(row) ?? []);
  }

  async read(id: string): Promise<StoredRun> {
    return this.present(await this.row(this.store.em.fork(), id));
  }

  async events(id: string, after: number): Promise<EventsPage> {
    const em = this.store.em.fork();
    await this.lightRow(em, id);
    const rows = await em.find(
      RunEventRow,
      { runId: id, arrival: { $gt: after } },
      { orderBy: { arrival: 'asc' } },
    );
    return { events: readEvents(rows), arrival: rows.at(-1)?.arrival ?? after };
  }

  /**
   * Adds events; those already here are passed over. All of them or none, with the folded state in the same
   * transaction.
   * @throws Refused 422 for an event of another run or cut; 409 for an id or a sequence number used before
   * with other contents
   */
  async append(id: string, events: readonly RunEvent[]): Promise<Appended> {
    const appended = await this.store.em.fork().transactional(async (em) => {
      const row = await this.lightRow(em, id);
      const kept = await this.inHand.take(em, id, async () =>
        runOf(await this.row(em.fork({ keepTransactionContext: true }), id)),
      );
      const { run } = kept;
      const wrong = events.flatMap((event) => checkEvent(run, event));
      if (wrong.length > 0) throw new Refused(422, wrong);
      const fresh = newEvents(kept.tally, events);
      if (fresh.length === 0) return { kept, summary: JSON.parse(row.summary) as RunSummary };
      await refuseOthers(em, fresh);
      const rows = fresh.map((event) => eventRow(id, event));
      const arrivals = await em.insertMany(RunEventRow, rows);
      const tally = goOnWith(kept.tally, fresh);
      const state = stateOf(tally);
      const summary = summarise(state);
      await em.nativeUpdate(
        RunRow,
        { id },
        {
          ...restingOf(tally, state),
          updatedAt: new Date().toISOString(),
        },
      );
      // only its newest run says how a job stands
      const standing = standingOfRun(summary);
      if (standing !== standingOfRow(row))
        await em.nativeUpdate(JobRow, { id: run.jobId, runId: id }, { standing });
      return { kept: { run, tally, arrival: Math.max(...arrivals.map(Number)) }, summary };
    });
    this.inHand.put(id, appended.kept);
    return { summary: appended.summary, arrival: appended.kept.arrival };
  }

  /** A run and how many of its cuts are made. */
  private async begun(em: EntityManager, id: string): Promise<{ run: Run; done: number }> {
    const { run, summary } = this.present(await this.row(em, id));
    return { run, done: summary.done };
  }

  private async row(em: EntityManager, id: string): Promise<RunRow> {
    const row = await em.findOne(RunRow, { id });
    if (!row) throw notFound('run', id);
    return row;
  }

  /** A run without what of it is long. */
  private async lightRow(em: EntityManager, id: string): Promise<Pick<RunRow, 'id' | 'summary'>> {
    const row = await em.findOne(RunRow, { id }, { fields: ['id', 'summary'] });
    if (!row) throw notFound('run', id);
    return row;
  }

  private present(row: RunRow): StoredRun {
    return {
      run: runOf(row),
      summary: JSON.parse(row.summary) as RunSummary,
      startedAt: row.startedAt,
      updatedAt: row.updatedAt,
    };
  }
}

/** A run as its job's card lists it; null for one that could not be read when it was written down. */
function listed(
  row: Pick<RunRow, 'id' | 'jobId' | 'partId' | 'summary' | 'digest' | 'startedAt' | 'updatedAt'>,
): RunListing | null {
  if (row.digest === '') return null;
  const { id, jobId, partId, startedAt, updatedAt } = row;
  const { jobRevision = 0, piece, divisions, deepens, rounds } = JSON.parse(row.digest) as RunDigest;
  const run = { id, jobId, partId, jobRevision, piece, divisions, deepens, rounds };
  return { run, summary: JSON.parse(row.summary) as RunSummary, startedAt, updatedAt };
}

/** @throws Refused 422 where it cannot be read */
function runOf(row: RunRow): Run {
  try {
    return readRun(JSON.parse(row.document));
  } catch (error) {
    throw new Refused(422, [unreadable('This run', whyUnread(error))]);
  }
}

const reused = ({ id }: RunEvent): Refused =>
  new Refused(409, [{ code: 'event-id-reused', path: '', severity: 'wrong', given: id }]);

/**
 * The events not yet known, each once. @throws Refused 409 when an id or a screen's number comes with other
 * contents
 */
function newEvents(known: RunTally, given: readonly RunEvent[]): RunEvent[] {
  const byId = new Map<string, RunEvent>();
  const byNumber = new Map<string, RunEvent>();
  for (const event of given) {
    const number = numberOf(event);
    const before =
      known.byId.get(event.id) ?? known.byNumber.get(number) ?? byId.get(event.id) ?? byNumber.get(number);
    if (before && canonical(before) !== canonical(event)) throw reused(event);
    if (before) continue;
    byId.set(event.id, event);
    byNumber.set(number, event);
  }
  return [...byId.values()];
}

/** @throws Refused 409 for an id that another run has, or an event that rests here and cannot be read */
async function refuseOthers(em: EntityManager, events: readonly RunEvent[]): Promise<void> {
  const [taken] = await em.find(
    RunEventRow,
    { id: { $in: events.map(({ id }) => id) } },
    { fields: ['id'], limit: 1 },
  );
  const event = taken && events.find(({ id }) => id === taken.id);
  if (event) throw reused(event);
}
