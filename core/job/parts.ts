import type { DividingInput } from '../dividing/index.ts';
import { isGear, isIndexed, type GearPart, type IndexedPart, type Part } from '../kinds/index.ts';
import type { Job } from './schema.ts';

/** Replaces one part by what a change makes of it. */
export function withPart(job: Job, partId: string, change: (part: Part) => Part): Job {
  return { ...job, parts: job.parts.map((part) => (part.id === partId ? change(part) : part)) };
}

/** Replaces one part that is known to be a spur gear; others are left as they are. */
export const withSpurPart = (job: Job, partId: string, change: (part: GearPart) => GearPart): Job =>
  withPart(job, partId, (part) => (isGear(part) ? change(part) : part));

/** Changes only what the dividing station was given. */
export const withDividing = (
  job: Job,
  partId: string,
  change: (dividing: DividingInput) => DividingInput,
): Job =>
  withPart(job, partId, (part) => (isIndexed(part) ? { ...part, dividing: change(part.dividing) } : part));

/** The parts that are cut on the mill. */
export const indexedParts = ({ parts }: Job): readonly IndexedPart[] => parts.filter(isIndexed);
