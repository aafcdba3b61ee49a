import { dequal } from 'dequal';
import type { DriveInput } from '../drive/index.ts';
import { isDrive, type DrivePart } from '../kinds/index.ts';
import { withPart } from './parts.ts';
import type { Job } from './schema.ts';

/** The other half of a worm drive in the same job; null when it has none. */
export function partnerOf(job: Job, partId: string): DrivePart | null {
  const relation = job.relations.find(({ kind, parts }) => kind === 'worm-drive' && parts.includes(partId));
  const partner = job.parts.find(({ id }) => id !== partId && relation?.parts.includes(id));
  return partner && isDrive(partner) ? partner : null;
}

/**
 * Changes what worm and wheel have in common, on both cards. Where the two stood apart already only this one
 * is changed: what stands on the other was meant so, until someone says otherwise.
 */
export function withDrive(job: Job, partId: string, change: (drive: DriveInput) => DriveInput): Job {
  const own = job.parts.find(({ id }) => id === partId);
  if (!own || !isDrive(own)) return job;
  const partner = partnerOf(job, partId);
  const drive = change(own.drive);
  const put = (now: Job, id: string) =>
    withPart(now, id, (part) => (isDrive(part) ? { ...part, drive } : part));
  const changed = put(job, partId);
  return partner && dequal(partner.drive, own.drive) ? put(changed, partner.id) : changed;
}

/** Puts the figures of one card on the other as well. */
export function agreeOnDrive(job: Job, partId: string): Job {
  const own = job.parts.find(({ id }) => id === partId);
  const partner = partnerOf(job, partId);
  if (!own || !isDrive(own) || !partner) return job;
  const { drive } = own;
  return withPart(job, partner.id, (part) => (isDrive(part) ? { ...part, drive } : part));
}

/** Do the two cards of a drive stand apart? */
export function drivesDiffer(job: Job, partId: string): boolean {
  const own = job.parts.find(({ id }) => id === partId);
  const partner = partnerOf(job, partId);
  return own !== undefined && isDrive(own) && partner !== null && !dequal(own.drive, partner.drive);
}
