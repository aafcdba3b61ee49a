import type { Run } from '../run/index.ts';

/** Where the cutter stands against the work, by the readout’s figures. */
export type CutterAt = 'clear' | 'in-work' | 'not-known';

/** So far beyond the first touch, mm, nothing touches: more than a readout’s noise. */
export const CLEAR_BY = 0.5;

/** What a readout reads from the zeros that were taken at the touch, mm; null where none was. */
export interface Reads {
  /** Along the cut, from the first touch at full depth, the way it is fed. */
  readonly travel: number | null;
  /** Into the work, from its outside. */
  readonly depth: number | null;
}

/**
 * Is the cutter clear of the work, so that it may be turned? By the readings at which the run says that it is
 * safe to index, at either end, or drawn out.
 */
export function cutterAt(safe: Run['safe'], { travel, depth }: Reads): CutterAt {
  if (depth !== null && depth <= -CLEAR_BY) return 'clear';
  if (!safe) return 'not-known';
  if (safe.way === 'sink') return depth === null ? 'not-known' : 'in-work';
  if (travel === null) return 'not-known';
  const past = Math.max(safe.clearAfter, safe.through) + CLEAR_BY;
  return travel <= -CLEAR_BY || travel >= past ? 'clear' : 'in-work';
}

/** What is to be looked at before and while a motor turns the work. */
export interface Ground {
  /** Does a readout watch? Then what it reads, and how old that is, ms. */
  readonly readout: (Reads & { readonly age: number }) | null;
  readonly safe: Run['safe'];
  /** Somebody has said at this very turn that spindle and table are free and the cutter is clear. */
  readonly saidFree: boolean;
  /** Since the page last said that the button is held, or that it is there, ms. */
  readonly heldAgo: number;
}

export type NotNow = 'not-said' | 'let-go' | 'readout-old' | 'no-zero' | 'in-work';

/** A figure of a readout is believed no longer than this, ms. */
export const BELIEVED_MS = 600;
/** A page that is silent longer than this has let go, ms. */
export const HELD_MS = 500;

/**
 * Why the work must not be turned now; null where it may. With a readout that watches it alone says that the
 * cutter is clear, and silence of it is no yes; without one a person says so, at each turn.
 */
export function whyNotTurn({ readout, safe, saidFree, heldAgo }: Ground): NotNow | null {
  if (!saidFree) return 'not-said';
  // not below: a clock that was set back tells nothing
  if (!(heldAgo >= 0 && heldAgo <= HELD_MS)) return 'let-go';
  if (!readout) return null;
  if (!(readout.age >= 0 && readout.age <= BELIEVED_MS)) return 'readout-old';
  const at = cutterAt(safe, readout);
  if (at === 'in-work') return 'in-work';
  return at === 'clear' || safe === null ? null : 'no-zero';
}
