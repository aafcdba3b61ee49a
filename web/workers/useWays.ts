import type { AimData, Ground } from '../../core/dividing/index.ts';
import { UNKNOWN_STANDING, type Equipment, type Head } from '../../core/shop/index.ts';
import { useAnswer } from './useAnswer.ts';

/**
 * The longer search for ways of dividing. Without a ground or an aim nothing is asked.
 * @param most ways of each method
 */
export const useWays = (ground: Ground | null, aim: AimData | null, most: number) =>
  useAnswer('searchMethods', ground && aim ? [ground, aim, most] : null);

/** The best way to a count on each of some heads; null for a head that has none. */
export const useBestWays = (grounds: readonly Ground[], count: number) =>
  useAnswer('bestWays', [grounds, count]);

interface Reaching {
  readonly gearSets: Equipment['gearSets'];
  /** The last count. */
  readonly to: number;
  readonly leadGeared?: boolean;
}

/** How each count from 2 on is best had with these heads; places in REACHES. */
export function useReach(heads: readonly Head[], { gearSets, to, leadGeared = false }: Reaching) {
  // what stands on a head today has no part in what it reaches
  const bare = heads.map((head) => ({ ...head, mounted: null, standing: UNKNOWN_STANDING }));
  return useAnswer('reachOfCounts', [bare, { gearSets, leadGeared }, { from: 2, to }]);
}
