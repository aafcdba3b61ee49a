import type { Job } from '../../core/job/index.ts';

/** A card typed in this browser and not stored yet, with the revision it was made from (0: never stored). */
export interface KeptDraft {
  readonly job: Job;
  readonly revision: number;
}

const PREFIX = 'vuelta.draft.';

export function keptDraft(id: string): KeptDraft | null {
  try {
    const text = localStorage.getItem(PREFIX + id);
    return text ? (JSON.parse(text) as KeptDraft) : null;
  } catch {
    return null;
  }
}

export function keepDraft(job: Job, revision: number): void {
  try {
    localStorage.setItem(PREFIX + job.id, JSON.stringify({ job, revision }));
  } catch {
    // a full or closed store only means that an unstored card will not outlive the page
  }
}

export function forgetDraft(id: string): void {
  localStorage.removeItem(PREFIX + id);
}

/** Every card this browser still keeps, by name. */
export function keptDrafts(): KeptDraft[] {
  const found: KeptDraft[] = [];
  try {
    for (let i = 0; i < localStorage.length; i += 1) {
      const key = localStorage.key(i);
      const draft = key?.startsWith(PREFIX) ? keptDraft(key.slice(PREFIX.length)) : null;
      if (draft) found.push(draft);
    }
  } catch {
    return found;
  }
  return found.sort((a, b) => (a.job.name < b.job.name ? -1 : 1));
}
