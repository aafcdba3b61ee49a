import { runMoves, type CrankMove, type HeadMechanism } from './motion.ts';

/** What running a plan through the head's motion has shown. */
export interface Proof {
  readonly moves: number;
  /** Is every space at exactly k/N of a turn? */
  readonly everySpaceTrue: boolean;
  /** First space that is not, 1…N, or null. */
  readonly firstWrong: number | null;
  /**
   * After N moves: is the spindle one whole turn on, and the pin where R turns of the crank leave it on a locked plate
   * (its start hole, when R is whole)?
   */
  readonly closes: boolean;
}

/**
 * Runs N moves through the motion model and checks each space against k/N of a turn.
 * @param divisions N, whole, ≥ 1
 */
export function proveDivision(head: HeadMechanism, move: CrankMove, divisions: number): Proof {
  const { denominator, states } = runMoves(head, move, divisions);
  let firstWrong: number | null = null;
  for (const { moves, spindle } of states) {
    if (spindle * divisions !== moves * denominator) {
      firstWrong = moves;
      break;
    }
  }
  const last = states[divisions]!;
  const pinBack =
    !head.plateRatio.equals(0) || head.ratio.mul(move.circle).mod(move.circle).equals(last.hole);
  return {
    moves: divisions,
    everySpaceTrue: firstWrong === null,
    firstWrong,
    closes: last.spindle === denominator && pinBack,
  };
}
