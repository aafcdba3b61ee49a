import { createHash } from 'node:crypto';
import { z } from 'zod';
import { jobSchema, readJob, type Job } from '../../core/job/index.ts';
import { idSchema } from '../../core/kinds/index.ts';
import {
  checkEvent,
  numberOf,
  readRun,
  runEventSchema,
  runSchema,
  type Run,
  type RunEvent,
} from '../../core/run/index.ts';
import { equipmentSchema, shopToToday, type Equipment } from '../../core/shop/index.ts';
import { pictureShape } from '../../core/wire/index.ts';
import { Refused } from '../problems.ts';

export const BACKUP_FORMAT = 'vuelta-workshop';
/** 2: with pictures. */
export const BACKUP_VERSION = 2;

/** What could not be read when the backup was written is in it as it rested. */
const asItRests = { raw: z.string().optional() };

const instant = z.iso.datetime({ offset: true });
const jobEntry = z.object({
  job: z.unknown(),
  ...asItRests,
  id: idSchema.optional(),
  name: z.string().optional(),
  /** What it is, in a few words. */
  line: z.string().max(2000).optional(),
  revision: z.int().min(1),
  archived: z.boolean(),
  createdAt: instant,
  updatedAt: instant,
});
const keptEntry = z.object({
  id: idSchema,
  jobId: idSchema,
  job: z.unknown(),
  baseRevision: z.int(),
  at: instant,
});
const runEntry = z.object({
  run: z.unknown(),
  ...asItRests,
  id: idSchema.optional(),
  jobId: idSchema.optional(),
  partId: z.string().optional(),
  startedAt: instant,
  updatedAt: instant,
  events: z.array(z.unknown()),
  eventsRaw: z.array(z.string()).optional(),
});

/** Outer shape of a backup; what is in it is checked piece by piece, each of whatever version it is. */
const backupSchema = z.looseObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.int().min(1).max(BACKUP_VERSION),
  at: instant,
  /** Of all that stands before it in the file; not in those of before. */
  sha256: z.string().optional(),
  shop: z.unknown(),
  shopRaw: z.string().optional(),
  jobs: z.array(jobEntry),
  kept: z.array(keptEntry),
  runs: z.array(runEntry),
  pictures: z.array(pictureShape.extend({ data: z.string(), away: z.boolean().default(false) })).default([]),
});

/**
 * A backup as it is written today, all the way down, for who describes it. What could not be read lies in it
 * as it rested, and its document is null.
 */
export const backupFileSchema = backupSchema.extend({
  shop: equipmentSchema.nullable(),
  jobs: z.array(jobEntry.extend({ job: jobSchema.nullable() })),
  runs: z.array(runEntry.extend({ run: runSchema.nullable(), events: z.array(runEventSchema.nullable()) })),
});

export interface ReadBackup {
  readonly shop: Equipment | null;
  readonly jobs: readonly {
    readonly job: Job;
    readonly line?: string | undefined;
    readonly revision: number;
    readonly archived: boolean;
    readonly createdAt: string;
    readonly updatedAt: string;
  }[];
  /** What could not be read when it was written: put back as it rested, where nothing of that id is here. */
  readonly rawJobs: readonly (Omit<z.infer<typeof backupSchema>['jobs'][number], 'id' | 'raw'> & {
    readonly id: string;
    readonly raw: string;
  })[];
  readonly rawRuns: readonly (Omit<z.infer<typeof backupSchema>['runs'][number], 'id' | 'raw'> & {
    readonly id: string;
    readonly raw: string;
  })[];
  readonly kept: z.infer<typeof backupSchema>['kept'];
  readonly pictures: z.infer<typeof backupSchema>['pictures'];
  readonly runs: readonly {
    readonly run: Run;
    readonly startedAt: string;
    readonly updatedAt: string;
    readonly events: readonly RunEvent[];
  }[];
}

export const notABackup = (why: string): Refused =>
  new Refused(422, [{ code: 'not-a-backup', path: '', severity: 'wrong', detail: { why } }]);

/** Does what stands before the hash at the end have that hash? A file of before has none. */
function isWhole(text: string): boolean {
  const end = /,\n"sha256":"([0-9a-f]{64})"\}\s*$/.exec(text);
  if (!end) return !/"sha256":"[0-9a-f]{64}"\}\s*$/.test(text);
  return createHash('sha256').update(text.slice(0, end.index)).digest('hex') === end[1];
}

/** No count twice, nor a screen’s number; in the whole file, as in the whole workshop. */
function needOnce(runs: ReadBackup['runs']): void {
  const ids = new Set<string>();
  for (const { run, events } of runs) {
    const numbers = new Set<string>();
    for (const event of events) {
      if (ids.has(event.id) || numbers.has(numberOf(event)))
        throw notABackup(`a count of “${run.jobName}” in it stands there twice`);
      ids.add(event.id);
      numbers.add(numberOf(event));
    }
  }
  const runIds = runs.map(({ run }) => run.id);
  if (new Set(runIds).size < runIds.length) throw notABackup('a run in it stands there twice');
}

/** Reads a whole backup, or says what in it cannot be read. @throws Refused 422 */
export function readBackup(text: string): ReadBackup {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw notABackup('it is not whole, or no JSON');
  }
  if (!isWhole(text.replace(/^\uFEFF/, '')))
    throw notABackup(
      'it was changed since it was written; if that was on purpose, take its last line, with sha256, out of it',
    );
  const version = (raw as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > BACKUP_VERSION) throw notABackup('it is from a later Vuelta');
  const outer = backupSchema.safeParse(raw);
  if (!outer.success) throw notABackup('it is another kind of file');
  const shop = outer.data.shop === null ? null : equipmentSchema.safeParse(shopToToday(outer.data.shop));
  if (shop && !shop.success) throw notABackup('the shop in it is damaged');
  const rests = <T extends { readonly raw?: string | undefined; readonly id?: string | undefined }>(row: T) =>
    row.raw !== undefined && row.id !== undefined;
  const rawJobs = outer.data.jobs.filter(rests) as unknown as ReadBackup['rawJobs'];
  const rawRuns = outer.data.runs.filter(rests) as unknown as ReadBackup['rawRuns'];
  const jobs = outer.data.jobs
    .filter((row) => !rests(row))
    .map(({ job, ...rest }) => {
      const read = readJob(job);
      if (!read.ok)
        throw notABackup(
          `the job “${String((job as { name?: unknown } | null)?.name ?? '?')}” in it is damaged`,
        );
      return { ...rest, job: read.value };
    });
  const runs = outer.data.runs
    .filter((row) => !rests(row))
    .map(({ run, events, ...rest }) => {
      try {
        const read = readRun(run);
        const parsed = events.map((event) => runEventSchema.parse(event));
        if (parsed.some((event) => checkEvent(read, event).length > 0)) throw new Error('strange event');
        return { ...rest, run: read, events: parsed };
      } catch {
        throw notABackup('a run in it is damaged');
      }
    });
  const known = new Set([...jobs.map(({ job }) => job.id), ...rawJobs.map(({ id }) => id)]);
  if (runs.some(({ run }) => !known.has(run.jobId))) throw notABackup('a run in it belongs to no job in it');
  needOnce(runs);
  const { kept, pictures } = outer.data;
  return { shop: shop ? shop.data : null, jobs, kept, runs, rawJobs, rawRuns, pictures };
}
