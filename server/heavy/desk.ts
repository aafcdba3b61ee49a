import { Refused } from '../problems.ts';
import { ALWAYS_ANSWERED, sizesText } from './cost.ts';
import { answerTo, type Asked, type Found, type OfJob, type Work } from './questions.ts';

/** Whoever asked has gone: nobody waits for the answer. */
export class AskerGone extends Error {}

/** What whoever asks has to say while the answer is made. */
export interface Waiting<W extends Work> {
  /** Aborted when whoever asked has gone: the answer is broken off wherever it is. */
  readonly gone?: AbortSignal;
  /** Aborted when no more is wanted: what works with files ends between two steps, whole. */
  readonly stop?: AbortSignal;
  /** Hears how far it is. */
  readonly hears?: (soFar: Found<W>) => void;
}

/** Where what takes long is worked out. */
export interface Desk {
  /**
   * @param waiting left out where somebody always waits
   * @returns the best answer there was time for
   * @throws Refused 404 and 422 for what cannot be answered, 503 where too many wait, AskerGone
   */
  ask<W extends Work>(work: W, asked: Asked<W>, waiting?: Waiting<W>): Promise<Found<W>>;
  close(): Promise<void>;
}

const issue = { path: '', severity: 'wrong' } as const;

/** Nothing was found in the time there is. */
export const tookTooLong = (seconds: number, asked: OfJob): Refused =>
  new Refused(422, [
    {
      ...issue,
      code: 'took-too-long',
      given: sizesText(asked),
      allowed: ALWAYS_ANSWERED,
      detail: { seconds },
    },
  ]);

/** So many questions wait already that one more would not be answered in time. */
export const tooManyWait = (): Refused => new Refused(503, [{ ...issue, code: 'too-many-wait' }]);

/** Works everything out where it is asked: for tests, and for what is cheap. */
export class OwnDesk implements Desk {
  ask<W extends Work>(work: W, asked: Asked<W>, { stop, hears }: Waiting<W> = {}): Promise<Found<W>> {
    return answerTo(work, asked, {
      better: (found) => hears?.(found),
      stopped: () => stop?.aborted ?? false,
    });
  }
  close = (): Promise<void> => Promise.resolve();
}
