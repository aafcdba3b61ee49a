import type { Action } from './actions.ts';
import type { PracticeBench } from './bench.ts';
import { act } from './act.ts';
import { freshMachine, type Machine, type Told } from './machine.ts';
import { spacesBelow } from './measure.ts';

/** What was done and what came of it. */
export interface Entry {
  readonly action: Action;
  readonly told: readonly Told[];
}

/** A person at the bench: all that was done, and how the machine stands after it. */
export interface Session {
  readonly bench: PracticeBench;
  readonly log: readonly Entry[];
  readonly machine: Machine;
  /** The machine as it stood after so many actions, now and then: taking back replays from the last. */
  readonly kept: readonly { readonly after: number; readonly machine: Machine }[];
}

const KEEP_EVERY = 24;

/** @param machine as it stands at the start: made ready for the job, unless a fault is hidden in it */
export function newSession(bench: PracticeBench, machine: Machine = freshMachine(bench)): Session {
  return { bench, log: [], machine, kept: [{ after: 0, machine }] };
}

export function perform(session: Session, action: Action): Session {
  const { bench, log, kept } = session;
  const { machine, told } = act(bench, session.machine, action);
  const after = log.length + 1;
  return {
    bench,
    log: [...log, { action, told }],
    machine,
    kept: after % KEEP_EVERY === 0 ? [...kept, { after, machine }] : kept,
  };
}

/** Cranked on in the same direction: one turn of the hand, however many holes it went by. */
function sameTurn(a: Action, b: Action | undefined): boolean {
  return a.do === 'crank' && b?.do === 'crank' && a.turns.startsWith('-') === b.turns.startsWith('-');
}

/** The last thing that was done undone; the same session where nothing was done yet. */
export function takeBack(session: Session): Session {
  const { bench, log } = session;
  const last = log.at(-1);
  if (!last) return session;
  let many = log.length - 1;
  while (sameTurn(last.action, log[many - 1]?.action)) many -= 1;
  const wanted = log.slice(0, many);
  const kept = session.kept.filter(({ after }) => after <= many);
  const from = kept.at(-1)!;
  let { machine } = from;
  for (const { action } of wanted.slice(from.after)) machine = act(bench, machine, action).machine;
  return { bench, log: wanted, machine, kept };
}

const isCut = ({ told }: Entry): boolean => told.some(({ what }) => what === 'cut');

/** As deep as the dial stood when something was done, mm. */
function depthAfter(log: readonly Entry[], at: number): number {
  const set = log.slice(0, at + 1).findLast(({ action }) => action.do === 'depth');
  return set?.action.do === 'depth' ? set.action.to : 0;
}

/** A space is as deep as another that reaches so much of it. */
const NEARLY = 0.97;

/** What a hand would do again for the next cut, and how much of it is done since the last. */
export interface Cycle {
  readonly actions: readonly Action[];
  readonly done: number;
  /** Spaces that are not as deep yet as the last was cut. */
  readonly left: number;
}

const isSame = (a: Action, b: Action | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * What a hand did from the cut before the last to the last. Null before the second cut, and where what was
 * done since is not how it was begun then.
 */
export function cycleOf({ bench, log, machine }: Session): Cycle | null {
  const last = log.findLastIndex(isCut);
  const before = log.slice(0, Math.max(0, last)).findLastIndex(isCut);
  if (last < 0 || before < 0) return null;
  const actions = log.slice(before + 1, last + 1).map(({ action }) => action);
  const since = log.slice(last + 1).map(({ action }) => action);
  // a whole cycle without a cut is no cycle
  const goesOn = since.length < actions.length && since.every((action, i) => isSame(action, actions[i]));
  if (!goesOn) return null;
  const depth = depthAfter(log, last);
  const deep = spacesBelow(machine.work, machine.work.outside / 2 - NEARLY * depth, 'middle').length;
  return { actions, done: since.length, left: Math.max(0, bench.teeth - deep) };
}

/** Does the same again and again, from where the hand is in it, until every space is as deep as the last. */
export function goOnLikeThis(session: Session): Session {
  const cycle = cycleOf(session);
  if (!cycle) return session;
  let now = session;
  for (let i = 0; i < cycle.left; i += 1)
    for (const action of i === 0 ? cycle.actions.slice(cycle.done) : cycle.actions)
      now = perform(now, action);
  return now;
}
