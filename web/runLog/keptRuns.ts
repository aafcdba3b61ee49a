import { z } from 'zod';
import { readRun, runEventSchema, type Run, type RunEvent } from '../../core/run/index.ts';
import { opensWithoutServer } from '../state/index.ts';

/** A run as this browser last saw it on the server, so that its count stands while that is away. */
export interface KeptRun {
  readonly run: Run;
  readonly events: readonly RunEvent[];
  /** Of the last event that the server had sent. */
  readonly arrival: number;
}

/** What is to be kept of a run. */
export interface RunNews extends KeptRun {
  /** Is it all that the server has? A part of it is added only to what is kept already. */
  readonly whole: boolean;
}

/** Where runs are kept. */
export interface RunKeep {
  /** Null where it is not kept, or cannot be read any more. */
  read(runId: string): Promise<KeptRun | null>;
  /** Adds to what is kept. Where that cannot be written nothing is kept: a count behind would be worse. */
  write(news: RunNews): Promise<void>;
}

/** What is kept, with what is new: two pages of one browser may each know more. Null for a mere part. */
export function joinRuns(kept: KeptRun | null, { run, events, arrival, whole }: RunNews): KeptRun | null {
  if (!kept) return whole ? { run, events, arrival } : null;
  const known = new Set(events.map(({ id }) => id));
  const others = kept.events.filter(({ id }) => !known.has(id));
  return { run, events: [...others, ...events], arrival: Math.max(kept.arrival, arrival) };
}

const NAME = 'vuelta-runs';
const MOST_RUNS = 8;
const placeOf = (runId: string): string => `/kept-runs/${encodeURIComponent(runId)}`;
const restSchema = z.object({ events: z.array(runEventSchema), arrival: z.int() });

/** In the browser’s store for pages that work without a server; a browser that refuses keeps nothing. */
const inThisBrowser: RunKeep = {
  read: async (runId) => {
    try {
      const kept = await (await caches.open(NAME)).match(placeOf(runId));
      if (!kept) return null;
      const raw = (await kept.json()) as { readonly run: unknown };
      return { run: readRun(raw.run), ...restSchema.parse(raw) };
    } catch {
      return null;
    }
  },
  write: async (news) => {
    const place = placeOf(news.run.id);
    try {
      const cache = await caches.open(NAME);
      // as it was written by this very page or one like it: it is looked at when it is taken up
      const before = (await (await cache.match(place))?.json()) as KeptRun | undefined;
      const kept = joinRuns(before ?? null, news);
      if (!kept) return;
      await cache.put(place, new Response(JSON.stringify(kept)));
      const others = (await cache.keys()).filter(({ url }) => new URL(url).pathname !== place);
      await Promise.all(others.slice(0, 1 - MOST_RUNS).map((old) => cache.delete(old)));
    } catch {
      await caches.delete(NAME).catch(() => false);
    }
  },
};

const nowhere: RunKeep = { read: () => Promise.resolve(null), write: () => Promise.resolve() };

export const keptRuns = (): RunKeep => (opensWithoutServer() ? inThisBrowser : nowhere);
