import type { Exact } from '../units/index.ts';
import { advanceOf, movesOf, type Aim } from './aim.ts';
import { departures, runChoice } from './motion.ts';
import type { DividingChoice } from './schema.ts';

/** How far the work is off after each move, in the order of cutting: parts of a turn, the start first. */
export function errorsOfChoice(ratio: Exact, choice: DividingChoice, aim: Aim): number[] {
  return departures(runChoice(ratio, choice, movesOf(aim)), advanceOf(aim));
}

/**
 * Work that runs out: every space is where the head puts it and yet off along the pitch circle, once up and
 * once down in a turn.
 * @param runout full reading of the indicator, mm: twice the eccentricity @param diameter where the error is
 * felt, mm
 * @returns parts of a turn, at each space in turn
 * Source: an eccentric circle seen from the spindle; cumulative pitch error about the full reading peak to
 * peak
 */
export function errorsOfRunout(runout: number, diameter: number, spaces: number): number[] {
  const eccentricity = runout / 2;
  return Array.from({ length: spaces + 1 }, (_, k) => {
    const at = (2 * Math.PI * k) / spaces;
    const seen = Math.atan2(eccentricity * Math.sin(at), diameter / 2 + eccentricity * Math.cos(at));
    return seen / (2 * Math.PI);
  });
}

/** What a hole that stands wrong does to the work. */
export interface HoleError {
  /** Which hole, from the start hole. */
  readonly hole: number;
  /** How far it is off along its circle, mm. */
  readonly off: number;
  /** Radius of the circle of holes, mm. */
  readonly radius: number;
}

/**
 * One hole of the circle or ring in use stands wrong: every space that the pin comes to it is off, by the
 * hole's angle on the spindle and by an R-th part of it behind the worm.
 * @returns parts of a turn after each move; all zero for a choice without holes
 */
export function errorsOfHole({
  ratio,
  choice,
  aim,
  holeError: { hole, off, radius },
}: {
  readonly ratio: Exact;
  readonly choice: DividingChoice;
  readonly aim: Aim;
  readonly holeError: HoleError;
}): number[] {
  const { states } = runChoice(ratio, choice, movesOf(aim));
  const angle = off / radius / (2 * Math.PI);
  const shown = choice.method === 'direct' ? angle : angle / ratio.valueOf();
  const circle = 'circle' in choice ? choice.circle : choice.method === 'direct' ? choice.holes : null;
  return states.map((state) => (circle !== null && state.hole % circle === hole ? shown : 0));
}

/** Peak to peak of errors, and the largest step from one space to the next; parts of a turn. */
export function judgeErrors(errors: readonly number[]): { readonly total: number; readonly single: number } {
  const total = Math.max(...errors) - Math.min(...errors);
  const steps = errors.slice(1).map((error, i) => Math.abs(error - errors[i]!));
  return { total, single: Math.max(0, ...steps) };
}
