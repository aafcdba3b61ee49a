import { exact, type Exact } from '../units/index.ts';
import { advanceOf, movesOf, type Aim } from './aim.ts';
import {
  departures,
  plateRatioOf,
  runChoice,
  runMoves,
  type CrankMove,
  type HeadMechanism,
  type HeadMotion,
} from './motion.ts';
import type { DividingChoice } from './schema.ts';

/** What running a plan through the head's motion has shown. */
export interface Proof {
  readonly moves: number;
  /** Is every space exactly where it should be? */
  readonly everySpaceTrue: boolean;
  /** First move after which it is not, or null. */
  readonly firstWrong: number | null;
  /**
   * After the last move: is the spindle where it should be (on a full turn, back where it began), and the pin
   * where R turns of the crank leave it on a locked plate (its start hole, when R is whole)?
   */
  readonly closes: boolean;
  /**
   * The space farthest from where it should be: after which move, and by how much of a turn; 0 when all are
   * true.
   */
  readonly worst: { readonly move: number; readonly turns: number };
  /** The worst width of a single space: how much one move is off, part of a turn. */
  readonly worstSingle: number;
  /** How far off the last move ends, part of a turn. */
  readonly end: number;
}

function proofOf({
  motion,
  advance,
  moves,
  pinBack,
}: {
  readonly motion: HeadMotion;
  readonly advance: Exact;
  readonly moves: number;
  readonly pinBack: boolean;
}): Proof {
  const off = departures(motion, advance);
  let worst = { move: 0, turns: 0 };
  let worstSingle = 0;
  for (const [move, turns] of off.entries()) {
    if (Math.abs(turns) > Math.abs(worst.turns) + 1e-15) worst = { move, turns };
    const single = move === 0 ? 0 : turns - off[move - 1]!;
    if (Math.abs(single) > Math.abs(worstSingle) + 1e-15) worstSingle = single;
  }
  const wrong = off.findIndex((turns) => turns !== 0);
  const end = off[moves]!;
  return {
    moves,
    everySpaceTrue: wrong === -1,
    firstWrong: wrong === -1 ? null : wrong,
    closes: end === 0 && pinBack,
    worst,
    worstSingle,
    end,
  };
}

/** Is a pin on a locked plate where so many turns of the spindle leave it? */
const pinIsBack = ({
  ratio,
  turns,
  circle,
  hole,
}: {
  readonly ratio: Exact;
  readonly turns: Exact;
  readonly circle: number;
  readonly hole: number;
}): boolean => ratio.mul(turns).mul(circle).mod(circle).equals(hole);

/**
 * Runs N moves through the motion model and checks each space against k/N of a turn.
 * @param divisions N, whole, ≥ 1
 */
export function proveDivision(head: HeadMechanism, move: CrankMove, divisions: number): Proof {
  const motion = runMoves(head, move, divisions);
  const { hole } = motion.states[divisions]!;
  const back =
    !head.plateRatio.equals(0) ||
    pinIsBack({ ratio: head.ratio, turns: exact(1), circle: move.circle, hole });
  return proofOf({ motion, advance: exact(1, divisions), moves: divisions, pinBack: back });
}

/**
 * Runs a choice through all the moves of an aim, the closing one with it on a full turn. @param ratio R,
 * exact
 */
export function proveChoice(ratio: Exact, choice: DividingChoice, aim: Aim): Proof {
  const moves = movesOf(aim);
  const motion = runChoice(ratio, choice, moves);
  const { hole } = motion.states[moves]!;
  const simple = choice.method === 'simple' && plateRatioOf(choice).equals(0);
  const back = !simple || pinIsBack({ ratio, turns: advanceOf(aim).mul(moves), circle: choice.circle, hole });
  return proofOf({ motion, advance: advanceOf(aim), moves, pinBack: back });
}
