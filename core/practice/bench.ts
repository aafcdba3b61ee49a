import type { GearDrawing } from '../involute/index.ts';
import type { Run } from '../run/index.ts';
import type { Head } from '../shop/index.ts';
import type { Exact } from '../units/index.ts';
import type { CutterForm } from './form.ts';
import type { Gearing } from './geared.ts';
import type { Rim } from './rim.ts';
import type { AlongFace } from './taking.ts';
import type { Lies } from './work.ts';

type Plate = Head['plates'][number];

/** What may be wrong with a bench without being seen; left out where nothing is. mm */
interface Hidden {
  /** The depth is less than the dial says. */
  readonly depthLost?: number;
  /** Where the cutter enters, in the middle, where it leaves: the work lies lower, or to the side. */
  readonly away?: AlongFace;
  readonly aside?: AlongFace;
  /** What carries the work past the cutter stands so much farther on than its dial says. */
  readonly fedOff?: number;
  /** The cutter beside the middle while the dial says 0. */
  readonly besideOff?: number;
}

/** What every bench has: a run’s own work and cutter. Lengths mm. */
interface Bench extends Hidden {
  readonly run: Run;
  readonly form: CutterForm;
  readonly face: number;
  /** Cuts to make in a round: teeth, or whatever is divided. */
  readonly teeth: number;
}

/** A head that turns round work. */
export interface HeadBench extends Bench {
  readonly on: 'head';
  /** Turns of the crank for one of the spindle. */
  readonly ratio: Exact;
  /** The gears it is made ready with; null where none turn the plate. */
  readonly gearing: Gearing | null;
  /**
   * Table, gears, plate and worm turn the work as it travels: once in the lead that the gears give, which may
   * be a little off the one that is drawn, mm. Null for straight teeth.
   */
  readonly helix: {
    readonly lead: number;
    readonly drawnLead: number;
    readonly hand: 'right' | 'left';
  } | null;
  /** Plates of the head: another may be put on. */
  readonly plates: readonly Plate[];
  /** Circles of the side it is made ready with; the ring’s one circle where it divides directly. */
  readonly circles: readonly number[];
  readonly ring: number | null;
  /** A graduated handwheel in the crank’s place: its marks, and the parts of one that its vernier reads. */
  readonly wheel: { readonly marks: number; readonly vernier: number } | null;
  /** A motor on the worm: its steps for one turn of the work. */
  readonly motor: { readonly stepsPerTurn: Exact } | null;
  /** The gear as the card plans it; null for all else. */
  readonly gear: GearDrawing | null;
  /** Of a worm wheel; null for all else. */
  readonly rim: Rim | null;
  /** Across the work as it was turned; of a wheel across its throat. */
  readonly outside: number;
  /** How much of a turn the crank goes back before the worm takes the work along. */
  readonly slack: Exact;
  /** How far the blank’s middle is from the spindle’s; left out where it runs true. */
  readonly eccentric?: number;
  /** The motor loses so many steps in the move of this place, and says nothing. */
  readonly missed?: { readonly move: number; readonly steps: number };
  /** The key is there, and holds nothing. */
  readonly sheared?: boolean;
}

/** A table that divides along a bar; what carries the bar past the cutter is the cross slide. */
export interface TableBench extends Bench {
  readonly on: 'table';
  readonly bar: {
    /** From one space to the next. */
    readonly pitch: number;
    /** Of a rack, and the angle its cutter is taken to have; null where plain slots are cut. */
    readonly rack: { readonly module: number; readonly angleDeg: number } | null;
    readonly high: number;
    readonly lies: Lies;
  };
  readonly screw: { readonly lead: number; readonly marks: number };
  /** How far the screw goes back before the table follows. */
  readonly slack: number;
  /** The table goes so much for each that its dial tells; 1 where it is left out. */
  readonly stretched?: number;
  /** The bar slips in the vice by so much at each cut. */
  readonly slips?: number;
}

/** A head with a gear on it. */
export type GearBench = HeadBench & { readonly gear: GearDrawing };

export type PracticeBench = HeadBench | TableBench;

export const isGearBench = (bench: PracticeBench): bench is GearBench =>
  bench.on === 'head' && bench.gear !== null;

/** Are slots cut, and no flats or tooth spaces? */
export const isSlotted = ({ divides }: Pick<Run, 'divides'>): boolean =>
  divides === 'slot' || divides === 'spline';

/** Is the cutter sunk into the work, and not fed along it? */
export const isSunk = ({ safe }: Pick<Run, 'safe'>): boolean => safe?.way === 'sink';

/** Does a pin divide on a plate, and not a wheel, a motor or the spindle’s own ring? */
export const hasPlate = (bench: PracticeBench): bench is HeadBench =>
  bench.on === 'head' && bench.ring === null && bench.wheel === null && bench.motor === null;
