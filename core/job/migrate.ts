import { equipmentFromV1 } from '../shop/index.ts';
import { JOB_VERSION } from './schema.ts';

/** A document of some version, its shape not yet checked. */
export type RawJob = Readonly<Record<string, unknown>> & { readonly version: number };

/** `steps[n]` brings a document of version n to n + 1. One sample of every old version is kept in samples/. */
const steps: Readonly<Record<number, (job: RawJob) => RawJob>> = {
  // change gears came in, and heads that can be geared with them
  1: (job) => ({ ...job, version: 2, equipment: equipmentFromV1(job['equipment']) }),
};

/** Brings a document up to today's version, a step at a time. @param raw of version ≤ today's */
export function migrateJob(raw: RawJob): RawJob {
  let job = raw;
  while (job.version < JOB_VERSION) {
    const step = steps[job.version];
    if (!step) throw new Error(`no step from job version ${job.version}`);
    job = step(job);
  }
  return job;
}

/** The oldest version that can still be read. */
export const OLDEST_JOB_VERSION = 1;
