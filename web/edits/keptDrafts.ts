import { readJob, type Job } from '../../core/job/index.ts';
import { ASIDE_PREFIX, DRAFT_PREFIX, forgetKept, keepNow, keepSoon, keptUnder } from '../state/index.ts';

/** A card typed in this browser and not stored yet, with the revision it was made from (0: never stored). */
export interface KeptDraft {
  readonly job: Job;
  readonly revision: number;
}

/** A draft that cannot be read any more, or not be planned: kept as it is, to be saved as a file. */
export interface AsideDraft {
  readonly key: string;
  readonly name: string;
  readonly text: string;
}

/** Puts a draft out of the way of its card. What was kept before under that name stays. */
export function putDraftAside(id: string): void {
  keepNow();
  try {
    const text = localStorage.getItem(DRAFT_PREFIX + id);
    if (text === null) return;
    let n = 1;
    while (localStorage.getItem(`${ASIDE_PREFIX}${id}.${n}`) !== null) n += 1;
    localStorage.setItem(`${ASIDE_PREFIX}${id}.${n}`, text);
    localStorage.removeItem(DRAFT_PREFIX + id);
  } catch {
    // a store that takes nothing more keeps the draft where it is
  }
}

/**
 * A draft through the same reader as files: one of an older version is brought up to today, one that cannot
 * be read is put aside.
 */
export function keptDraft(id: string): KeptDraft | null {
  keepNow();
  let text: string | null = null;
  try {
    text = localStorage.getItem(DRAFT_PREFIX + id);
  } catch {
    return null;
  }
  if (text === null) return null;
  try {
    const { job, revision } = JSON.parse(text) as { job: unknown; revision: unknown };
    const read = readJob(job);
    if (read.ok && typeof revision === 'number') return { job: read.value, revision };
  } catch {
    // told below, as any other that cannot be read
  }
  putDraftAside(id);
  return null;
}

/** Keeps a card in this browser: in a moment, and in any case before the page goes. */
export const keepDraft = (job: Job, revision: number): void =>
  keepSoon(DRAFT_PREFIX + job.id, () => JSON.stringify({ job, revision }));

export const forgetDraft = (id: string): void => forgetKept(DRAFT_PREFIX + id);

/** Every card this browser still keeps, by name. */
export function keptDrafts(): KeptDraft[] {
  return keptUnder(DRAFT_PREFIX)
    .flatMap((key) => keptDraft(key.slice(DRAFT_PREFIX.length)) ?? [])
    .sort((a, b) => (a.job.name < b.job.name ? -1 : 1));
}

/** The text of what was put aside: the job's own, where it has one, so that a later Vuelta can import it. */
export function asideDrafts(): AsideDraft[] {
  return keptUnder(ASIDE_PREFIX).map((key) => {
    const text = localStorage.getItem(key) ?? '';
    try {
      const { job } = JSON.parse(text) as { job: { name?: unknown } };
      return {
        key,
        name: typeof job.name === 'string' ? job.name : key.slice(ASIDE_PREFIX.length),
        text: JSON.stringify(job, null, 2),
      };
    } catch {
      return { key, name: key.slice(ASIDE_PREFIX.length), text };
    }
  });
}

export const forgetAside = (key: string): void => localStorage.removeItem(key);
