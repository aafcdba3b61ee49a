import type { Divided } from '../cut/index.ts';
import type { Run, RunState } from '../run/index.ts';
import { approx, exact } from '../units/index.ts';

/** What of a run tells the causes of trouble apart. */
export interface TroubleFacts {
  readonly divisions: number;
  /** Degrees of one space. */
  readonly spaceDeg: number;
  /** Cuts made in the round at hand. */
  readonly done: number;
  /** Turns of the crank for one of the spindle; null where no crank divides. */
  readonly ratio: number | null;
  /** Holes of the circle, and turns of the crank in one move; null where no plate divides. */
  readonly circle: number | null;
  readonly moveTurns: number | null;
  readonly differential: boolean;
  readonly stepper: { readonly stepsPerTurn: number } | null;
  /** mm; null where not known */
  readonly outside: number | null;
  readonly bore: number | null;
  readonly depth: number | null;
  readonly approach: number | null;
  readonly indexAt: 'entry' | 'exit';
  readonly helical: boolean;
  /** Holes of the spindle’s own ring; null where it does not divide. */
  readonly ring: number | null;
  /** What is cut: teeth of a gear, of a worm wheel, or something that is no tooth. */
  readonly work: 'gear' | 'wheel' | 'divided';
  readonly divides: Divided;
  /** What the cutter touches first, from where depth counts; null where nobody said. */
  readonly touchOn: Run['touchOn'];
  /** Of a gear of straight teeth cut round the work; null for anything else. */
  readonly teeth: number | null;
  /**
   * What a table divides along a bar, mm: from one to the next, and its screw; of a rack its module too. Null
   * on a head.
   */
  readonly table: {
    readonly pitch: number;
    readonly lead: number;
    readonly marks: number;
    readonly spaces: number;
    readonly rack: { readonly module: number } | null;
  } | null;
  /** How it is to run with its mate, mm; null where none is known. */
  readonly mesh: NonNullable<Run['mesh']> | null;
}

/** Steps of the motor for one turn of the work; null without a motor. */
const stepsOf = ({ move }: Run): TroubleFacts['stepper'] =>
  move.method === 'stepper' ? { stepsPerTurn: approx(exact(move.stepsPerTurn)) } : null;

function tableOf({ move, divides, divisions }: Run): TroubleFacts['table'] {
  if (move.method !== 'table') return null;
  const pitch = approx(exact(move.advance));
  return {
    pitch,
    lead: approx(exact(move.lead)),
    marks: move.marks,
    spaces: divisions,
    rack: divides === 'tooth-space' ? { module: pitch / Math.PI } : null,
  };
}

/**
 * Only a wheel is laid over without a lead, and only its rim has a throat; where no mill is known nothing is
 * laid.
 */
function workOf({ divides, laid, touchOn }: Run): TroubleFacts['work'] {
  if (divides !== 'tooth-space') return 'divided';
  return laid || touchOn === 'throat' || touchOn === 'corners' ? 'wheel' : 'gear';
}

export function troubleFacts(run: Run, state: Pick<RunState, 'next' | 'last' | 'doneCuts'>): TroubleFacts {
  const { move, head, divisions } = run;
  const along = run.safe?.way === 'along' ? run.safe : null;
  const plated = move.method === 'simple' || move.method === 'differential' || move.method === 'compound';
  const round = (state.next ?? state.last)?.round ?? 1;
  const done = run.cuts.filter((cut, i) => cut.round === round && state.doneCuts[i]).length;
  return {
    divisions,
    spaceDeg: 360 / divisions,
    done,
    ratio: head && move.method !== 'direct' ? approx(exact(head.ratio)) : null,
    circle: 'circle' in move ? move.circle : null,
    moveTurns: plated ? move.turns + move.spaces / move.circle : null,
    differential: move.method === 'differential',
    stepper: stepsOf(run),
    outside: run.outside,
    bore: run.bore,
    depth: run.rounds.at(-1)?.depthMm ?? null,
    approach: along?.approach ?? null,
    indexAt: along?.indexAt ?? 'entry',
    helical: run.helix !== null,
    ring: move.method === 'direct' ? move.holes : null,
    work: workOf(run),
    divides: run.divides,
    touchOn: run.touchOn,
    teeth: workOf(run) === 'gear' && run.head && !run.helix ? divisions : null,
    table: tableOf(run),
    mesh: run.mesh ?? null,
  };
}
