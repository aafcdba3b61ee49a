import { exact, type Exact } from '../units/index.ts';
import type { Action, ActionOf } from './actions.ts';
import type { PracticeBench } from './bench.ts';
import { around, blank, cutWork, TOUCH, touches, type Pass, type Work } from './work.ts';

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
  /** Of the hole that was marked as 0, turns of the plate. */
  readonly zero: Exact;
  readonly arms: { readonly at: Exact; readonly spaces: number };
  readonly worm: 'in' | 'out';
  readonly plateLock: 'in' | 'out';
  readonly directPin: 'in' | 'out' | 'broken';
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
  | { readonly what: 'stalled' };

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
  | 'pin-broken';

/** Is it something that would scrap the part, or worse? */
export const isHarm = ({ what }: Told): boolean =>
  ['gouged', 'pin-broken', 'shifted', 'plunged', 'stalled'].includes(what);

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
    pin: 'in',
    circle: 'circle' in move ? move.circle : (bench.circles[0] ?? 2),
    zero: ZERO,
    arms: { at: ZERO, spaces: Math.max(1, spaces) },
    worm: direct ? 'out' : 'in',
    plateLock: move.method === 'differential' || bench.helix ? 'out' : 'in',
    directPin: direct ? 'in' : 'out',
    locked: false,
    table: -form.diameter / 2 - AWAY,
    depth: -AWAY,
    beside: 0,
    running: false,
    keyed: true,
    work: blank({ outside, face, teeth, eccentric: { by: bench.eccentric ?? 0, at: ECCENTRIC_AT } }),
  };
}

const done = (machine: Machine, ...told: readonly Told[]): Done => ({ machine, told });
const held = (machine: Machine, by: HeldBy): Done => done(machine, { what: 'held', by });
const least = (a: Exact, b: Exact): Exact => (a.lt(b) ? a : b);

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

const passNow = (bench: PracticeBench, machine: Machine): Omit<Pass, 'to' | 'under'> => ({
  form: bench.form,
  from: machine.table,
  depth: machine.depth - (bench.depthLost ?? 0),
  beside: machine.beside + (bench.besideOff ?? 0),
  ...(bench.away ? { away: bench.away } : {}),
  ...(bench.aside ? { aside: bench.aside } : {}),
});

/** Does the cutter stand in metal? */
const inMetal = (bench: PracticeBench, machine: Machine): boolean =>
  touches(machine.work, { ...passNow(bench, machine), under: underCutter(machine) });

/** The spindle is turned, and with it the work; what stands under the cutter meanwhile is cut. */
function turnSpindle(bench: PracticeBench, machine: Machine, by: Exact): Done {
  if (by.equals(0)) return done(machine, { what: 'did' });
  const spindle = machine.spindle.add(by);
  const under = [underCutter(machine), underCutter({ ...machine, spindle })] as const;
  const { work, deepest } = cutWork(machine.work, {
    ...passNow(bench, machine),
    to: machine.table,
    under,
  });
  const turned = { ...machine, spindle };
  if (deepest < GOUGE) return done(turned, { what: 'did' });
  // a standing cutter does not cut: the work binds on it
  if (!machine.running) return done(machine, { what: 'stalled' });
  const degrees = Math.abs(by.valueOf()) * 360;
  return done({ ...turned, work }, { what: 'gouged', degrees, depth: deepest });
}

/** Less than that is rubbed, not cut, mm. */
const GOUGE = 2e-3;

/** How far the spindle stands ahead of where the worm has driven it, turns; 0 … slack over ratio. */
const ahead = ({ ratio }: PracticeBench, { spindle, crank, meshed }: Machine): Exact =>
  spindle.sub(crank.add(meshed).div(ratio));

/**
 * The crank is turned over the plate. Slack is gone through first; then worm and work go along, and where
 * gears are on the plate creeps the while.
 */
function turnCrank(bench: PracticeBench, machine: Machine, over: Exact): Done {
  const { ratio, slack } = bench;
  const free = (by: Exact): Machine => ({ ...machine, crank: machine.crank.add(by) });
  if (machine.worm === 'out') return done(free(over), { what: 'did' });
  const forward = over.gte(0);
  const gap = ahead(bench, machine).mul(ratio);
  const loose = least(forward ? gap : slack.sub(gap), over.abs());
  const toSlack = forward ? loose : loose.neg();
  const rest = over.sub(toSlack);
  if (rest.equals(0)) return done(free(toSlack), { what: 'did' });
  if (machine.directPin === 'in' && bench.ring !== null)
    return done({ ...free(toSlack), directPin: 'broken' }, { what: 'pin-broken' });
  if (machine.locked) return done(free(toSlack), { what: 'held', by: 'lock' });
  const geared = bench.plateRatio.equals(0) ? null : bench.plateRatio;
  // a plate that is geared and locked holds the spindle by its gears
  if (geared && machine.plateLock === 'in') return done(free(toSlack), { what: 'held', by: 'gears' });
  const share = geared ? rest.mul(ratio).div(ratio.sub(geared)) : rest;
  const went = turnSpindle(bench, free(toSlack), share.div(ratio));
  if (went.told.some(({ what }) => what === 'stalled')) return { ...went, machine: free(toSlack) };
  const plate = geared ? machine.plate.add(share.div(ratio).mul(geared)) : machine.plate;
  return { ...went, machine: { ...went.machine, crank: free(toSlack).crank.add(share), plate } };
}

function crank(bench: PracticeBench, machine: Machine, { turns }: ActionOf<'crank'>): Done {
  const over = exact(turns);
  if (machine.pin === 'out') return turnCrank(bench, machine, over);
  if (machine.plateLock === 'in' || !bench.plateRatio.equals(0) || bench.helix) return held(machine, 'pin');
  // the pin takes the plate along, as the back pin of a compound move asks
  const went = turnCrank(bench, machine, over);
  const by = went.machine.crank.sub(machine.crank);
  return { ...went, machine: { ...went.machine, plate: machine.plate.add(by) } };
}

function pin(machine: Machine, { to }: ActionOf<'pin'>): Done {
  if (to === 'out') return done({ ...machine, pin: 'out' }, { what: 'did' });
  const hole = holeUnderPin(machine);
  if (hole === null) return held(machine, 'no-hole');
  return done({ ...machine, pin: 'in' }, { what: 'pin-in', hole });
}

/** The worm falls into the nearest tooth of its wheel: the spindle gives a little. */
function worm(bench: PracticeBench, machine: Machine, { to }: ActionOf<'worm'>): Done {
  if (to === machine.worm) return done(machine, { what: 'did' });
  if (to === 'out') return done({ ...machine, worm: 'out' }, { what: 'did' });
  const tooth = machine.spindle.mul(bench.ratio).sub(machine.crank).round(0);
  const spindle = machine.crank.add(tooth).div(bench.ratio);
  return done({ ...machine, worm: 'in', meshed: tooth, spindle }, { what: 'did' });
}

function directPin(bench: PracticeBench, machine: Machine, { to }: ActionOf<'direct-pin'>): Done {
  if (bench.ring === null) return held(machine, 'no-ring');
  if (machine.directPin === 'broken') return held(machine, 'pin-broken');
  if (to === 'out') return done({ ...machine, directPin: to }, { what: 'did' });
  const hole = holeAt(machine.spindle, bench.ring);
  return hole === null
    ? held(machine, 'no-hole')
    : done({ ...machine, directPin: to }, { what: 'pin-in', hole });
}

function spindleByHand(bench: PracticeBench, machine: Machine, { turns }: ActionOf<'spindle'>): Done {
  if (machine.worm === 'in') return held(machine, 'worm-in');
  if (machine.locked) return held(machine, 'lock');
  if (machine.directPin === 'in') return held(machine, 'direct-pin');
  return turnSpindle(bench, machine, exact(turns));
}

/**
 * The table or what goes in moves, with the cutter turning or not. An unlocked spindle gives as far as the
 * slack lets it; a blank without a key creeps.
 */
function feed(bench: PracticeBench, machine: Machine, to: Pick<Machine, 'table' | 'depth'>): Done {
  const moved = { ...machine, ...to };
  const under = underCutter(machine);
  const along = to.table !== machine.table;
  const pass = { ...passNow(bench, moved), from: along ? machine.table : to.table, to: to.table };
  const { work, deepest } = cutWork(machine.work, { ...pass, under: [under, under] });
  if (deepest < TOUCH) return done(moved, { what: 'did' });
  if (!machine.running) return done(machine, { what: 'stalled' });
  const told: Told[] = [];
  let after: Machine = { ...moved, work };
  if (!along && to.depth > SCRATCH) told.push({ what: 'plunged', depth: deepest });
  else told.push(deepest < SCRATCH ? { what: 'marked' } : { what: 'cut', depth: deepest });
  // what only scrapes along a flank moves nothing
  const loaded = deepest >= Math.max(SCRATCH, moved.depth / 2);
  if (loaded && !machine.locked && machine.directPin !== 'in') {
    const give = machine.worm === 'in' ? bench.slack.div(bench.ratio).sub(ahead(bench, machine)) : LOOSE;
    if (give.gt(0)) {
      after = { ...after, spindle: after.spindle.add(give) };
      told.push({ what: 'shifted', degrees: give.valueOf() * 360 });
    }
  }
  if (loaded && (!machine.keyed || bench.sheared))
    after = { ...after, crept: after.crept + CREEP / bench.teeth };
  return { machine: after, told };
}

/** Turns of the plate by the table’s gears, to a billionth: the same place of the table, the same plate. */
function plateByTable({ ratio, helix }: PracticeBench, table: number): Exact {
  const turns = (table * ratio.valueOf()) / helix!.lead;
  return exact((helix!.hand === 'right' ? turns : -turns).toFixed(9));
}

/**
 * The table moves and its gears turn the plate; with the pin in a hole the crank goes along, and by the worm
 * the work, once the slack is through. With the pin out the plate turns by itself.
 */
function feedGeared(bench: PracticeBench, machine: Machine, to: number): Done {
  if (to === machine.table) return done(machine, { what: 'did' });
  if (machine.plateLock === 'in') return held(machine, 'table-gears');
  const { ratio, slack } = bench;
  const plateAt = (table: number): Exact =>
    plateByTable(bench, table).sub(plateByTable(bench, machine.table));
  const over = plateAt(to);
  const drives = machine.pin === 'in' && machine.worm === 'in';
  const gap = ahead(bench, machine).mul(ratio);
  const loose = least(over.gte(0) ? gap : slack.sub(gap), over.abs());
  const rest = drives ? over.abs().sub(loose) : exact(0);
  if (rest.gt(0) && machine.locked) return held(machine, 'table-lock');
  const turnedBy = (plate: Exact): Exact => {
    const past = plate.abs().sub(loose);
    if (!drives || past.lte(0)) return exact(0);
    return (over.gte(0) ? past : past.neg()).div(ratio);
  };
  const spindle = machine.spindle.add(turnedBy(over));
  const from = underCutter(machine);
  const { work, deepest } = cutWork(machine.work, {
    ...passNow(bench, machine),
    to,
    under: [from, from],
    underAt: (table) => from + turnedBy(plateAt(table)).valueOf(),
  });
  if (deepest >= TOUCH && !machine.running) return done(machine, { what: 'stalled' });
  const moved: Machine = {
    ...machine,
    table: to,
    plate: machine.plate.add(over),
    crank: machine.pin === 'in' ? machine.crank.add(over) : machine.crank,
    spindle,
    work,
  };
  if (deepest < TOUCH) return done(moved, { what: 'did' });
  const loaded = deepest >= Math.max(SCRATCH, machine.depth / 2);
  const creeps = loaded && (!machine.keyed || bench.sheared);
  const after = creeps ? { ...moved, crept: moved.crept + CREEP / bench.teeth } : moved;
  return done(after, deepest < SCRATCH ? { what: 'marked' } : { what: 'cut', depth: deepest });
}

/** Deeper it is a cut and no mark, mm. */
const SCRATCH = 0.06;
/** What a spindle gives that nothing holds, turns. */
const LOOSE = exact(1, 120);
/** Of a tooth, for each cut of a blank that is not keyed: half of one after some sixty. */
const CREEP = 0.008;

/**
 * @returns how the machine stands after it, and what is told. Nothing that a real one allows is refused.
 */
export function act(bench: PracticeBench, machine: Machine, action: Action): Done {
  const did = (change: Partial<Machine>): Done => done({ ...machine, ...change }, { what: 'did' });
  switch (action.do) {
    case 'pin':
      return pin(machine, action);
    case 'crank':
      return crank(bench, machine, action);
    case 'arms-round':
      return did({ arms: { ...machine.arms, at: machine.crank.sub(machine.plate) } });
    case 'arms-set':
      return did({ arms: { ...machine.arms, spaces: action.spaces } });
    case 'circle':
      return bench.circles.includes(action.circle)
        ? did({ circle: action.circle })
        : held(machine, 'no-circle');
    case 'lock':
      return did({ locked: action.on });
    case 'worm':
      return worm(bench, machine, action);
    case 'plate-lock':
      return did({ plateLock: action.to });
    case 'direct-pin':
      return directPin(bench, machine, action);
    case 'spindle':
      return spindleByHand(bench, machine, action);
    case 'table':
      return bench.helix
        ? feedGeared(bench, machine, action.to)
        : feed(bench, machine, { table: action.to, depth: machine.depth });
    case 'depth':
      return feed(bench, machine, { table: machine.table, depth: action.to });
    case 'beside':
      return inMetal(bench, machine) ? done(machine, { what: 'stalled' }) : did({ beside: action.to });
    case 'run':
      return did({ running: action.on });
    case 'key':
      return did({ keyed: action.on });
    case 'mark':
      return did({ zero: machine.crank.sub(machine.plate) });
  }
}
