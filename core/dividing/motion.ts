import { exact, type Exact } from '../units/index.ts';

/**
 * A dividing head as a mechanism. One turn of the spindle is `ratio` turns of the crank. The pin moves over the plate;
 * when the plate is geared to the spindle (differential) it turns `plateRatio` turns for one of the spindle, else it is locked.
 */
export interface HeadMechanism {
  /** R, exact, > 0 */
  readonly ratio: Exact;
  /** g, exact; 0 for a locked plate, > 0 turning with the crank */
  readonly plateRatio: Exact;
}

/** What a person does for one space: whole turns of the crank and spaces on a circle, both counted on the plate. */
export interface CrankMove {
  readonly turns: number;
  readonly spaces: number;
  readonly circle: number;
}

/** Where everything stands after so many moves. Whole numbers throughout; turns are parts of a common denominator. */
export interface HeadState {
  /** Moves made. */
  readonly moves: number;
  /** Hole the pin is in, from the start hole, on the plate. */
  readonly hole: number;
  /** Position of the spindle: `spindle / denominator` turns, whole turns included. */
  readonly spindle: number;
}

export interface HeadMotion {
  /** One turn of the spindle in the units of `HeadState.spindle`. */
  readonly denominator: number;
  /** The state at rest and after each move: `moves + 1` of them. */
  readonly states: readonly HeadState[];
}

/**
 * Runs the same move so many times and tells where the pin and the spindle come to rest each time.
 * The spindle turns so that `spindle·R` crank turns = pin turns on the plate + plate turns `spindle·g`,
 * hence pin turns / (R − g).
 * @param count whole, ≥ 0
 * @throws when R = g (the crank would never turn the spindle) or the figures outgrow exact whole numbers
 * Source: kinematics of a worm head; docs/sources.md#motion
 */
export function runMoves(head: HeadMechanism, move: CrankMove, count: number): HeadMotion {
  const effective = head.ratio.sub(head.plateRatio);
  if (effective.equals(0)) throw new Error('the plate runs with the crank: the spindle never turns');
  const pinUnits = move.turns * move.circle + move.spaces;
  const step = exact(pinUnits, move.circle).div(effective);
  const denominator = Number(step.d);
  const advance = Number(step.s * step.n);
  if (!Number.isSafeInteger(advance * (count + 1)) || !Number.isSafeInteger(denominator)) {
    throw new Error('the figures are too large to prove exactly');
  }
  const states: HeadState[] = [{ moves: 0, hole: 0, spindle: 0 }];
  let hole = 0;
  let spindle = 0;
  for (let k = 1; k <= count; k += 1) {
    hole = (hole + move.spaces) % move.circle;
    spindle += advance;
    states.push({ moves: k, hole, spindle });
  }
  return { denominator, states };
}
