import { exact, type Exact } from '../units/index.ts';
import { isSunk, type HeadBench, type PracticeBench, type TableBench } from './bench.ts';
import { leadNow } from './geared.ts';
import { done, held, underCutter, type Done, type Machine, type Told } from './machine.ts';
import { overAfter, slacksOf } from './screws.ts';
import { cutWork } from './taking.ts';
import { ahead, inMetal, least, passNow } from './turning.ts';
import { TOUCH } from './work.ts';

/* What moves the work past the cutter, or into it. */

/** Deeper it is a cut and no mark, mm. */
const SCRATCH = 0.06;
/** What a spindle gives that nothing holds, turns. */
const LOOSE = exact(1, 120);
/** Of a tooth, for each cut of a blank that is not keyed: half of one after some sixty. */
const CREEP = 0.008;
/** What gives way under a cut, and what is told of it. */
interface Gave {
  readonly change: Partial<Machine>;
  readonly told: readonly Told[];
}

/** An unlocked spindle gives as far as the slack lets it; a blank without a key creeps. */
function headGives(bench: HeadBench, machine: Machine): Gave {
  const creeps = !machine.keyed || bench.sheared;
  const crept = creeps ? { crept: machine.crept + CREEP / bench.teeth } : {};
  const loose = !machine.locked && machine.directPin !== 'in';
  const room = machine.worm === 'in' ? bench.slack.div(bench.ratio).sub(ahead(bench, machine)) : LOOSE;
  if (!loose || room.lte(0)) return { change: crept, told: [] };
  return {
    change: { ...crept, spindle: machine.spindle.add(room) },
    told: [{ what: 'shifted', degrees: room.valueOf() * 360 }],
  };
}

/** An unlocked table is pushed through the slack of its screw; a bar that is badly held slips. */
function tableGives({ slack, slips = 0 }: TableBench, { locked, over, crept }: Machine): Gave {
  const slipped = { crept: crept + slips };
  const room = slack - over.along;
  if (locked || room <= 0) return { change: slipped, told: [] };
  return { change: { ...slipped, over: { ...over, along: slack } }, told: [{ what: 'slid', by: room }] };
}

const gives = (bench: PracticeBench, machine: Machine): Gave =>
  bench.on === 'head' ? headGives(bench, machine) : tableGives(bench, machine);

/** What carries the work past the cutter, or what brings it in, moves; with the cutter turning or not. */
export function feed(bench: PracticeBench, machine: Machine, to: Pick<Machine, 'table' | 'depth'>): Done {
  const over = overAfter(machine.over.depth, to.depth - machine.depth, slacksOf(bench).depth);
  const moved = { ...machine, ...to, over: { ...machine.over, depth: over } };
  const under = underCutter(bench, machine);
  const along = to.table !== machine.table;
  const off = bench.fedOff ?? 0;
  const pass = {
    ...passNow(bench, moved),
    from: (along ? machine.table : to.table) + off,
    to: to.table + off,
  };
  const { work, deepest } = cutWork(machine.work, { ...pass, under: [under, under] });
  if (deepest < TOUCH) return done(moved, { what: 'did' });
  if (!machine.running) return done(machine, { what: 'stalled' });
  const told: Told[] = [];
  let after: Machine = { ...moved, work };
  // a wheel is gashed by sinking
  const plunged = !along && to.depth > SCRATCH && !isSunk(bench.run);
  if (plunged) told.push({ what: 'plunged', depth: deepest });
  else told.push(deepest < SCRATCH ? { what: 'marked' } : { what: 'cut', depth: deepest });
  // what only scrapes along a flank moves nothing
  const loaded = deepest >= Math.max(SCRATCH, moved.depth / 2);
  if (loaded) {
    const gave = gives(bench, after);
    after = { ...after, ...gave.change };
    told.push(...gave.told);
  }
  return { machine: after, told };
}

/** Turns of the plate by the table’s gears, to a billionth: the same place of the table, the same plate. */
const plateByTable = ({ ratio }: HeadBench, lead: number, table: number): Exact =>
  exact(((table * ratio.valueOf()) / lead).toFixed(9));

/**
 * The table moves and its gears turn the plate; with the pin in a hole the crank goes along, and by the worm
 * the work, once the slack is through. With the pin out the plate turns by itself.
 */
export function feedGeared(bench: HeadBench, machine: Machine, to: number): Done {
  if (to === machine.table) return done(machine, { what: 'did' });
  const lead = leadNow(bench, machine);
  // with its gears off the table turns nothing
  if (lead === null) return feed(bench, machine, { table: to, depth: machine.depth });
  if (machine.plateLock === 'in') return held(machine, 'table-gears');
  const { ratio, slack } = bench;
  const off = bench.fedOff ?? 0;
  const plateAt = (table: number): Exact =>
    plateByTable(bench, lead, table).sub(plateByTable(bench, lead, machine.table));
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
  const from = underCutter(bench, machine);
  const { work, deepest } = cutWork(machine.work, {
    ...passNow(bench, machine),
    to: to + off,
    under: [from, from],
    underAt: (table) => from + turnedBy(plateAt(table - off)).valueOf(),
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

/** Beside the middle. */
export function goBeside(bench: PracticeBench, machine: Machine, to: number): Done {
  if (inMetal(bench, machine)) return done(machine, { what: 'stalled' });
  const beside = overAfter(machine.over.beside, to - machine.beside, slacksOf(bench).beside);
  return done({ ...machine, beside: to, over: { ...machine.over, beside } }, { what: 'did' });
}
