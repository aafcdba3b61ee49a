import { hashKey } from '@tanstack/react-query';

/** Where a history rests while its page is closed. */
export interface HistoryStore {
  read(): string | null;
  write(text: string): void;
}

interface Kept<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
  /** What it was when it was kept. */
  readonly now: T;
}

/** Typed one after another into the same place within this time is one step. */
const ONE_STEP_MS = 1500;
const MOST_STEPS = 100;
/** Of these a browser keeps so many over a reload. */
const MOST_KEPT = 40;

/**
 * The place that a change is all of: where the two documents part, looking at what is not the same object.
 * @returns dotted; two changes at one place are one step
 */
export function changedPlace(before: unknown, after: unknown): string {
  if (!isThing(before) || !isThing(after)) return '';
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const changed = names.filter((name) => before[name] !== after[name]);
  const [only] = changed;
  if (only === undefined || changed.length > 1) return changed.join(' ');
  const deeper = changedPlace(before[only], after[only]);
  return deeper ? `${only}.${deeper}` : only;
}
const isThing = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

/**
 * What a document was, step by step, to go back to and forth again. Documents are never changed, only
 * replaced, so that keeping them costs what differs.
 */
export class History<T> {
  private past: readonly T[] = [];
  private future: readonly T[] = [];
  private last = { place: '', at: -Infinity };
  private store: HistoryStore | null = null;
  private readonly clock: () => number;

  /** @param clock milliseconds */
  constructor(clock: () => number) {
    this.clock = clock;
  }

  get canUndo(): boolean {
    return this.past.length > 0;
  }
  get canRedo(): boolean {
    return this.future.length > 0;
  }

  /** A person has changed `before` into `after`. What was undone before it is gone. */
  record(before: T, after: T): void {
    const place = changedPlace(before, after);
    const at = this.clock();
    const goesOn = place !== '' && place === this.last.place && at - this.last.at < ONE_STEP_MS;
    if (!goesOn) this.past = [...this.past, before].slice(-MOST_STEPS);
    this.future = [];
    this.last = { place, at };
  }

  /** @returns what it was before the last step; null at the start */
  undo(now: T): T | null {
    const before = this.past.at(-1);
    if (before === undefined) return null;
    this.past = this.past.slice(0, -1);
    this.future = [...this.future, now];
    this.last = { place: '', at: -Infinity };
    return before;
  }

  /** @returns what was undone last; null where nothing is */
  redo(now: T): T | null {
    const after = this.future.at(-1);
    if (after === undefined) return null;
    this.future = this.future.slice(0, -1);
    this.past = [...this.past, now];
    this.last = { place: '', at: -Infinity };
    return after;
  }

  /** Keeps it for the time that the page is closed. */
  keep(now: T): void {
    const kept: Kept<T> = { past: this.past.slice(-MOST_KEPT), future: this.future.slice(-MOST_KEPT), now };
    try {
      this.store?.write(JSON.stringify(kept));
    } catch {
      // a full or closed store only means that what is undone does not outlive the page
    }
  }

  /**
   * Opens what is on the page now: what was kept of it goes on, where it is still what it was then.
   * @param store where this one rests @param isSame are they the same in every figure?
   */
  open(store: HistoryStore, now: T, isSame: (a: T, b: T) => boolean): void {
    this.store = store;
    this.past = [];
    this.future = [];
    this.last = { place: '', at: -Infinity };
    try {
      const kept = JSON.parse(store.read() ?? 'null') as Kept<T> | null;
      if (!kept || !isSame(kept.now, now)) return;
      this.past = kept.past;
      this.future = kept.future;
    } catch {
      // what cannot be read is no history
    }
  }
}

const TAB_PREFIX = 'vuelta.steps.';

/** The browser’s store for as long as the tab is open. Where it is full, what is open now is kept. */
export const tabStore = (name: string): HistoryStore => ({
  read: () => {
    try {
      return sessionStorage.getItem(TAB_PREFIX + name);
    } catch {
      return null;
    }
  },
  write: (text) => {
    try {
      sessionStorage.setItem(TAB_PREFIX + name, text);
    } catch {
      for (const key of Object.keys(sessionStorage))
        if (key.startsWith(TAB_PREFIX)) sessionStorage.removeItem(key);
      sessionStorage.setItem(TAB_PREFIX + name, text);
    }
  },
});

/** The same in every figure, whatever the order they were written in; what is not there is not written. */
export const sameDocument = (a: unknown, b: unknown): boolean => hashKey([a]) === hashKey([b]);
