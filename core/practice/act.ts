import type { Action } from './actions.ts';
import type { PracticeBench } from './bench.ts';
import { feed, feedGeared } from './feeding.ts';
import { circlesOn, putGears, putPlate } from './geared.ts';
import { done, held, type Done, type Machine } from './machine.ts';
import { crank, directPin, inMetal, pin, spindleByHand, steps, worm } from './turning.ts';

/**
 * @returns how the machine stands after it, and what is told. Nothing that a real one allows is refused.
 */
export function act(bench: PracticeBench, machine: Machine, action: Action): Done {
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
    case 'steps':
      return steps(bench, machine, action);
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
      return did({ zero: machine.crank.sub(machine.plate), steps: 0 });
  }
}
