import { create } from 'zustand';
import { withMatesFollowing, type Job } from '../../core/job/index.ts';
import { plan, refusals } from '../../core/plan/index.ts';
import { NO_EQUIPMENT } from '../../core/shop/index.ts';
import type { StoredJob } from '../../core/wire/index.ts';
import { api, createSaver, keepNow, keys, queryClient, type SaveFault } from '../state/index.ts';
import { History, sameDocument, tabStore } from './history.ts';
import { forgetDraft, keepDraft, keptDraft, putDraftAside } from './keptDrafts.ts';

export type SaveState =
  | { readonly kind: 'stored' }
  | { readonly kind: 'waiting' }
  /** Something typed cannot be used: the last good version stays stored. */
  | { readonly kind: 'refused' }
  | SaveFault;

interface DraftState {
  readonly job: Job | null;
  /** Revision the draft was made from; 0 for a job not stored yet. */
  readonly revision: number;
  readonly save: SaveState;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  open(job: Job, revision: number): void;
  edit(change: (job: Job) => Job): void;
  /** Goes back a step, whichever station it was at; nothing at the start. */
  undo(): void;
  redo(): void;
  /** Stores at once what is waiting; resolves when it is done or refused. */
  flush(): Promise<void>;
  close(): void;
}

/** What was done to the job that is open. */
const history = new History<Job>(() => Date.now());
const steps = () => ({ canUndo: history.canUndo, canRedo: history.canRedo });

/** Would the server refuse it? One that cannot even be planned is never sent. */
function refuses(job: Job): boolean {
  try {
    return refusals(plan(job, NO_EQUIPMENT)).length > 0;
  } catch {
    return true;
  }
}

/** The job being worked on: edits show at once, and are stored a moment later. */
export const useDraft = create<DraftState>()((set, get) => {
  /** The draft may have been closed, or another opened, while the answer was on its way. */
  const isOpen = ({ id }: Job) => get().job?.id === id;
  const saver = createSaver<{ readonly job: Job; readonly revision: number }, StoredJob>({
    afterMs: 450,
    pending: () => {
      const { job, revision, save } = get();
      if (!job || save.kind === 'stored' || save.kind === 'conflict') return null;
      // a job that refers to its own copy of the head needs no shop to be checked
      if (refuses(job)) {
        set({ save: { kind: 'refused' } });
        return null;
      }
      return { job, revision };
    },
    send: ({ job, revision }) => api.saveJob(revision, job),
    accept: ({ job }, stored) => {
      if (!isOpen(job)) return 'current';
      const current = get().job === job;
      set({ revision: stored.revision, save: current ? { kind: 'stored' } : { kind: 'waiting' } });
      if (current) forgetDraft(job.id);
      else keepDraft(get().job!, stored.revision);
      queryClient.setQueryData(keys.job(job.id), stored);
      void queryClient.invalidateQueries({ queryKey: ['jobs'] });
      return current ? 'current' : 'newer';
    },
    fail: ({ job }, fault) => {
      if (isOpen(job)) set({ save: fault });
    },
  });
  /** Shows another state of the job that is open, and stores it a moment later. */
  const show = (job: Job) => {
    const { revision, save } = get();
    keepDraft(job, revision);
    set({ job, ...steps(), save: save.kind === 'conflict' ? save : { kind: 'waiting' } });
    if (save.kind !== 'conflict') saver.later();
  };
  return {
    job: null,
    revision: 0,
    save: { kind: 'stored' },
    canUndo: false,
    canRedo: false,
    open: (job, revision) => {
      saver.stop();
      const kept = keptDraft(job.id);
      // stored after all, though the page was closed before it heard so
      const same = kept !== null && sameDocument(kept.job, job);
      if (same) forgetDraft(job.id);
      // typed but not stored when the page was last closed
      const waits = kept && !same && revision >= kept.revision ? kept : null;
      const { job: left } = get();
      if (left && left.id !== job.id) history.keep(left);
      history.open(tabStore(job.id), waits?.job ?? job, sameDocument);
      if (waits) {
        set({ job: waits.job, revision: waits.revision, ...steps(), save: { kind: 'waiting' } });
        saver.soon();
      } else set({ job, revision, ...steps(), save: { kind: 'stored' } });
    },
    edit: (change) => {
      const { job } = get();
      if (!job) return;
      const typed = change(job);
      if (typed === job) return;
      const changed = withMatesFollowing(job, typed);
      history.record(job, changed);
      show(changed);
    },
    undo: () => {
      const { job } = get();
      const before = job && history.undo(job);
      if (before) show(before);
    },
    redo: () => {
      const { job } = get();
      const after = job && history.redo(job);
      if (after) show(after);
    },
    flush: () => saver.now(),
    close: () => {
      saver.stop();
      keepNow();
      const { job } = get();
      if (job) history.keep(job);
      set({ job: null, revision: 0, save: { kind: 'stored' }, canUndo: false, canRedo: false });
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

// undone is what was done on this page before it was loaded anew, too
globalThis.addEventListener?.('pagehide', () => {
  const { job } = useDraft.getState();
  if (job) history.keep(job);
});
