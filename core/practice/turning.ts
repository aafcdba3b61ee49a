import { exact, type Exact } from '../units/index.ts';
import type { ActionOf } from './actions.ts';
import { isSunk, type HeadBench, type PracticeBench } from './bench.ts';
import { isGearedNow, plateRatioNow } from './geared.ts';
import { done, held, holeAt, holeUnderPin, underCutter, type Done, type Machine } from './machine.ts';
import { cutWork, touches, type Pass } from './taking.ts';

/* What turns the work: crank, wheel, motor, and the hand on the spindle. */

export const least = (a: Exact, b: Exact): Exact => (a.lt(b) ? a : b);

export const passNow = (bench: PracticeBench, machine: Machine): Omit<Pass, 'to' | 'under'> => ({
  form: bench.form,
  from: machine.table + (bench.fedOff ?? 0),
  depth: machine.depth + machine.over.depth - (bench.depthLost ?? 0),
  beside: machine.beside + machine.over.beside + (bench.besideOff ?? 0),
  ...(bench.away ? { away: bench.away } : {}),
  ...asideOf(bench),
});

/** The gash of a wheel leans; what is askew comes to it. */
function asideOf(bench: PracticeBench): Pick<Pass, 'aside'> {
  const lean = bench.on === 'head' && bench.rim?.lean;
  if (!lean) return bench.aside ? { aside: bench.aside } : {};
  const [a, b, c] = bench.aside ?? [0, 0, 0];
  return { aside: [lean[0] + a, lean[1] + b, lean[2] + c] };
}

/** Does the cutter stand in metal? */
export const inMetal = (bench: PracticeBench, machine: Machine): boolean =>
  touches(machine.work, { ...passNow(bench, machine), under: underCutter(bench, machine) });

/** The spindle is turned, and with it the work; what stands under the cutter meanwhile is cut. */
function turnSpindle(bench: HeadBench, machine: Machine, by: Exact): Done {
  if (by.equals(0)) return done(machine, { what: 'did' });
  const spindle = machine.spindle.add(by);
  const under = [underCutter(bench, machine), underCutter(bench, { ...machine, spindle })] as const;
  const { work, deepest } = cutWork(machine.work, {
    ...passNow(bench, machine),
    to: machine.table + (bench.fedOff ?? 0),
    under,
  });
  const turned = { ...machine, spindle };
  if (deepest < GOUGE) return done(turned, { what: 'did' });
  // a standing cutter does not cut: the work binds on it
  if (!machine.running) return done(machine, { what: 'stalled' });
  const degrees = Math.abs(by.valueOf()) * 360;
  const sunk = isSunk(bench.run) ? { sunk: true as const } : {};
  return done({ ...turned, work }, { what: 'gouged', degrees, depth: deepest, ...sunk });
}

/** Less than that is rubbed, not cut, mm. */
export const GOUGE = 2e-3;

/** How far the spindle stands ahead of where the worm has driven it, turns; 0 … slack over ratio. */
export const ahead = ({ ratio }: Pick<HeadBench, 'ratio'>, { spindle, crank, meshed }: Machine): Exact =>
  spindle.sub(crank.add(meshed).div(ratio));

/**
 * The crank is turned over the plate. Slack is gone through first; then worm and work go along, and where
 * gears are on the plate creeps the while.
 */
function turnCrank(bench: HeadBench, machine: Machine, over: Exact): Done {
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
  const ratioOn = plateRatioNow(bench, machine);
  const geared = ratioOn.equals(0) ? null : ratioOn;
  // a plate that is geared and locked holds the spindle by its gears
  if (geared && machine.plateLock === 'in') return done(free(toSlack), { what: 'held', by: 'gears' });
  const share = geared ? rest.mul(ratio).div(ratio.sub(geared)) : rest;
  const went = turnSpindle(bench, free(toSlack), share.div(ratio));
  if (went.told.some(({ what }) => what === 'stalled')) return { ...went, machine: free(toSlack) };
  const plate = geared ? machine.plate.add(share.div(ratio).mul(geared)) : machine.plate;
  return { ...went, machine: { ...went.machine, crank: free(toSlack).crank.add(share), plate } };
}

export function crank(bench: HeadBench, machine: Machine, { turns }: ActionOf<'crank'>): Done {
  const over = exact(turns);
  if (bench.motor) return held(machine, 'motor-holds');
  if (machine.pin === 'out') return turnCrank(bench, machine, over);
  if (machine.plateLock === 'in' || isGearedNow(machine) || bench.helix) return held(machine, 'pin');
  // the pin takes the plate along, as the back pin of a compound move asks
  const went = turnCrank(bench, machine, over);
  const by = went.machine.crank.sub(machine.crank);
  return { ...went, machine: { ...went.machine, plate: machine.plate.add(by) } };
}

/**
 * The motor turns the worm on to a count. Where something holds, and where steps are missed, its count goes
 * on all the same.
 */
export function steps(bench: HeadBench, machine: Machine, { to }: ActionOf<'steps'>): Done {
  const { motor, ratio, missed } = bench;
  if (!motor) return held(machine, 'no-motor');
  const by = to - machine.steps;
  const sent = machine.sent + (by === 0 ? 0 : 1);
  const lost = missed && by !== 0 && sent === missed.move ? Math.min(missed.steps, Math.abs(by)) : 0;
  const turned = exact(by - Math.sign(by) * lost)
    .mul(ratio)
    .div(motor.stepsPerTurn);
  const went = turnCrank(bench, machine, turned);
  const counted = { ...went.machine, steps: to, sent };
  if (!went.told.some(({ what }) => what === 'held' || what === 'stalled'))
    return { ...went, machine: counted };
  const gone = went.machine.crank.sub(machine.crank).mul(motor.stepsPerTurn).div(ratio);
  return done(counted, { what: 'laboured', steps: Math.round(Math.abs(by - gone.valueOf())) });
}

export function pin(bench: HeadBench, machine: Machine, { to }: ActionOf<'pin'>): Done {
  if (bench.wheel || bench.motor) return held(machine, 'no-pin');
  if (to === 'out') return done({ ...machine, pin: 'out' }, { what: 'did' });
  const hole = holeUnderPin(machine);
  if (hole === null) return held(machine, 'no-hole');
  return done({ ...machine, pin: 'in' }, { what: 'pin-in', hole });
}

/** The worm falls into the nearest tooth of its wheel: the spindle gives a little. */
export function worm(bench: HeadBench, machine: Machine, { to }: ActionOf<'worm'>): Done {
  if (to === machine.worm) return done(machine, { what: 'did' });
  if (to === 'out') return done({ ...machine, worm: 'out' }, { what: 'did' });
  const tooth = machine.spindle.mul(bench.ratio).sub(machine.crank).round(0);
  const spindle = machine.crank.add(tooth).div(bench.ratio);
  return done({ ...machine, worm: 'in', meshed: tooth, spindle }, { what: 'did' });
}

export function directPin(bench: HeadBench, machine: Machine, { to }: ActionOf<'direct-pin'>): Done {
  if (bench.ring === null) return held(machine, 'no-ring');
  if (machine.directPin === 'broken') return held(machine, 'pin-broken');
  if (to === 'out') return done({ ...machine, directPin: to }, { what: 'did' });
  const hole = holeAt(machine.spindle, bench.ring);
  return hole === null
    ? held(machine, 'no-hole')
    : done({ ...machine, directPin: to }, { what: 'pin-in', hole });
}

export function spindleByHand(bench: HeadBench, machine: Machine, { turns }: ActionOf<'spindle'>): Done {
  if (machine.worm === 'in') return held(machine, 'worm-in');
  if (machine.locked) return held(machine, 'lock');
  if (machine.directPin === 'in') return held(machine, 'direct-pin');
  return turnSpindle(bench, machine, exact(turns));
}
