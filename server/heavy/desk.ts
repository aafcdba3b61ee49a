import { Refused } from '../problems.ts';
import { costOf, MOST_COST, type Cost } from './cost.ts';
import { answerTo, type Asked, type Found, type Work } from './questions.ts';

/** Whoever asked has gone: nobody waits for the answer. */
export class AskerGone extends Error {}

/** Where what takes long is worked out. */
export interface Desk {
  /**
   * @param gone aborted when whoever asked has gone; left out where somebody always waits
   * @returns the best answer there was time for
   * @throws Refused 404 and 422 for what cannot be answered, 503 where too many wait, AskerGone
   */
  ask<W extends Work>(work: W, asked: Asked<W>, gone?: AbortSignal): Promise<Found<W>>;
  close(): Promise<void>;
}

const issue = { path: '', severity: 'wrong' } as const;

/** @throws Refused 422 for what would take far longer than anyone waits, with what would do */
export function refuseTooMuch(cost: Cost): void {
  if (cost.total <= MOST_COST) return;
  throw new Refused(422, [
    {
      ...issue,
      code: 'too-much-at-once',
      given: cost.what,
      allowed: cost.atMost,
      detail: { times: Math.ceil(cost.total / MOST_COST) },
    },
  ]);
}

/** Nothing was found in the time there is. */
export const tookTooLong = (seconds: number, { what, atMost }: Cost): Refused =>
  new Refused(422, [{ ...issue, code: 'took-too-long', given: what, allowed: atMost, detail: { seconds } }]);

/** So many questions wait already that one more would not be answered in time. */
export const tooManyWait = (): Refused => new Refused(503, [{ ...issue, code: 'too-many-wait' }]);

/** Works everything out where it is asked: for tests, and for what is cheap. */
export class OwnDesk implements Desk {
  ask<W extends Work>(work: W, asked: Asked<W>): Promise<Found<W>> {
    refuseTooMuch(costOf(work, asked));
    return answerTo(work, asked);
  }
  close = (): Promise<void> => Promise.resolve();
}
