import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { Refused } from '../problems.ts';
import { CHEAP, costOf } from './cost.ts';
import { AskerGone, OwnDesk, refuseTooMuch, tookTooLong, tooManyWait, type Desk } from './desk.ts';
import { isFileWork, type Asked, type Found, type Work } from './questions.ts';
import type { Told } from './worker.ts';

interface Limits {
  readonly threads: number;
  /** Questions that may wait for a thread. */
  readonly waiting: number;
  /** What a question may take once it is asked, waiting included. */
  readonly seconds: number;
}
export const LIMITS: Limits = { threads: 2, waiting: 40, seconds: 20 };

/** A large store takes its time, and is whole or nothing. */
const FILE_SECONDS = 1800;

/**
 * Works out what takes long in threads of their own, so that nobody else waits for it: what is cheap is
 * answered at once, what takes too long is broken off and answered with what was found so far.
 */
export class ThreadDesk implements Desk {
  private readonly own = new OwnDesk();
  private readonly pool: Piscina;
  private readonly limits: Limits;
  /** Questions asked of threads and not answered yet. */
  private inHand = 0;

  /** @param worker address of the built worker */
  constructor(worker: URL, limits = LIMITS) {
    this.limits = limits;
    this.pool = new Piscina({
      filename: worker.href,
      minThreads: 1,
      maxThreads: limits.threads,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: 512 },
    });
  }

  async ask<W extends Work>(work: W, asked: Asked<W>, gone?: AbortSignal): Promise<Found<W>> {
    const cost = costOf(work, asked);
    refuseTooMuch(cost);
    if (cost.total <= CHEAP) return this.own.ask(work, asked);
    // the pool’s own limit does not count those that can be broken off
    if (this.inHand >= this.limits.threads + this.limits.waiting) throw tooManyWait();
    this.inHand += 1;
    const { port1: heard, port2: soFar } = new MessageChannel();
    let found: Found<W> | undefined;
    heard.on('message', (answer: Found<W>) => (found = answer));
    heard.unref();
    const seconds = isFileWork(work) ? FILE_SECONDS : this.limits.seconds;
    const limit = AbortSignal.timeout(seconds * 1000);
    try {
      const told = (await this.pool.run(
        { work, asked, soFar },
        { transferList: [soFar], signal: gone ? AbortSignal.any([gone, limit]) : limit },
      )) as Told<W>;
      if ('refused' in told) throw new Refused(told.refused.status, told.refused.issues);
      return told.found;
    } catch (error) {
      if (error instanceof Refused) throw error;
      if (gone?.aborted) throw new AskerGone();
      if (limit.aborted || isOutOfMemory(error)) {
        if (found !== undefined) return found;
        throw tookTooLong(seconds, cost);
      }
      throw error;
    } finally {
      this.inHand -= 1;
      heard.close();
    }
  }

  close = async (): Promise<void> => this.pool.destroy();
}

const isOutOfMemory = (error: unknown): boolean =>
  (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY';
