import { z } from 'zod';
import { readJob, type Job } from '../../core/job/index.ts';
import { idSchema } from '../../core/kinds/index.ts';
import { checkEvent, readRun, runEventSchema, type Run, type RunEvent } from '../../core/run/index.ts';
import { equipmentSchema, shopToToday, type Equipment } from '../../core/shop/index.ts';
import { pictureShape } from '../../core/wire/index.ts';
import { Refused } from '../problems.ts';

export const BACKUP_FORMAT = 'vuelta-workshop';
/** 2: with pictures. */
export const BACKUP_VERSION = 2;

/** What could not be read when the backup was written is in it as it rested. */
const asItRests = { raw: z.string().optional() };

/** Outer shape of a backup; what is in it is checked piece by piece, each of whatever version it is. */
const backupSchema = z.looseObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.int().min(1).max(BACKUP_VERSION),
  at: z.string(),
  shop: z.unknown(),
  shopRaw: z.string().optional(),
  jobs: z.array(
    z.object({
      job: z.unknown(),
      ...asItRests,
      id: idSchema.optional(),
      name: z.string().optional(),
      revision: z.int().min(1),
      archived: z.boolean(),
      createdAt: z.string(),
      updatedAt: z.string(),
    }),
  ),
  kept: z.array(
    z.object({ id: idSchema, jobId: idSchema, job: z.unknown(), baseRevision: z.int(), at: z.string() }),
  ),
  runs: z.array(
    z.object({
      run: z.unknown(),
      ...asItRests,
      id: idSchema.optional(),
      jobId: idSchema.optional(),
      partId: z.string().optional(),
      startedAt: z.string(),
      updatedAt: z.string(),
      events: z.array(z.unknown()),
      eventsRaw: z.array(z.string()).optional(),
    }),
  ),
  pictures: z.array(pictureShape.extend({ data: z.string(), away: z.boolean().default(false) })).default([]),
});

export interface ReadBackup {
  readonly shop: Equipment | null;
  readonly jobs: readonly {
    readonly job: Job;
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

const bad = (why: string): Refused =>
  new Refused(422, [{ code: 'not-a-backup', path: '', severity: 'wrong', detail: { why } }]);

/** Reads a whole backup, or says what in it cannot be read. @throws Refused 422 */
export function readBackup(text: string): ReadBackup {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw bad('it is not whole, or no JSON');
  }
  const version = (raw as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > BACKUP_VERSION) throw bad('it is from a later Vuelta');
  const outer = backupSchema.safeParse(raw);
  if (!outer.success) throw bad('it is another kind of file');
  const shop = outer.data.shop === null ? null : equipmentSchema.safeParse(shopToToday(outer.data.shop));
  if (shop && !shop.success) throw bad('the shop in it is damaged');
  const rests = <T extends { readonly raw?: string | undefined; readonly id?: string | undefined }>(row: T) =>
    row.raw !== undefined && row.id !== undefined;
  const rawJobs = outer.data.jobs.filter(rests) as unknown as ReadBackup['rawJobs'];
  const rawRuns = outer.data.runs.filter(rests) as unknown as ReadBackup['rawRuns'];
  const jobs = outer.data.jobs
    .filter((row) => !rests(row))
    .map(({ job, ...rest }) => {
      const read = readJob(job);
      if (!read.ok)
        throw bad(`the job “${String((job as { name?: unknown } | null)?.name ?? '?')}” in it is damaged`);
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
        throw bad('a run in it is damaged');
      }
    });
  const known = new Set([...jobs.map(({ job }) => job.id), ...rawJobs.map(({ id }) => id)]);
  if (runs.some(({ run }) => !known.has(run.jobId))) throw bad('a run in it belongs to no job in it');
  const { kept, pictures } = outer.data;
  return { shop: shop ? shop.data : null, jobs, kept, runs, rawJobs, rawRuns, pictures };
}
