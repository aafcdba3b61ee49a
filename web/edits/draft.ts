import { hashKey } from '@tanstack/react-query';
import { create } from 'zustand';
import type { Job } from '../../core/job/index.ts';
import { plan, refusals } from '../../core/plan/index.ts';
import { NO_EQUIPMENT } from '../../core/shop/index.ts';
import { api, AwayError, keys, ProblemError, queryClient } from '../state/index.ts';
import { forgetDraft, keepDraft, keptDraft, putDraftAside } from './keptDrafts.ts';

export type SaveState =
  | { readonly kind: 'stored' }
  | { readonly kind: 'waiting' }
  /** Something typed cannot be used: the last good version stays stored. */
  | { readonly kind: 'refused' }
  | { readonly kind: 'away' }
  | { readonly kind: 'conflict'; readonly kept: string | null }
  | { readonly kind: 'failed'; readonly message: string };

interface DraftState {
  readonly job: Job | null;
  /** Revision the draft was made from; 0 for a job not stored yet. */
  readonly revision: number;
  readonly save: SaveState;
  open(job: Job, revision: number): void;
  edit(change: (job: Job) => Job): void;
  /** Stores at once what is waiting; resolves when it is done or refused. */
  flush(): Promise<void>;
  close(): void;
}

/** Would the server refuse it? One that cannot even be planned is never sent. */
function refuses(job: Job): boolean {
  try {
    return refusals(plan(job, NO_EQUIPMENT)).length > 0;
  } catch {
    return true;
  }
}

const SAVE_AFTER_MS = 450;
const RETRY_MS = 3000;
let timer: ReturnType<typeof setTimeout> | undefined;
let storing: Promise<void> = Promise.resolve();

/** The job being worked on: edits show at once, and are stored a moment later. */
export const useDraft = create<DraftState>()((set, get) => {
  const schedule = (ms: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void storeDraft(), ms);
  };

  async function storeNow(): Promise<void> {
    const { job, revision, save } = get();
    if (!job || save.kind === 'stored' || save.kind === 'conflict') return;
    // a job that refers to its own copy of the head needs no shop to be checked
    if (refuses(job)) {
      set({ save: { kind: 'refused' } });
      return;
    }
    try {
      const stored = await api.saveJob(revision, job);
      if (get().job?.id !== job.id) return;
      const current = get().job === job;
      set({ revision: stored.revision, save: current ? { kind: 'stored' } : { kind: 'waiting' } });
      if (current) forgetDraft(job.id);
      else {
        keepDraft(get().job!, stored.revision);
        schedule(SAVE_AFTER_MS);
      }
      queryClient.setQueryData(keys.job(job.id), stored);
      void queryClient.invalidateQueries({ queryKey: ['jobs'] });
    } catch (error) {
      if (get().job?.id !== job.id) return;
      if (error instanceof AwayError) {
        set({ save: { kind: 'away' } });
        schedule(RETRY_MS);
      } else if (error instanceof ProblemError && error.status === 409)
        set({ save: { kind: 'conflict', kept: error.kept } });
      else set({ save: { kind: 'failed', message: (error as Error).message } });
    }
  }

  /** One save at a time, in order. */
  function storeDraft(): Promise<void> {
    storing = storing.then(storeNow);
    return storing;
  }
  return {
    job: null,
    revision: 0,
    save: { kind: 'stored' },
    open: (job, revision) => {
      clearTimeout(timer);
      const kept = keptDraft(job.id);
      // stored after all, though the page was closed before it heard so
      const same = kept !== null && hashKey([kept.job]) === hashKey([job]);
      if (same) forgetDraft(job.id);
      // typed but not stored when the page was last closed
      if (kept && !same && revision >= kept.revision) {
        set({ job: kept.job, revision: kept.revision, save: { kind: 'waiting' } });
        schedule(0);
      } else set({ job, revision, save: { kind: 'stored' } });
    },
    edit: (change) => {
      const { job, revision, save } = get();
      if (!job) return;
      const changed = change(job);
      if (changed === job) return;
      keepDraft(changed, revision);
      set({ job: changed, save: save.kind === 'conflict' ? save : { kind: 'waiting' } });
      if (save.kind !== 'conflict') schedule(SAVE_AFTER_MS);
    },
    flush: () => {
      clearTimeout(timer);
      return storeDraft();
    },
    close: () => {
      clearTimeout(timer);
      set({ job: null, revision: 0, save: { kind: 'stored' } });
    },
  };
});

/** Leaves a draft that cannot be planned: it is put aside, and the card is what is stored. */
export function leaveDraft(id: string): void {
  useDraft.getState().close();
  putDraftAside(id);
  void queryClient.invalidateQueries({ queryKey: keys.job(id) });
}

/** Leaves the draft in conflict for the stored version. */
export function dropDraft(id: string): void {
  forgetDraft(id);
  useDraft.getState().close();
  void queryClient.invalidateQueries({ queryKey: keys.job(id) });
}
