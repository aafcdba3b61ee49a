import type { EntityManager } from '@mikro-orm/libsql';
import { standingFor } from '../../core/dividing/index.ts';
import { plan, stationOf, type Plan } from '../../core/plan/index.ts';
import {
  checkEvent,
  digestOf,
  foldRun,
  freezeRun,
  readRun,
  standingOfRun,
  summarise,
  type Piece,
  type Run,
  type RunEvent,
  type RunSummary,
} from '../../core/run/index.ts';
import type { Appended, EventsPage, StoredRun } from '../../core/wire/index.ts';
import { JobRow, RunEventRow, RunRow } from '../entities/index.ts';
import { canonical } from '../canonical.ts';
import { readEvents } from './events.ts';
import { notFound, Refused, unreadable, whyUnread } from '../problems.ts';
import type { Store } from '../store.ts';
import { standingOfRow } from './listing.ts';
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

/** Runs: frozen at the start, then only ever added to. */
export class RunService {
  private readonly store: Store;
  private readonly jobs: JobService;
  private readonly shop: ShopService;
  constructor(store: Store, jobs: JobService, shop: ShopService) {
    this.store = store;
    this.jobs = jobs;
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
    const planned = plan(job, equipment);
    const frozen = freezeRun({
      job,
      planned,
      shop: equipment,
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
      summary: JSON.stringify(summarise(foldRun(frozen.value, []))),
      digest: JSON.stringify(digestOf(frozen.value, [])),
      startedAt: at,
      updatedAt: at,
    });
    await em.nativeUpdate(JobRow, { id: jobId }, { runId: given.id, standing: 'ready' });
    await em.flush();
    await this.shop.headStands(standsAfter(planned, given.partId));
    return this.present(row);
  }

  async listOf(jobId: string): Promise<StoredRun[]> {
    await this.jobs.read(jobId);
    const rows = await this.store.em
      .fork()
      .find(RunRow, { jobId }, { orderBy: { startedAt: 'desc', id: 'asc' } });
    // one that cannot be read takes none of the others down
    return rows.flatMap((row) => {
      try {
        return [this.present(row)];
      } catch {
        return [];
      }
    });
  }

  async read(id: string): Promise<StoredRun> {
    return this.present(await this.row(this.store.em.fork(), id));
  }

  async events(id: string, after: number): Promise<EventsPage> {
    const em = this.store.em.fork();
    await this.row(em, id);
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
    return this.store.em.fork().transactional(async (em) => {
      const row = await this.row(em, id);
      const { run } = this.present(row);
      const before = row.summary;
      const wrong = events.flatMap((event) => checkEvent(run, event));
      if (wrong.length > 0) throw new Refused(422, wrong);
      const rows = await em.find(RunEventRow, { runId: id }, { orderBy: { arrival: 'asc' } });
      const known = readEvents(rows);
      const fresh = newEvents(known, events);
      for (const event of fresh) {
        const { device, deviceSeq } = event;
        await em.insert(RunEventRow, {
          id: event.id,
          runId: id,
          device,
          deviceSeq,
          document: JSON.stringify(event),
        });
      }
      const all = [...known, ...fresh];
      const state = foldRun(run, all);
      const summary = summarise(state);
      const digest = JSON.stringify(digestOf(run, all, state));
      em.assign(row, { summary: JSON.stringify(summary), digest, updatedAt: new Date().toISOString() });
      // only its newest run says how a job stands
      const standing = standingOfRun(summary);
      if (standing !== standingOfRow({ summary: before }))
        await em.nativeUpdate(JobRow, { id: run.jobId, runId: id }, { standing });
      await em.flush();
      const last = await em.findOne(RunEventRow, { runId: id }, { orderBy: { arrival: 'desc' } });
      return { summary, arrival: last?.arrival ?? 0 };
    });
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

  private present(row: RunRow): StoredRun {
    return {
      run: runOf(row),
      summary: JSON.parse(row.summary) as RunSummary,
      startedAt: row.startedAt,
      updatedAt: row.updatedAt,
    };
  }
}

/** The head of a part, and how it stands once it has been made ready; null where no head divides. */
function standsAfter(planned: Plan, partId: string): Parameters<ShopService['headStands']>[0] {
  const part = planned.parts.find(({ id }) => id === partId);
  const detail = part && stationOf(part, 'dividing')?.detail;
  if (!detail?.inForce || !detail.head) return null;
  const { inForce, lead } = detail;
  return { headId: detail.head.id, stands: (head) => standingFor(inForce, head, lead) };
}

/** @throws Refused 422 where it cannot be read */
function runOf(row: RunRow): Run {
  try {
    return readRun(JSON.parse(row.document));
  } catch (error) {
    throw new Refused(422, [unreadable('This run', whyUnread(error))]);
  }
}

/**
 * The events not yet known, each once. @throws Refused 409 when an id or a screen's number comes with other
 * contents
 */
function newEvents(known: readonly RunEvent[], given: readonly RunEvent[]): RunEvent[] {
  const byId = new Map(known.map((event) => [event.id, event]));
  const byNumber = new Map(known.map((event) => [`${event.device} ${event.deviceSeq}`, event]));
  const fresh: RunEvent[] = [];
  for (const event of given) {
    const number = `${event.device} ${event.deviceSeq}`;
    const before = byId.get(event.id) ?? byNumber.get(number);
    if (before) {
      if (canonical(before) === canonical(event)) continue;
      throw new Refused(409, [{ code: 'event-id-reused', path: '', severity: 'wrong', given: event.id }]);
    }
    byId.set(event.id, event);
    byNumber.set(number, event);
    fresh.push(event);
  }
  return fresh;
}
