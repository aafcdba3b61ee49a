import type { Job } from '../job/index.ts';
import type { PartPlan, Plan } from '../plan/index.ts';
import type { Run } from '../run/index.ts';
import type { Equipment } from '../shop/index.ts';
import type { UnitSystem } from '../units/index.ts';

/** What is wanted on paper besides what always is. */
export interface SheetSet {
  /** Every line of working. */
  readonly working: boolean;
  /** A table of every space. */
  readonly spaces: boolean;
}

export interface SheetAsked {
  readonly job: Job;
  readonly planned: Plan;
  readonly shop: Equipment;
  /** Of the job as stored; 0 where it is stored nowhere. */
  readonly revision: number;
  /** When it was stored, as it is said; empty where it is stored nowhere. */
  readonly stored: string;
  /** What a camera opens; null where the shop's address is not known. */
  readonly address: string | null;
  readonly set: SheetSet;
  /** One part alone; left out: all of them. */
  readonly partId?: string | undefined;
}

export interface PartAsked extends SheetAsked {
  readonly part: PartPlan;
  readonly run: Run | null;
  readonly units: UnitSystem;
}
