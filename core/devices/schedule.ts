import { approx, exact } from '../units/index.ts';
import { asSent } from './motionLine.ts';
import type { MotorDevice } from './schema.ts';

/** What a motor counts for one of its schedule’s steps. @param stepsPerTurn of the work, exact text */
export const countOfStep = ({ perTurn }: Pick<MotorDevice, 'perTurn'>, stepsPerTurn: string): number =>
  perTurn / approx(exact(stepsPerTurn));

/**
 * Where a place of the schedule lies in the motor’s own count, from the 0 of its round. Reckoned from the
 * steps that were counted from the start, so that nothing adds up.
 * @param steps whole @param stepsPerTurn of the work, exact text, > 0
 */
export function countOfPlace(
  { perTurn, reversed }: Pick<MotorDevice, 'perTurn' | 'reversed'>,
  steps: number,
  stepsPerTurn: string,
): number {
  const count = approx(
    exact(steps)
      .div(exact(stepsPerTurn))
      .mul(exact(String(perTurn))),
  );
  return reversed && count !== 0 ? -count : count;
}

/** Can the places of a line tell one step from the next? */
export const tellsSteps = (motor: Pick<MotorDevice, 'perTurn'>, stepsPerTurn: string): boolean => {
  const step = countOfStep(motor, stepsPerTurn);
  return asSent(step / 2) > 0 && Math.abs(asSent(step) - step) <= step / 4;
};

/** What so many steps too few or too many do to the work. */
export interface MissedMeans {
  /** Of the work. */
  readonly seconds: number;
  /** Along a circle, µm. */
  readonly along: number;
  /** Of a tooth with its space. */
  readonly share: number;
}

/** @param diameter of the circle that matters, mm, > 0 @param divisions ≥ 1 */
export function missedMeans(steps: number, { stepsPerTurn, diameter, divisions }: MissedOf): MissedMeans {
  const turn = steps / approx(exact(stepsPerTurn));
  return {
    seconds: turn * 1_296_000,
    along: turn * Math.PI * diameter * 1000,
    share: turn * divisions,
  };
}

interface MissedOf {
  readonly stepsPerTurn: string;
  readonly diameter: number;
  readonly divisions: number;
}
