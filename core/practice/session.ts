import type { Action } from './actions.ts';
import type { PracticeBench } from './bench.ts';
import { act } from './act.ts';
import { freshMachine, type Machine, type Told } from './machine.ts';
import { cutsAsDeep } from './counted.ts';
import { dialReads } from './screws.ts';

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

/** Crank or dial on in the same direction: one turn of the hand, however many marks it went by. */
function sameTurn(log: readonly Entry[], at: number): boolean {
  const [a, b] = [log[at]?.action, log[at - 1]?.action];
  if (a?.do === 'crank' && b?.do === 'crank') return a.turns.startsWith('-') === b.turns.startsWith('-');
  if (a?.do !== 'along' || b?.do !== 'along') return false;
  const before = log.slice(0, at - 1).findLast(({ action }) => action.do === 'along')?.action;
  const from = before?.do === 'along' ? before.to : 0;
  return Math.sign(a.to - b.to) === Math.sign(b.to - from);
}

/** The last thing that was done undone; the same session where nothing was done yet. */
export function takeBack(session: Session): Session {
  const { bench, log } = session;
  if (log.length === 0) return session;
  let many = log.length - 1;
  while (sameTurn(log, many)) many -= 1;
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

type Reading = Extract<Action, { readonly do: 'along' | 'steps' }>;
const isReading = (action: Action): action is Reading => action.do === 'along' || action.do === 'steps';

/** Where the table’s dial, or the motor’s count, stands at each cut of a round, from its 0. */
function listedFor(bench: PracticeBench): readonly number[] {
  const { run } = bench;
  return run.cuts
    .filter(({ round }) => round === run.cuts[0]!.round)
    .map(({ landing }) => {
      if (landing.on === 'steps') return landing.steps;
      if (landing.on !== 'dial' || bench.on !== 'table') return NaN;
      return dialReads(bench.screw, landing);
    });
}

/** Nearer to a reading than that, it was meant. */
const MEANT = 1e-6;

/** Entries of the log, the first and the last of them. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * How much farther on readings are so many cuts later: to the one that is listed, where the last was set to
 * one of the list; otherwise by as much each time as the last time.
 */
function fartherOn({ bench, log, machine }: Session, { from, to }: Stretch, cuts: number): number {
  const set = log.slice(from, to + 1).findLast(({ action }) => isReading(action))?.action;
  if (!set || !isReading(set)) return 0;
  const zero = set.do === 'along' ? (machine.along?.zero ?? 0) : 0;
  const listed = listedFor(bench);
  const nth = listed.findIndex((reading) => Math.abs(reading - (set.to - zero)) < MEANT);
  const next = listed[nth + cuts];
  if (nth >= 0 && next !== undefined) return next - listed[nth]!;
  const before = log.slice(0, from).findLast(({ action }) => action.do === set.do)?.action;
  return cuts * (set.to - (before && isReading(before) ? before.to : zero));
}

/** The actions from one cut to the next as they are so many cuts later. */
function cycleLater(session: Session, stretch: Stretch, cuts: number): readonly Action[] {
  const on = fartherOn(session, stretch, cuts);
  return session.log
    .slice(stretch.from, stretch.to + 1)
    .map(({ action }) => (isReading(action) ? { ...action, to: action.to + on } : action));
}

/** From after the cut before the last to the last; null before the second cut. */
function lastStretch({ log }: Session): Stretch | null {
  const to = log.findLastIndex(isCut);
  const before = log.slice(0, Math.max(0, to)).findLastIndex(isCut);
  return to < 0 || before < 0 ? null : { from: before + 1, to };
}

/**
 * What a hand did from the cut before the last to the last. Null before the second cut, and where what was
 * done since is not how it was begun then.
 */
export function cycleOf(session: Session): Cycle | null {
  const { bench, log, machine } = session;
  const stretch = lastStretch(session);
  if (!stretch) return null;
  const actions = cycleLater(session, stretch, 1);
  const since = log.slice(stretch.to + 1).map(({ action }) => action);
  // a whole cycle without a cut is no cycle
  const goesOn = since.length < actions.length && since.every((action, i) => isSame(action, actions[i]));
  if (!goesOn) return null;
  const depth = depthAfter(log, stretch.to);
  const deep = cutsAsDeep(bench, machine.work, { depth, share: NEARLY }).length;
  return { actions, done: since.length, left: Math.max(0, bench.teeth - deep) };
}

/** Does the same again and again, from where the hand is in it, until every space is as deep as the last. */
export function goOnLikeThis(session: Session): Session {
  const cycle = cycleOf(session);
  const stretch = lastStretch(session);
  if (!cycle || !stretch) return session;
  let now = session;
  for (let cuts = 1; cuts <= cycle.left; cuts += 1)
    for (const action of cycleLater(session, stretch, cuts).slice(cuts === 1 ? cycle.done : 0))
      now = perform(now, action);
  return now;
}
