import { landingOf, runChoice, type HeadMotion, type Landing } from '../dividing/index.ts';
import type { Cut, Run } from '../run/index.ts';
import { exact } from '../units/index.ts';
import type { Locked, WayBack } from './prompt.ts';

/** What is locked for a cut: nothing where the lead is geared, for the table has to turn the work. */
export function lockedOn({ helix, mill }: Pick<Run, 'helix' | 'mill'>): readonly Locked[] {
  if (helix) return [];
  return mill ? ['table'] : ['spindle'];
}

/** Is every round read from 0 again: a wheel, a table or a motor? Pins go on from hole to hole. */
export const readAfresh = ({ move }: Pick<Run, 'move'>): boolean =>
  move.method === 'handwheel' || move.method === 'table' || move.method === 'stepper';

/** The circle the pin goes by; 0 for a run without a plate or ring. */
export const circleOf = ({ move }: Pick<Run, 'move'>): number =>
  'circle' in move ? move.circle : move.method === 'direct' ? move.holes : 0;

const ASKED_EVERY = 6;

/** How often a learner is asked where the pin stands. */
export type HolesAsked = 'never' | 'sometimes' | 'always';

/** Does a hole tell where the pin stands after the move to this cut? */
export const holeTells = ({ landing }: Cut): boolean =>
  (landing.on === 'plate' || landing.on === 'two-circles') && landing.spaces > 0;

/** Is this a move after which a learner is asked it, of those where a hole tells? */
export const asksLanding = ({ index }: Cut, holes: HolesAsked): boolean =>
  holes === 'always' || (holes === 'sometimes' && index % ASKED_EVERY === 2);

const motions = new WeakMap<Run, HeadMotion>();

/** The motion of the head through one whole round. */
function motionOf(run: Run): HeadMotion {
  const known = motions.get(run);
  if (known) return known;
  const motion = runChoice(exact(run.head?.ratio ?? '1'), run.move, run.divisions);
  motions.set(run, motion);
  return motion;
}

/** Moves of a round that were made before its count began, in a run that goes on with another. */
export const skippedOf = (run: Run, round: number): number =>
  (run.cuts.find((cut) => cut.round === round)?.index ?? 1) - 1;

/**
 * Where a wheel or a motor stands when it has gone on from the last space of a round to its first: a full
 * turn on, in the count of that round.
 */
export function endOfRound(run: Run, round: number): Landing {
  return landingOf({
    ratio: exact(run.head?.ratio ?? '1'),
    choice: run.move,
    motion: motionOf(run),
    at: run.divisions - skippedOf(run, round),
  });
}

const onPlate = (spaces: number, circle: number) => ({
  turns: Math.floor(spaces / circle),
  spaces: spaces % circle,
  circle,
});

/** From the last space of a part of a turn back to its first. */
export function wayBack(run: Run): WayBack {
  const { move, divisions } = run;
  const moves = divisions - 1;
  switch (move.method) {
    case 'simple':
    case 'differential':
      return { on: 'plate', ...onPlate(moves * (move.turns * move.circle + move.spaces), move.circle) };
    case 'nearest-hole':
      return { on: 'plate', ...onPlate(motionOf(run).states[moves]!.hole, move.circle) };
    case 'compound':
      return {
        on: 'two-circles',
        ...onPlate(moves * (move.turns * move.circle + move.spaces), move.circle),
        back: -moves * move.back.spaces,
        backCircle: move.back.circle,
      };
    case 'direct':
      return { on: 'ring', spaces: moves * move.spaces, circle: move.holes };
    case 'handwheel':
    case 'table':
      return { on: 'dial' };
    case 'stepper':
      return { on: 'steps' };
  }
}
