import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { Refused, tooLarge } from '../problems.ts';
import { isCheap } from './cost.ts';
import { AskerGone, OwnDesk, tookTooLong, tooManyWait, type Desk, type Waiting } from './desk.ts';
import { isFileWork, type Asked, type Found, type OfJob, type Work } from './questions.ts';
import type { Told } from './worker.ts';

interface Limits {
  readonly threads: number;
  /** Questions that may wait for a thread. */
  readonly waiting: number;
  /** What a question may take once it is asked, waiting included. */
  readonly seconds: number;
}
export const LIMITS: Limits = { threads: 2, waiting: 40, seconds: 20 };

/** For a restore of the largest file that is taken; a search needs a tenth. */
const MOST_MEMORY_MB = 2048;

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
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
  }

  async ask<W extends Work>(work: W, asked: Asked<W>, waiting: Waiting<W> = {}): Promise<Found<W>> {
    const { gone, stop, hears } = waiting;
    if (isCheap(work, asked)) return this.own.ask(work, asked, waiting);
    // the pool’s own limit does not count those that can be broken off
    if (this.inHand >= this.limits.threads + this.limits.waiting) throw tooManyWait();
    this.inHand += 1;
    const { port1: heard, port2: soFar } = new MessageChannel();
    let found: Found<W> | undefined;
    heard.on('message', (answer: Found<W>) => {
      found = answer;
      hears?.(answer);
    });
    heard.unref();
    const tell = () => heard.postMessage('stop');
    stop?.addEventListener('abort', tell);
    // a large store takes its time, and is whole or nothing
    const limit = 'store' in asked ? null : AbortSignal.timeout(this.limits.seconds * 1000);
    const signals = [gone, limit].filter((signal) => signal instanceof AbortSignal);
    try {
      const told = (await this.pool.run(
        { work, asked, soFar },
        { transferList: [soFar], signal: AbortSignal.any(signals) },
      )) as Told<W>;
      if ('refused' in told) throw new Refused(told.refused.status, told.refused.issues);
      return told.found;
    } catch (error) {
      if (gone?.aborted) throw new AskerGone();
      if (isOutOfMemory(error) && isFileWork(work)) throw tooLarge(undefined);
      if (!limit?.aborted && !isOutOfMemory(error)) throw error;
      if (found !== undefined) return found;
      throw tookTooLong(this.limits.seconds, asked as OfJob);
    } finally {
      this.inHand -= 1;
      stop?.removeEventListener('abort', tell);
      heard.close();
    }
  }

  close = async (): Promise<void> => this.pool.destroy();
}

const isOutOfMemory = (error: unknown): boolean =>
  (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY';
