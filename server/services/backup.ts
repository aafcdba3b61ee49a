import { readJob } from '../../core/job/index.ts';
import { plan, whatItIs } from '../../core/plan/index.ts';
import { readRun, runEventSchema, tallyOf } from '../../core/run/index.ts';
import { equipmentSchema, shopToToday, type Equipment } from '../../core/shop/index.ts';
import type { Restored } from '../../core/wire/index.ts';
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { JobRow, KeptVersionRow, PictureRow, RunEventRow, RunRow, ShopRow } from '../entities/index.ts';
import { canonical } from '../canonical.ts';
import { BACKUP_FORMAT, BACKUP_VERSION, readBackup } from './backupFile.ts';
import { eventRow, readEvent, readEvents } from './events.ts';
import { listOlder, restingOf } from './listing.ts';
import type { Store } from '../store.ts';

/** A document that rests, parsed; null where it is damaged or of a version that is not read here. */
function parsed(document: string, reads: (raw: unknown) => boolean): unknown {
  try {
    const raw: unknown = JSON.parse(document);
    return reads(raw) ? raw : null;
  } catch {
    return null;
  }
}

function isRun(raw: unknown): boolean {
  try {
    readRun(raw);
    return true;
  } catch {
    return false;
  }
}

/**
 * A stored document as it is read today: of an older version, or written in another order, it is the same
 * job.
 */
function toToday(document: string): unknown {
  const raw = parsed(document, () => true);
  const read = raw === null ? null : readJob(raw);
  return read?.ok ? read.value : document;
}

/** Equipment as it rests; null where it cannot be read. */
function shopOf(document: string): Equipment | null {
  const raw = parsed(document, () => true);
  const read = equipmentSchema.safeParse(shopToToday(raw));
  return read.success ? read.data : null;
}

/** The whole workshop as one file, and back. */
export class BackupService {
  private readonly store: Store;
  /** Where what stood before a restore is put aside. */
  private readonly folder: string;
  constructor(store: Store, folder: string) {
    this.store = store;
    this.folder = folder;
  }

  async write(): Promise<string> {
    const em = this.store.em.fork();
    const order = { orderBy: { id: 'asc' } } as const;
    const [shop, jobs, kept, runs, events, pictures] = await Promise.all([
      em.findOne(ShopRow, { id: 1 }),
      em.fork().find(JobRow, {}, order),
      em.fork().find(KeptVersionRow, {}, order),
      em.fork().find(RunRow, {}, order),
      em.fork().find(RunEventRow, {}, { orderBy: { arrival: 'asc' } }),
      em.fork().find(PictureRow, {}, order),
    ]);
    const byRun = new Map<string, { readonly events: unknown[]; readonly eventsRaw: string[] }>();
    for (const row of events) {
      const list = byRun.get(row.runId) ?? { events: [], eventsRaw: [] };
      const event = readEvent(row);
      if (event) list.events.push(event);
      else list.eventsRaw.push(row.document);
      byRun.set(row.runId, list);
    }
    return JSON.stringify({
      format: BACKUP_FORMAT,
      version: BACKUP_VERSION,
      at: new Date().toISOString(),
      shop: shop && shopOf(shop.document) ? JSON.parse(shop.document) : null,
      ...(shop && !shopOf(shop.document) ? { shopRaw: shop.document } : {}),
      jobs: jobs.map(({ document, id, name, revision, archived, createdAt, updatedAt }) => {
        const job = parsed(document, (raw) => readJob(raw).ok);
        return { job, ...(job ? {} : { raw: document, id, name }), revision, archived, createdAt, updatedAt };
      }),
      kept: kept.map(({ id, jobId, document, baseRevision, at }) => ({
        id,
        jobId,
        job: parsed(document, () => true) ?? document,
        baseRevision,
        at,
      })),
      runs: runs.map(({ id, jobId, partId, document, startedAt, updatedAt }) => {
        const run = parsed(document, isRun);
        return {
          run,
          ...(run ? {} : { raw: document, id, jobId, partId }),
          startedAt,
          updatedAt,
          ...(byRun.get(id) ?? { events: [], eventsRaw: [] }),
        };
      }),
      pictures: pictures.map(({ id, about, words, width, height, at, data, away }) => ({
        ...{ id, about, words, width, height, at, data },
        away: away === 1,
      })),
    });
  }

  /**
   * Puts a backup back, all of it or nothing: its shop and its jobs take the place of those here, its counts
   * are added to those here. Jobs that differ are kept as versions, jobs that are only here stay, and the
   * whole workshop as it stood is put aside as a file.
   * @throws Refused 422 for a file that cannot be read whole
   */
  async restore(text: string): Promise<Restored> {
    const backup = readBackup(text);
    const aside = path.join(
      this.folder,
      `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.json`,
    );
    writeFileSync(aside, await this.write());
    return this.store.em.fork().transactional(async (em) => {
      let changed = 0;
      let counts = 0;
      const shopRow = await em.findOne(ShopRow, { id: 1 });
      const shop = backup.shop ?? (shopRow && shopOf(shopRow.document));
      if (backup.shop) {
        const document = JSON.stringify(backup.shop);
        if (shopRow) em.assign(shopRow, { document, revision: shopRow.revision + 1 });
        else em.create(ShopRow, { id: 1, document, revision: 1 });
      }
      for (const { job, revision, archived, createdAt, updatedAt } of backup.jobs) {
        const document = JSON.stringify(job);
        const line = [...new Set(plan(job, shop ?? job.equipment).parts.map(whatItIs))].join('; ');
        const row = await em.findOne(JobRow, { id: job.id });
        if (!row)
          em.create(JobRow, {
            id: job.id,
            name: job.name,
            line,
            document,
            revision,
            archived,
            createdAt,
            updatedAt,
          });
        else if (canonical(toToday(row.document)) !== canonical(job)) {
          em.create(KeptVersionRow, {
            id: randomUUID(),
            jobId: row.id,
            document: row.document,
            baseRevision: row.revision,
            at: new Date().toISOString(),
          });
          em.assign(row, {
            name: job.name,
            line,
            document,
            archived,
            revision: Math.max(row.revision, revision) + 1,
            updatedAt,
            listed: 0,
          });
          changed += 1;
        }
        await em.flush();
      }
      for (const { id, raw, name, revision, archived, createdAt, updatedAt } of backup.rawJobs)
        if (!(await em.findOne(JobRow, { id })))
          em.create(JobRow, {
            id,
            name: name ?? id,
            line: '',
            document: raw,
            revision,
            archived,
            createdAt,
            updatedAt,
          });
      await em.flush();
      for (const { id, jobId, partId, raw, startedAt, updatedAt, events } of backup.rawRuns)
        if (jobId !== undefined && !(await em.findOne(RunRow, { id }))) {
          em.create(RunRow, {
            id,
            jobId,
            partId: partId ?? 'p1',
            document: raw,
            summary: '{}',
            startedAt,
            updatedAt,
          });
          await em.flush();
          for (const event of events.map((one) => runEventSchema.parse(one)))
            await em.insert(RunEventRow, eventRow(id, event));
        }
      for (const { id, jobId, job, baseRevision, at } of backup.kept)
        if (!(await em.findOne(KeptVersionRow, { id })) && (await em.findOne(JobRow, { id: jobId })))
          em.create(KeptVersionRow, {
            id,
            jobId,
            document: typeof job === 'string' ? job : JSON.stringify(job),
            baseRevision,
            at,
          });
      for (const { run, startedAt, updatedAt, events } of backup.runs) {
        const row = await em.findOne(RunRow, { id: run.id });
        if (!row) {
          em.create(RunRow, {
            id: run.id,
            jobId: run.jobId,
            partId: run.partId,
            document: JSON.stringify(run),
            ...restingOf(tallyOf(run, events)),
            startedAt,
            updatedAt,
          });
          await em.flush();
        }
        const here = await em.find(RunEventRow, { runId: run.id });
        const ids = new Set(here.map(({ id }) => id));
        const numbers = new Set(here.map(({ device, deviceSeq }) => `${device} ${deviceSeq}`));
        const fresh = events.filter(
          ({ id, device, deviceSeq }) => !ids.has(id) && !numbers.has(`${device} ${deviceSeq}`),
        );
        for (const event of fresh) await em.insert(RunEventRow, eventRow(run.id, event));
        counts += fresh.length;
        if (row && fresh.length > 0) {
          const all = [...readEvents(here), ...fresh];
          em.assign(row, {
            ...restingOf(tallyOf(run, all)),
            updatedAt,
          });
        }
      }
      for (const { away, ...picture } of backup.pictures)
        if (!(await em.findOne(PictureRow, { id: picture.id })))
          em.create(PictureRow, { ...picture, away: away ? 1 : 0 });
      await em.flush();
      const cut = [
        ...backup.runs.map(({ run }) => run.jobId),
        ...backup.rawRuns.map(({ jobId }) => jobId ?? ''),
      ];
      await em.nativeUpdate(JobRow, { id: { $in: [...new Set(cut)] } }, { listed: 0 });
      await listOlder(em, shop ?? { materials: [] });
      return {
        jobs: backup.jobs.length,
        changed,
        runs: backup.runs.length,
        counts,
        aside: path.basename(aside),
      };
    });
  }
}
