import type { Action } from './actions.ts';
import { goAlong } from './alongTable.ts';
import type { HeadBench, PracticeBench } from './bench.ts';
import { feed, feedGeared, goBeside } from './feeding.ts';
import { circlesOn, putGears, putPlate } from './geared.ts';
import { done, held, type Done, type Machine } from './machine.ts';
import { crank, directPin, pin, spindleByHand, steps, worm } from './turning.ts';

/**
 * @returns how the machine stands after it, and what is told. Nothing that a real one allows is refused.
 */
export function act(bench: PracticeBench, machine: Machine, action: Action): Done {
  const did = (change: Partial<Machine>): Done => done({ ...machine, ...change }, { what: 'did' });
  switch (action.do) {
    case 'lock':
      return did({ locked: action.on });
    case 'depth':
      return feed(bench, machine, { table: machine.table, depth: action.to });
    case 'beside':
      return goBeside(bench, machine, action.to);
    case 'run':
      return did({ running: action.on });
    case 'key':
      return did({ keyed: action.on });
    case 'table':
      return bench.on === 'head' && bench.helix
        ? feedGeared(bench, machine, action.to)
        : feed(bench, machine, { table: action.to, depth: machine.depth });
    case 'along':
      return bench.on === 'table' ? goAlong(bench, machine, action) : held(machine, 'no-table');
    case 'mark':
      return did(
        machine.along
          ? { along: { ...machine.along, zero: machine.along.dial } }
          : { zero: machine.crank.sub(machine.plate), steps: 0 },
      );
    default:
      return bench.on === 'head' ? actOnHead(bench, machine, action) : held(machine, 'no-head');
  }
}

/** What only a head has. */
type OnHead = Exclude<
  Action,
  { readonly do: 'lock' | 'depth' | 'beside' | 'run' | 'key' | 'table' | 'along' | 'mark' }
>;

function actOnHead(bench: HeadBench, machine: Machine, action: OnHead): Done {
  const did = (change: Partial<Machine>): Done => done({ ...machine, ...change }, { what: 'did' });
  switch (action.do) {
    case 'pin':
      return pin(bench, machine, action);
    case 'crank':
      return crank(bench, machine, action);
    case 'arms-round':
      return did({ arms: { ...machine.arms, at: machine.crank.sub(machine.plate) } });
    case 'arms-set':
      return did({ arms: { ...machine.arms, spaces: action.spaces } });
    case 'gears':
      return putGears(bench, machine, action);
    case 'plate':
      return putPlate(bench, machine, action);
    case 'circle':
      return circlesOn(bench, machine).includes(action.circle)
        ? did({ circle: action.circle })
        : held(machine, 'no-circle');
    case 'worm':
      return worm(bench, machine, action);
    case 'plate-lock':
      return did({ plateLock: action.to });
    case 'direct-pin':
      return directPin(bench, machine, action);
    case 'spindle':
      return spindleByHand(bench, machine, action);
    case 'steps':
      return steps(bench, machine, action);
  }
}
