import {
  aimFrom,
  bestWay,
  countAim,
  reachOfCounts,
  searchMethods,
  type AimData,
  type Ground,
} from '../../core/dividing/index.ts';
import { searchBends, searchLeads } from '../../core/lead/index.ts';
import { errorsOf, template } from './formWork.ts';

/** Plain data goes in and comes out: exact numbers do not survive the way between threads. */
export const work = {
  errorsOf,
  template,
  searchMethods: (ground: Ground, aim: AimData, most: number) => searchMethods(ground, aimFrom(aim), most),
  searchLeads,
  searchBends,
  reachOfCounts,
  bestWays: (grounds: readonly Ground[], count: number) =>
    grounds.map((ground) => bestWay(ground, countAim(count))),
};
export type Work = typeof work;
