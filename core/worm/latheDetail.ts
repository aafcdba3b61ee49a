import type { GearSet, ShopLathe } from '../shop/index.ts';
import type { LatheWay } from './lathe.ts';
import type { StartWay } from './starts.ts';

export interface LatheGround {
  readonly lathe: ShopLathe | null;
  readonly gearSets: readonly GearSet[];
}

export interface LatheFacts {
  readonly way: LatheWay;
}

export interface LatheDetail {
  readonly lathe: { readonly id: string; readonly name: string } | null;
  readonly gearSet: { readonly id: string; readonly name: string } | null;
  readonly ways: readonly LatheWay[];
  readonly inForce: LatheWay | null;
  readonly chosen: boolean;
  /** Wanted lead and the length the wheel reaches over, mm. */
  readonly lead: number | null;
  readonly engaged: number | null;
  /** µm */
  readonly allowed: number;
  /**
   * What each stand-in for π would do to this lead over that length, µm; none where the pitch is not a
   * multiple of π.
   */
  readonly standIns: readonly { readonly text: string; readonly ppm: number; readonly overLength: number }[];
  readonly startCount: number;
  readonly starts: readonly StartWay[];
  readonly byStarts: StartWay | null;
}
