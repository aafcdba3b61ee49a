import type { ArrivalDetail } from '../arrival/index.ts';
import type { BlankDetail } from '../blank/index.ts';
import type { CutDetail, Divided } from '../cut/index.ts';
import type { CutterDetail } from '../cutter/index.ts';
import type { DividingDetail } from '../dividing/index.ts';
import type { DriveDetail } from '../drive/index.ts';
import type { Issue } from '../findings/index.ts';
import type { GearDetail } from '../gear/index.ts';
import type { Part } from '../kinds/index.ts';
import type { InspectDetail } from '../inspect/index.ts';
import type { LeadDetail } from '../lead/index.ts';
import type { Mount, Running, SafeReadings, SetupDetail } from '../setup/index.ts';
import type { SpacingDetail } from '../spacing/index.ts';
import type { Lesson } from '../shop/index.ts';
import type { Moved, Settled, StationId, StationState, StationWork } from '../station/index.ts';
import type { UnitSystem } from '../units/index.ts';
import type { RimDetail, WheelDetail } from '../wheel/index.ts';
import type { LatheDetail, WormDetail } from '../worm/index.ts';

/** What each station has of its own. One line for each station. */
export interface StationDetails {
  gear: GearDetail & { readonly arrival: ArrivalDetail };
  drive: DriveDetail;
  spacing: SpacingDetail;
  blank: BlankDetail;
  wheelBlank: RimDetail;
  cutter: CutterDetail;
  dividing: DividingDetail;
  lathe: LatheDetail;
  lead: LeadDetail;
  worm: WormDetail;
  wheel: WheelDetail;
  setup: SetupDetail;
  cut: CutDetail;
  inspect: InspectDetail;
}

/** A station of a plan: plain data, ready to be shown, printed or sent. */
export interface StationPlan<Id extends StationId = StationId> extends Omit<
  StationWork<unknown, StationDetails[Id]>,
  'facts' | 'id'
> {
  readonly id: Id;
  readonly number: number;
  readonly title: string;
  readonly state: StationState;
  /** Has it everything it needs to be settled? */
  readonly complete: boolean;
  /** What moved since it was settled. */
  readonly moved: readonly Moved[];
  /** What was learnt before that concerns it. */
  readonly lessons: readonly Lesson[];
  /** The answer to keep when the person settles it now. */
  readonly toSettle: Settled;
}

export type AnyStationPlan = { [Id in StationId]: StationPlan<Id> }[StationId];

/**
 * What of the work a cutter touches first: the outside of a blank, the corners or the middle of a hollow rim,
 * the top of a bar.
 */
export type TouchOn = 'outside' | 'corners' | 'throat' | 'top';

/** What a run is cut by: frozen when it starts. */
export interface Cutting {
  /** Cuts in one round, and what each of them is. */
  readonly divisions: number;
  readonly divides: Divided;
  /** Do they go once round and close? */
  readonly full: boolean;
  readonly startSpace: number;
  readonly rounds: CutDetail['rounds'];
  /** Of a helical gear: how it is turned while the table travels; null for straight teeth. */
  readonly helix: HelixCutting | null;
  /**
   * Laid over without a lead, as for the gash of a worm wheel; null where it stands straight, or the lead's
   * own laying says it.
   */
  readonly laid: Pick<HelixCutting, 'by' | 'setting'> | null;
  /** Where the depth is touched. */
  readonly touchOn: TouchOn;
  readonly mount: Mount;
  /** Where the table is clear to index; null where the set-up does not say. */
  readonly safe: SafeReadings | null;
  /** Minutes of one cut by the set-up; null where not known. */
  readonly minutesPerCut: number | null;
  /** What the machine is run at; null where the set-up does not say. */
  readonly running: Running | null;
  /** Outside of the work, mm, for the check half-way; null where it has none. */
  readonly outside: number | null;
  /** mm; null where there is none */
  readonly bore: number | null;
  /** How it is to run with its mate; left out where none is known. */
  readonly mesh?: CutMesh;
}

/** A gear beside its mate, as far as a mesh that feels tight asks for it. mm */
export interface CutMesh {
  readonly mateTeeth: number;
  readonly centre: number;
  /** As planned at that centre; null where the two cannot reach each other. */
  readonly backlash: number | null;
  /** What is asked for, or usual. */
  readonly wanted: number;
  /** Backlash that each mm of depth gives. */
  readonly perDepth: number;
  /** Where the shafts would give the wanted backlash. */
  readonly centreForWanted: number;
}

/** What a helical run needs besides its spaces, in words where a person only reads it. */
export interface HelixCutting {
  readonly hand: 'right' | 'left';
  readonly drive: 'worm' | 'spindle';
  /** Each gear with its place. */
  readonly gears: string;
  readonly idlers: number;
  /** mm */
  readonly lead: number;
  readonly by: 'table' | 'head';
  /** How table or head stands: `table swung 20° 08′, right end away from you`. */
  readonly setting: string;
}

export interface PartPlan {
  readonly id: string;
  readonly kind: Part['kind'];
  readonly name: string;
  readonly stations: readonly AnyStationPlan[];
  /** Null while something that cutting needs is missing, wrong or blocked. */
  readonly cutting: Cutting | null;
}

export interface Plan {
  readonly jobId: string;
  readonly name: string;
  readonly units: UnitSystem;
  readonly parts: readonly PartPlan[];
  /** What concerns the parts together, or the equipment. */
  readonly findings: readonly Issue[];
}

/** The station of a part, typed; null when parts of this kind have none. */
export function stationOf<Id extends StationId>(part: PartPlan, id: Id): StationPlan<Id> | null {
  return (part.stations.find((station) => station.id === id) as StationPlan<Id> | undefined) ?? null;
}

/**
 * The stations that come before the mill. What is measured afterwards holds nothing up, and neither does a
 * set-up of which nothing is said yet.
 */
export const beforeCutting = ({ stations }: PartPlan): readonly AnyStationPlan[] =>
  stations.filter(({ id, complete }) => id !== 'inspect' && (id !== 'setup' || complete));

/** What a part is, in a few words: the answer of its first station. */
export const whatItIs = ({ stations }: PartPlan): string => stations[0]?.answer ?? '';
