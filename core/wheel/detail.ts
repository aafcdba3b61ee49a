import type { DriveShape } from '../drive/index.ts';
import type { TableSetting } from '../lead/index.ts';
import type { Contact } from './contact.ts';
import type { HobData, Infeed } from './gash.ts';
import type { RimFacts } from './rim.ts';
import type { GashSchool } from './schema.ts';

/** Of the cutter in force. */
export interface WheelCutter {
  /** mm; null where not known. */
  readonly diameter: number | null;
  /** The count its form is made for; null where none is picked. */
  readonly madeFor: number | null;
}

export interface WheelFacts {
  /** On the dial, from what is touched, mm. */
  readonly depth: number;
  readonly touchOn: 'outside' | 'corners' | 'throat';
  readonly school: GashSchool;
  /** How table or head stands, degrees on its scale. */
  readonly setting: TableSetting | null;
}

/** A school beside the others: what it leaves, and what that is fit for. */
export interface SchoolAnswer {
  readonly school: GashSchool;
  readonly name: string;
  readonly how: string;
  readonly fitFor: string;
  /** Null where the cutter’s diameter is not known; of a hob it is whole by its make. */
  readonly contact: Contact | null;
}

export interface WheelDetail {
  readonly drive: DriveShape | null;
  readonly rim: RimFacts | null;
  readonly school: GashSchool;
  readonly schools: readonly SchoolAnswer[];
  readonly mill: { readonly id: string; readonly name: string } | null;
  readonly setting: TableSetting | null;
  /** How far the gash leans over the face for the scale’s nearest mark, µm. */
  readonly lean: number | null;
  readonly infeed: Infeed | null;
  readonly hobStock: number | null;
  readonly hob: HobData | null;
  readonly cutAs: number | null;
  readonly cutterDiameter: number | null;
}
