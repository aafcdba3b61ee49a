import type { RunDigest } from './digest.ts';
import { RUN_STANDINGS } from './standing.ts';

/** How a run ended, or where it stands. */
export type Outcome = 'closes' | 'does-not-close' | 'scrapped' | 'ended' | 'going' | 'not-begun';

export const OUTCOMES: Readonly<Record<Outcome, string>> = {
  closes: RUN_STANDINGS.closes,
  'does-not-close': RUN_STANDINGS['does-not-close'],
  scrapped: 'scrapped',
  ended: 'ended before it closed',
  going: 'begun',
  'not-begun': 'not begun',
};

export function outcomeOf({ closed, ended, done }: Pick<RunDigest, 'closed' | 'ended' | 'done'>): Outcome {
  if (ended) return ended.how === 'scrapped' ? 'scrapped' : 'ended';
  if (closed !== null) return closed ? 'closes' : 'does-not-close';
  return done > 0 ? 'going' : 'not-begun';
}
