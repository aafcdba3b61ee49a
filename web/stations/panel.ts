import type { Issue } from '../../core/findings/index.ts';
import type { Job, Part } from '../../core/job/index.ts';
import type { PartPlan, StationPlan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { StationId } from '../../core/station/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';

/** What a station's panel and drawing are given. They render the plan and hand changes back; they compute nothing. */
export interface StationProps<Id extends StationId> {
  readonly station: StationPlan<Id>;
  readonly part: Part;
  readonly planned: PartPlan;
  readonly units: UnitSystem;
  /** What is on hand today. */
  readonly shop: Equipment;
  /** The job's own copy of what it was planned with. */
  readonly equipment: Equipment;
  readonly editPart: (change: (part: Part) => Part) => void;
  readonly edit: (change: (job: Job) => Job) => void;
  /** Issues at a field, from whichever station found them. */
  readonly issuesAt: (path: string) => readonly Issue[];
}
