import { AwayError, ProblemError } from './api.ts';

/** Why something was not stored. */
export type SaveFault =
  /** The server is not to be reached: it is tried again. */
  | { readonly kind: 'away' }
  /** Another screen stored first; with what is stored there, where it says. */
  | { readonly kind: 'conflict'; readonly kept: string | null }
  | { readonly kind: 'failed'; readonly message: string };

/** What is stored, and what becomes of the answer. */
export interface Saving<Sent, Stored> {
  /** What waits to be stored; null where nothing does, or it is not to be sent. */
  readonly pending: () => Sent | null;
  readonly send: (sent: Sent) => Promise<Stored>;
  /** Keeps the answer. @returns does something newer wait? */
  readonly accept: (sent: Sent, stored: Stored) => 'current' | 'newer';
  readonly fail: (sent: Sent, fault: SaveFault) => void;
  /** How long a change waits for the next. */
  readonly afterMs: number;
}

/** Timers, so that a test can do without waiting. */
export interface Timers {
  readonly set: (run: () => void, ms: number) => unknown;
  readonly clear: (timer: unknown) => void;
}
const REAL: Timers = {
  set: (run, ms) => setTimeout(run, ms),
  clear: (timer) => clearTimeout(timer as ReturnType<typeof setTimeout>),
};

export interface Saver {
  /** A change was made: it is stored a moment later, with those that follow at once. */
  readonly later: () => void;
  /** As soon as nothing else runs. */
  readonly soon: () => void;
  /** Now; resolves when it is stored or refused. */
  readonly now: () => Promise<void>;
  /** What waits is given up. */
  readonly stop: () => void;
}

const RETRY_MS = 3000;

const faultOf = (error: unknown): SaveFault =>
  error instanceof AwayError
    ? { kind: 'away' }
    : error instanceof ProblemError && error.status === 409
      ? { kind: 'conflict', kept: error.kept }
      : { kind: 'failed', message: error instanceof Error ? error.message : String(error) };

/** Stores what is changed: a moment later, one at a time and in order, again while the server is away. */
export function createSaver<Sent, Stored>(of: Saving<Sent, Stored>, timers: Timers = REAL): Saver {
  let timer: unknown;
  let storing: Promise<void> = Promise.resolve();
  const schedule = (ms: number): void => {
    timers.clear(timer);
    timer = timers.set(() => void now(), ms);
  };
  async function storeOnce(): Promise<void> {
    const sent = of.pending();
    if (sent === null) return;
    try {
      const stored = await of.send(sent);
      if (of.accept(sent, stored) === 'newer') schedule(of.afterMs);
    } catch (error) {
      const fault = faultOf(error);
      of.fail(sent, fault);
      if (fault.kind === 'away') schedule(RETRY_MS);
    }
  }
  function now(): Promise<void> {
    timers.clear(timer);
    storing = storing.then(storeOnce);
    return storing;
  }
  return {
    later: () => schedule(of.afterMs),
    soon: () => schedule(0),
    now,
    stop: () => timers.clear(timer),
  };
}
