import type { ActionOf } from './actions.ts';
import type { TableBench } from './bench.ts';
import { done, held, underCutter, type Done, type Machine } from './machine.ts';
import { overAfter } from './screws.ts';
import { cutWork } from './taking.ts';
import { GOUGE, passNow } from './turning.ts';

/**
 * The table that divides goes on or back to a reading of its dial, counted from where it was made ready; what
 * stands under the cutter meanwhile is cut.
 */
export function goAlong(bench: TableBench, machine: Machine, { to }: ActionOf<'along'>): Done {
  const by = to - (machine.along?.dial ?? 0);
  if (!machine.along || by === 0) return done(machine, { what: 'did' });
  if (machine.locked) return held(machine, 'table-locked');
  const over = { ...machine.over, along: overAfter(machine.over.along, by, slackOf(bench)) };
  const moved: Machine = { ...machine, along: { ...machine.along, dial: to }, over };
  const under = [underCutter(bench, machine), underCutter(bench, moved)] as const;
  const { work, deepest } = cutWork(machine.work, {
    ...passNow(bench, machine),
    to: machine.table + (bench.fedOff ?? 0),
    under,
  });
  if (deepest < GOUGE) return done(moved, { what: 'did' });
  // a standing cutter does not cut: the work binds on it
  if (!machine.running) return done(machine, { what: 'stalled' });
  return done({ ...moved, work }, { what: 'dragged', by: Math.abs(under[1] - under[0]), depth: deepest });
}

/** By a readout the table stands where it is read, whatever its screw. */
const slackOf = ({ run, slack }: TableBench): number => (run.mount?.readout ? 0 : slack);
