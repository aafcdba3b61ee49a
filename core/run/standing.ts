import type { RunSummary } from './fold.ts';

/** Where a job stands by its newest run, as the bench tells it. */
export const RUN_STANDINGS = {
  'not-cut': 'not cut yet',
  ready: 'ready at the mill',
  cutting: 'being cut',
  closes: 'cut, and it closes',
  'does-not-close': 'does not close',
  ended: 'ended or scrapped',
} as const;
export type RunStanding = keyof typeof RUN_STANDINGS;

/** @param summary of the newest run; null where there is none */
export function standingOfRun(summary: Pick<RunSummary, 'done' | 'closed' | 'ended'> | null): RunStanding {
  if (!summary) return 'not-cut';
  if (summary.ended) return 'ended';
  if (summary.closed) return summary.closed.fits ? 'closes' : 'does-not-close';
  return summary.done > 0 ? 'cutting' : 'ready';
}
