import type { SpurSizes } from '../gear/index.ts';
import type { Eccentric, RunoutSays } from '../inspect/index.ts';
import type { Head, Mandrel, Material, Mill } from '../shop/index.ts';
import type { Centring } from './centring.ts';
import type { Reason, Thrust } from './holding.ts';
import type { Keyway } from './keyway.ts';
import type { MandrelFit } from './mandrel.ts';
import type { Mount } from './mount.ts';
import type { Fit } from './room.ts';
import type { SetupInput } from './schema.ts';
import type { CuttingData } from './speed.ts';
import type { Stroke } from './stroke.ts';

/** What of the shop the work is set up with. */
export interface SetupShop {
  readonly mill: Mill | null;
  readonly head: Head | null;
  readonly materials: readonly Material[];
  readonly mandrels: readonly Mandrel[];
}

/** The work as the stations before have it. mm; null where not known, or where the card has none. */
export interface SetupWork {
  readonly outside: number | null;
  readonly bore: number | null;
  readonly face: number | null;
  readonly module: number | null;
  readonly teeth: number | null;
  readonly helixDeg: number;
  /** Rounds in order, each with its depth. */
  readonly rounds: readonly { readonly name: string; readonly depthMm: number | null }[];
  /** What travels while it is cut; null where the cutter is sunk in place. */
  readonly travels: Travels | null;
  readonly sizes: SpurSizes | null;
}

/** Jaws or tailstock: how far from the blank’s face, and how large across. mm; null where not measured */
export interface Beside {
  readonly gap: number | null;
  readonly across: number | null;
}

/** What carries the work past the cutter. */
export type Travels = 'table' | 'cross slide';

/**
 * The table's readings of one stroke, from first touch, the way it is fed; or how far a cutter that is sunk
 * must come out.
 */
export type SafeReadings = SafeAlong | { readonly way: 'sink'; readonly depth: number };

export interface SafeAlong {
  readonly way: 'along';
  readonly approach: number;
  readonly through: number;
  readonly clearAfter: number;
  readonly indexAt: 'entry' | 'exit';
}

export interface SetupFacts {
  readonly safe: SafeReadings | null;
  /** Minutes for one cut with its return and indexing; null where not known. */
  readonly minutesPerCut: number | null;
  /** What the machine is run at, mm a minute, and the dial of the screw that moves the work along. */
  readonly running: Running;
}

export interface Running {
  readonly rpm: number | null;
  readonly feed: number | null;
  readonly dial: { readonly lead: number; readonly marks: number } | null;
}

export interface SetupDetail {
  readonly mill: {
    readonly id: string;
    readonly name: string;
    readonly upright: boolean;
    readonly readout: boolean;
  } | null;
  readonly material: { readonly id: string; readonly name: string; readonly starting: boolean } | null;
  readonly cutter: {
    readonly diameter: number | null;
    readonly width: number | null;
    readonly teeth: number | null;
    readonly picked: boolean;
  };
  readonly data: CuttingData | null;
  readonly thrust: Thrust;
  readonly headAt: 'left' | 'right';
  readonly spin: SetupInput['spin'];
  readonly feed: SetupInput['feed'];
  readonly reasons: readonly Reason[];
  readonly mandrels: readonly MandrelFit[];
  readonly mount: Mount;
  /** What the travel being out of line does over the face, mm: taper of the depth, lean of the teeth. */
  readonly along: {
    readonly face: number;
    readonly taper: number | null;
    readonly lean: number | null;
  } | null;
  readonly round: (Eccentric & { readonly effects: RunoutSays | null; readonly goodFor: string }) | null;
  readonly centrings: readonly (Centring & { readonly dial: string | null })[];
  readonly centring: SetupInput['centring'];
  /** Readings of the depth dial from the touch, in order. */
  readonly depths: readonly { readonly name: string; readonly mm: number; readonly dial: string }[];
  readonly outside: number | null;
  readonly face: number | null;
  readonly depth: number | null;
  readonly helixDeg: number;
  readonly indexAt: 'entry' | 'exit';
  readonly stroke: Stroke | null;
  readonly travels: Travels;
  /** What the table is set to where the first round touches, mm; null where no readings are known. */
  readonly firstTouch: number | null;
  /** Where the cutter is sunk in place: how deep, mm, and that on the dial; null where the table travels. */
  readonly sink: { readonly depth: number; readonly dial: string } | null;
  /** The same readings on the dial of the table. */
  readonly tableDial: {
    readonly firstTouch: string;
    readonly approach: string;
    readonly through: string;
    readonly clearAfter: string;
  } | null;
  readonly fits: readonly Fit[];
  /** What stands beside the work and beside the cutter, mm; null where it is not measured. */
  readonly beside: {
    readonly jaw: Beside;
    readonly tail: Beside;
    readonly collar: number | null;
  };
  readonly minutes: number | null;
  readonly keyway:
    | (Keyway & { readonly width: number; readonly offsetDial: string; readonly depthDial: string | null })
    | null;
}
