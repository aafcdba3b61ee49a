import type { Issue } from '../../core/findings/index.ts';
import type { Job } from '../../core/job/index.ts';
import type {
  FormCutPart,
  DividePart,
  DrivePart,
  IndexedPart,
  PlaceIn,
  SpurPart,
  WheelPart,
  WormPart,
} from '../../core/kinds/index.ts';
import type { PartPlan, StationPlan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { StationId } from '../../core/station/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';

/** The kinds of part that a station belongs to. */
interface PartsOf {
  gear: SpurPart;
  blank: SpurPart;
  drive: DrivePart;
  wheelBlank: WheelPart;
  cutter: FormCutPart;
  spacing: DividePart;
  dividing: IndexedPart;
  lathe: WormPart;
  lead: SpurPart;
  worm: WormPart;
  wheel: WheelPart;
  setup: IndexedPart;
  cut: IndexedPart;
  inspect: SpurPart;
}

/**
 * What a station's panel and drawing are given. They render the plan and hand changes back; they compute
 * nothing.
 */
export interface StationProps<Id extends StationId> {
  readonly station: StationPlan<Id>;
  readonly part: PartsOf[Id];
  readonly planned: PartPlan;
  readonly units: UnitSystem;
  /** What is on hand today. */
  readonly shop: Equipment;
  readonly job: Job;
  readonly editPart: (change: (part: PartsOf[Id]) => PartsOf[Id]) => void;
  readonly edit: (change: (job: Job) => Job) => void;
  /** Issues at a field, from whichever station found them. */
  readonly issuesAt: (field: PlaceIn<PartsOf[Id]>) => readonly Issue[];
}
