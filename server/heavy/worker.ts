import { receiveMessageOnPort, type MessagePort } from 'node:worker_threads';
import { Refused } from '../problems.ts';
import { answerTo, type Asked, type Found, type Work } from './questions.ts';

export interface Task<W extends Work = Work> {
  readonly work: W;
  readonly asked: Asked<W>;
  /** Hears what was found so far; says, by any word, that no more is wanted. */
  readonly soFar: MessagePort;
}

/** What comes back: an answer, or why there is none. A class does not come through between threads. */
export type Told<W extends Work> =
  | { readonly found: Found<W> }
  | { readonly refused: { readonly status: number; readonly issues: Refused['issues'] } };

/** Run in a thread of its own. */
export default async function answer<W extends Work>({ work, asked, soFar }: Task<W>): Promise<Told<W>> {
  let isStopped = false;
  const making = {
    better: (found: Found<W>) => soFar.postMessage(found),
    // looked for, since what is worked out in one go hears nothing
    stopped: () => (isStopped ||= receiveMessageOnPort(soFar) !== undefined),
  };
  try {
    return { found: await answerTo(work, asked, making) };
  } catch (error) {
    if (error instanceof Refused) return { refused: { status: error.status, issues: error.issues } };
    throw error;
  } finally {
    soFar.close();
  }
}
