import type { EntityManager } from '@mikro-orm/libsql';
import { goOnWith, tallyOf, type Run, type RunTally } from '../../core/run/index.ts';
import { RunEventRow } from '../entities/index.ts';
import { readEvent } from '../resting/index.ts';

/** A run that is being counted, as far as it rests: its events in order, up to an arrival. */
export interface InHand {
  readonly run: Run;
  readonly tally: RunTally;
  /** Of the last of its events that rest. */
  readonly arrival: number;
}

/** How many runs are kept in hand: a class of thirty and as many again. */
const MOST = 64;

/**
 * The runs counted last, as read and sorted, so that one more count reads neither the run nor the counts
 * before it. Whoever takes one out puts it back once what was added rests; what failed is read again.
 */
export class RunsInHand {
  private readonly runs = new Map<string, InHand>();

  /** Takes a run out, with all that rests of it. @param read reads the run where it is not in hand */
  async take(em: EntityManager, id: string, read: () => Promise<Run>): Promise<InHand> {
    const kept = this.runs.get(id) ?? null;
    this.runs.delete(id);
    const rows = await em.find(
      RunEventRow,
      { runId: id, arrival: { $gt: kept?.arrival ?? 0 } },
      { orderBy: { arrival: 'asc' }, fields: ['arrival', 'document'] },
    );
    const run = kept?.run ?? (await read());
    const later = rows.map(readEvent).filter((event) => event !== null);
    return {
      run,
      tally: kept ? goOnWith(kept.tally, later) : tallyOf(run, later),
      arrival: rows.at(-1)?.arrival ?? kept?.arrival ?? 0,
    };
  }

  put(id: string, inHand: InHand): void {
    this.runs.set(id, inHand);
    const [oldest] = this.runs.keys();
    if (this.runs.size > MOST && oldest !== undefined) this.runs.delete(oldest);
  }
}
