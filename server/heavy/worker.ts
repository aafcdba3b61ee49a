import type { MessagePort } from 'node:worker_threads';
import { Refused } from '../problems.ts';
import { answersTo, type Asked, type Found, type Work } from './questions.ts';

export interface Task<W extends Work = Work> {
  readonly work: W;
  readonly asked: Asked<W>;
  /** Hears what was found so far. */
  readonly soFar: MessagePort;
}

/** What comes back: an answer, or why there is none. A class does not come through between threads. */
export type Told<W extends Work> =
  | { readonly found: Found<W> }
  | { readonly refused: { readonly status: number; readonly issues: Refused['issues'] } };

/** Run in a thread of its own. */
export default function answer<W extends Work>({ work, asked, soFar }: Task<W>): Told<W> {
  try {
    let found: Found<W> | undefined;
    const answers = answersTo(work, asked);
    for (const better of answers) {
      found = better;
      // what comes at once is told by the answer itself
      if (!Array.isArray(answers)) soFar.postMessage(better);
    }
    return { found: found! };
  } catch (error) {
    if (error instanceof Refused) return { refused: { status: error.status, issues: error.issues } };
    throw error;
  } finally {
    soFar.close();
  }
}
