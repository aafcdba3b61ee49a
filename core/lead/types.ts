import type { Train } from '../gearing/index.ts';
import type { GearSet, Head, Mill } from '../shop/index.ts';
import type { StationWork } from '../station/index.ts';
import type { Exact } from '../units/index.ts';
import type { BendBasis } from './bendSearch.ts';
import type { HelixProof } from './motion.ts';
import type { LeadInput } from './schema.ts';
import type { TableSetting } from './setting.ts';
import type { TestLine } from './table.ts';

/** A train as plain data, ready to be shown or to go between threads. */
export interface LeadWay {
  readonly train: Train;
  readonly gears: 2 | 4 | 6;
  /** Idlers for this hand, by the custom rule. */
  readonly idlers: number;
  /** mm; and as exact text. */
  readonly lead: number;
  readonly leadText: string;
  readonly helixDeg: number;
  /** µm round the pitch cylinder at the other end of the face; more than 0: too steep. */
  readonly overFace: number;
  readonly clears: boolean;
  /** Why it does not go on this head’s bracket; null when it does. */
  readonly refused: string | null;
}

/** What only the lead station has. */
export interface LeadDetail {
  /** Of the helix as drawn, mm; null while the gear is not known. */
  readonly wanted: number | null;
  readonly hand: 'right' | 'left';
  readonly drive: LeadInput['drive'];
  readonly head: { readonly id: string; readonly name: string; readonly ratio: string } | null;
  readonly mill: { readonly id: string; readonly name: string } | null;
  readonly gearSet: { readonly id: string; readonly name: string } | null;
  /** Travel for one turn of the spindle geared one to one, mm, and as exact text. */
  readonly machine: number | null;
  readonly machineText: string | null;
  /** What is found at once, best first. */
  readonly ways: readonly LeadWay[];
  readonly inForce: LeadWay | null;
  readonly chosen: boolean;
  /** How far a tooth may stray over the face, µm. */
  readonly allowed: number;
  readonly table: TableSetting | null;
  readonly test: TestLine | null;
  /**
   * Along the work, from where the cutter touches to where it is at depth, mm; null while diameter or width
   * of the cutter is not known.
   */
  readonly approach: number | null;
  readonly faceWidth: number | null;
  readonly pitchDiameter: number | null;
  readonly proof: HelixProof | null;
  /** What an angle is bent from; null while the gear is not known. */
  readonly bends: BendBasis | null;
}

/** What stations and runs build on. */
export interface LeadFacts {
  readonly train: Train;
  readonly idlers: number;
  readonly drive: LeadInput['drive'];
  readonly hand: 'right' | 'left';
  /** mm, exact, as cut. */
  readonly lead: Exact;
  readonly screwLead: Exact;
  /** R; 1 past the worm. */
  readonly ratio: Exact;
}

/** What the lead is worked out on. */
export interface LeadGround {
  readonly head: Head | null;
  readonly mill: Mill | null;
  readonly gearSets: readonly GearSet[];
}

/** Of the cutter in force; null where not known. mm */
export interface LeadCutter {
  readonly diameter: number | null;
  readonly width: number | null;
}

export type LeadWork = StationWork<LeadFacts, LeadDetail>;
