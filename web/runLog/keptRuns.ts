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

/** Where runs are kept. */
export interface RunKeep {
  /** Null where it is not kept, or cannot be read any more. */
  read(runId: string): Promise<KeptRun | null>;
  write(kept: KeptRun): Promise<void>;
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
  write: async (kept) => {
    try {
      const cache = await caches.open(NAME);
      const place = placeOf(kept.run.id);
      await cache.put(place, Response.json(kept));
      const others = (await cache.keys()).filter(({ url }) => new URL(url).pathname !== place);
      await Promise.all(others.slice(0, 1 - MOST_RUNS).map((old) => cache.delete(old)));
    } catch {
      // the count is on the server, and is shown when that answers
    }
  },
};

const nowhere: RunKeep = { read: () => Promise.resolve(null), write: () => Promise.resolve() };

export const keptRuns = (): RunKeep => (opensWithoutServer() ? inThisBrowser : nowhere);
