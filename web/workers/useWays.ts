import type { AimData, Ground, LongSearch, Way } from '../../core/dividing/index.ts';
import type { Equipment, Head } from '../../core/shop/index.ts';
import { useAnswer } from './useAnswer.ts';

/** The longer search for ways of dividing. @returns null while searching, or while there is nothing to search for */
export function useWays(ground: Ground | null, aim: AimData | null): LongSearch | null {
  const question = ground && aim ? JSON.stringify([ground, aim]) : null;
  return useAnswer(question, (remote, asked) => {
    const [askedGround, askedAim] = JSON.parse(asked) as [Ground, AimData];
    return remote.searchMethods(askedGround, askedAim);
  });
}

/** The best way to a count on each of some heads. @returns null while it is being worked out */
export function useBestWays(grounds: readonly Ground[], count: number): readonly (Way | null)[] | null {
  return useAnswer(JSON.stringify([grounds, count]), (remote, asked) => {
    const [askedGrounds, askedCount] = JSON.parse(asked) as [Ground[], number];
    return remote.bestWays(askedGrounds, askedCount);
  });
}

/** How each count from 2 on is best had with these heads; places in REACHES. @returns null while it is being worked out */
export function useReach(
  heads: readonly Head[],
  gearSets: Equipment['gearSets'],
  to: number,
  leadGeared = false,
): Uint8Array | null {
  // what stands on a head today has no part in what it reaches
  const bare = heads.map(({ standing: _standing, mounted: _mounted, ...head }) => head);
  return useAnswer(JSON.stringify([bare, gearSets, to, leadGeared]), (remote, asked) => {
    const [askedHeads, askedSets, most, lead] = JSON.parse(asked) as [
      Head[],
      Equipment['gearSets'],
      number,
      boolean,
    ];
    return remote.reachOfCounts(askedHeads, { gearSets: askedSets, leadGeared: lead }, 2, most);
  });
}
