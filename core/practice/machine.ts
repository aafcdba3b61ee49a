import { exact, type Exact } from '../units/index.ts';
import { hasPlate, isSlotted, type HeadBench, type PracticeBench, type TableBench } from './bench.ts';
import type { GearsOn } from './geared.ts';
import { around, blank, hollowBlank, squareBar, type Work } from './work.ts';

/** The mill and the head as they stand. Turns exact; lengths mm. */
export interface Machine {
  /** Of the crank arm, from how it stood; of plate and spindle likewise. Clockwise > 0. */
  readonly crank: Exact;
  readonly plate: Exact;
  readonly spindle: Exact;
  /** Turns that the worm is ahead of the crank’s own count: it was dropped in anew. */
  readonly meshed: Exact;
  /** How far the blank has crept on its mandrel, turns; a bar in its vice, mm. */
  readonly crept: number;
  readonly pin: 'in' | 'out';
  readonly circle: number;
  /** The plate that is on, and its side in front; null where none divides. */
  readonly mounted: { readonly plateId: string; readonly side: 0 | 1 } | null;
  /** The gears that are on; null where none are. */
  readonly gears: GearsOn | null;
  /** Of the hole that was marked as 0, turns of the plate. */
  readonly zero: Exact;
  readonly arms: { readonly at: Exact; readonly spaces: number };
  readonly worm: 'in' | 'out';
  readonly plateLock: 'in' | 'out';
  readonly directPin: 'in' | 'out' | 'broken';
  /** What the motor’s count stands at, and how often it was sent. */
  readonly steps: number;
  readonly sent: number;
  /** The spindle; where the table divides, the table. */
  readonly locked: boolean;
  /** The table that divides: its dial from how it stood, and what that is read from. Null on a head. */
  readonly along: {
    readonly dial: number;
    readonly zero: number;
  } | null;
  /** What carries the work past the cutter. */
  readonly table: number;
  readonly depth: number;
  readonly beside: number;
  /** How much farther on each of them stands than its dial: its screw’s slack. */
  readonly over: { readonly along: number; readonly depth: number; readonly beside: number };
  readonly running: boolean;
  readonly keyed: boolean;
  readonly work: Work;
}

/** What came of an action, as data: words are made when it is shown. */
export type Told =
  | { readonly what: 'did' }
  /** It cannot be done as the machine stands. */
  | { readonly what: 'held'; readonly by: HeldBy }
  /** Metal was taken. */
  | { readonly what: 'cut'; readonly depth: number }
  /** The cutter only marks what it touches. */
  | { readonly what: 'marked' }
  /** The pin fell into a hole, counted from the one marked 0; or found none. */
  | { readonly what: 'pin-in'; readonly hole: number }
  /** Something that would scrap a part or hurt somebody. */
  | {
      readonly what: 'gouged';
      readonly degrees: number;
      readonly depth: number;
      /** The cutter goes in and out, and the work does not travel past it. */
      readonly sunk?: true;
    }
  /** The same with a bar: moved on under the cutter. */
  | { readonly what: 'dragged'; readonly by: number; readonly depth: number }
  | { readonly what: 'pin-broken' }
  | { readonly what: 'shifted'; readonly degrees: number }
  | { readonly what: 'slid'; readonly by: number }
  | { readonly what: 'plunged'; readonly depth: number }
  | { readonly what: 'stalled' }
  /** The motor hums against something that holds, and its count goes on. */
  | { readonly what: 'laboured'; readonly steps: number };

export type HeldBy =
  | 'pin'
  | 'lock'
  | 'gears'
  | 'table-lock'
  | 'table-gears'
  | 'no-hole'
  | 'worm-in'
  | 'direct-pin'
  | 'no-ring'
  | 'no-circle'
  | 'no-plate'
  | 'pin-in-plate'
  | 'no-bracket'
  | 'no-pin'
  | 'no-motor'
  | 'table-locked'
  | 'no-table'
  | 'no-head'
  | 'motor-holds'
  | 'pin-broken';

/** What would scrap a part or hurt somebody, as it is told. */
export const HARMS = [
  'gouged',
  'dragged',
  'shifted',
  'slid',
  'plunged',
  'stalled',
  'laboured',
  'pin-broken',
] as const satisfies readonly Told['what'][];
export type Harm = (typeof HARMS)[number];

/** Is it something that would scrap the part, or worse? */
export const isHarm = <T extends Pick<Told, 'what'>>(told: T): told is T & { readonly what: Harm } =>
  (HARMS as readonly string[]).includes(told.what);

export interface Done {
  readonly machine: Machine;
  readonly told: readonly Told[];
}

const ZERO = exact(0);
/** The direction in which a blank that runs out stands farthest, part of a turn: not under the first cut. */
const ECCENTRIC_AT = 0.37;
/** Before the first touch of any cutter, mm. */
const AWAY = 10;

/** As the hand before left it: made ready for this job, the work uncut, nothing running. */
export const freshMachine = (bench: PracticeBench): Machine =>
  bench.on === 'head' ? freshHead(bench) : freshTable(bench);

/** What stands alike on every bench. */
function standing({ form }: PracticeBench) {
  return {
    ...{ crank: ZERO, plate: ZERO, spindle: ZERO, meshed: ZERO, zero: ZERO, crept: 0 },
    ...{ steps: 0, sent: 0, locked: false, running: false, keyed: true },
    ...{ table: -form.diameter / 2 - AWAY, depth: -AWAY, beside: 0 },
    over: { along: 0, depth: 0, beside: 0 },
  };
}

function freshHead(bench: HeadBench): Machine {
  const { run, outside, face, teeth } = bench;
  const { move } = run;
  const eccentric = { by: bench.eccentric ?? 0, at: ECCENTRIC_AT };
  const direct = move.method === 'direct';
  const spaces = 'spaces' in move ? move.spaces : 1;
  return {
    ...standing(bench),
    // a wheel has no plate, and a motor needs none
    pin: hasPlate(bench) || direct ? 'in' : 'out',
    circle: 'circle' in move ? move.circle : (bench.circles[0] ?? marksOf(bench)),
    mounted: 'plateId' in move && 'side' in move ? { plateId: move.plateId, side: move.side } : null,
    gears: bench.gearing && { train: bench.gearing.train, idlers: bench.gearing.idlers },
    arms: { at: ZERO, spaces: Math.max(1, spaces) },
    worm: direct ? 'out' : 'in',
    plateLock: move.method === 'differential' || bench.helix ? 'out' : 'in',
    directPin: direct ? 'in' : 'out',
    along: null,
    work: bench.rim
      ? hollowBlank({ ...bench.rim, face, teeth, eccentric })
      : blank({ outside, face, teeth, eccentric, slotted: isSlotted(run) }),
  };
}

/** No head: what there is of one stands still. */
function freshTable(bench: TableBench): Machine {
  const { bar, face } = bench;
  return {
    ...standing(bench),
    ...{ pin: 'out', worm: 'out', plateLock: 'in', directPin: 'out' },
    ...{ circle: bench.screw.marks, mounted: null, gears: null, arms: { at: ZERO, spaces: 1 } },
    along: { dial: 0, zero: 0 },
    work: squareBar({ high: bar.high, face, lies: bar.lies }),
  };
}

/** Parts of a turn of the wheel that can be told apart. */
const marksOf = ({ wheel }: HeadBench): number => (wheel ? wheel.marks * wheel.vernier : 2);

export const done = (machine: Machine, ...told: readonly Told[]): Done => ({ machine, told });
export const held = (machine: Machine, by: HeldBy): Done => done(machine, { what: 'held', by });

/**
 * What of the work is under the cutter: a direction of the blank, part of a turn; of a bar a place along it,
 * mm. The work goes, the cutter stands.
 */
export function underCutter(
  bench: PracticeBench,
  { spindle, crept, along, over }: Pick<Machine, 'spindle' | 'crept' | 'along' | 'over'>,
): number {
  if (!along) return spindle.valueOf() + crept;
  const stretched = bench.on === 'table' ? (bench.stretched ?? 1) : 1;
  return (along.dial + over.along) * stretched + crept;
}

/** How the pin stands over the plate, turns from the hole marked 0. */
export const pinFromZero = ({ crank, plate, zero }: Machine): Exact => crank.sub(plate).sub(zero);

/** The hole the pin is over, from the one marked 0; null between two. */
export const holeUnderPin = (machine: Machine): number | null => holeAt(pinFromZero(machine), machine.circle);

/** Which hole of a circle lies so many turns on from hole 0; null between two. */
export function holeAt(turns: Exact, circle: number): number | null {
  const holes = turns.mul(circle);
  return holes.d === 1n ? around(Number(holes.s * holes.n), circle) : null;
}
