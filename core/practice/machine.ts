import { exact, type Exact } from '../units/index.ts';
import { hasPlate, type PracticeBench } from './bench.ts';
import type { GearsOn } from './geared.ts';
import { around, blank, type Work } from './work.ts';

/** The mill and the head as they stand. Turns exact; lengths mm. */
export interface Machine {
  /** Of the crank arm, from how it stood; of plate and spindle likewise. Clockwise > 0. */
  readonly crank: Exact;
  readonly plate: Exact;
  readonly spindle: Exact;
  /** Turns that the worm is ahead of the crank’s own count: it was dropped in anew. */
  readonly meshed: Exact;
  /** How far the blank has crept on its mandrel, turns. */
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
  readonly locked: boolean;
  readonly table: number;
  readonly depth: number;
  readonly beside: number;
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
  /** The cutter only marks the outside. */
  | { readonly what: 'marked' }
  /** The pin fell into a hole, counted from the one marked 0; or found none. */
  | { readonly what: 'pin-in'; readonly hole: number }
  /** Something that would scrap a part or hurt somebody. */
  | { readonly what: 'gouged'; readonly degrees: number; readonly depth: number }
  | { readonly what: 'pin-broken' }
  | { readonly what: 'shifted'; readonly degrees: number }
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
  | 'motor-holds'
  | 'pin-broken';

/** Is it something that would scrap the part, or worse? */
export const isHarm = ({ what }: Told): boolean =>
  ['gouged', 'pin-broken', 'shifted', 'plunged', 'stalled', 'laboured'].includes(what);

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
export function freshMachine(bench: PracticeBench): Machine {
  const { run, outside, face, teeth, form } = bench;
  const { move } = run;
  const direct = move.method === 'direct';
  const spaces = 'spaces' in move ? move.spaces : 1;
  return {
    crank: ZERO,
    plate: ZERO,
    spindle: ZERO,
    meshed: ZERO,
    crept: 0,
    // a wheel has no plate, and a motor needs none
    pin: hasPlate(bench) || direct ? 'in' : 'out',
    circle: 'circle' in move ? move.circle : (bench.circles[0] ?? marksOf(bench)),
    mounted: 'plateId' in move && 'side' in move ? { plateId: move.plateId, side: move.side } : null,
    gears: bench.gearing && { train: bench.gearing.train, idlers: bench.gearing.idlers },
    zero: ZERO,
    arms: { at: ZERO, spaces: Math.max(1, spaces) },
    worm: direct ? 'out' : 'in',
    plateLock: move.method === 'differential' || bench.helix ? 'out' : 'in',
    directPin: direct ? 'in' : 'out',
    steps: 0,
    sent: 0,
    locked: false,
    table: -form.diameter / 2 - AWAY,
    depth: -AWAY,
    beside: 0,
    running: false,
    keyed: true,
    work: blank({ outside, face, teeth, eccentric: { by: bench.eccentric ?? 0, at: ECCENTRIC_AT } }),
  };
}

/** Parts of a turn of the wheel that can be told apart. */
const marksOf = ({ wheel }: PracticeBench): number => (wheel ? wheel.marks * wheel.vernier : 2);

export const done = (machine: Machine, ...told: readonly Told[]): Done => ({ machine, told });
export const held = (machine: Machine, by: HeldBy): Done => done(machine, { what: 'held', by });

/** Which direction of the blank is under the cutter, part of a turn: the work turns, the cutter stands. */
export const underCutter = ({ spindle, crept }: Pick<Machine, 'spindle' | 'crept'>): number =>
  spindle.valueOf() + crept;

/** How the pin stands over the plate, turns from the hole marked 0. */
export const pinFromZero = ({ crank, plate, zero }: Machine): Exact => crank.sub(plate).sub(zero);

/** The hole the pin is over, from the one marked 0; null between two. */
export const holeUnderPin = (machine: Machine): number | null => holeAt(pinFromZero(machine), machine.circle);

/** Which hole of a circle lies so many turns on from hole 0; null between two. */
export function holeAt(turns: Exact, circle: number): number | null {
  const holes = turns.mul(circle);
  return holes.d === 1n ? around(Number(holes.s * holes.n), circle) : null;
}
