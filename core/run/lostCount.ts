import { greatestCommon } from '../units/index.ts';
import { roundOf } from './places.ts';
import type { Cut, Run } from './schema.ts';

/**
 * A place in the run where the pin stands as it is seen to stand. Whether that space is cut already only the
 * eye can tell.
 */
export interface Whereabouts {
  readonly cut: Cut;
  /** Cuts made when it stands there and the space is cut; one less when it is not. */
  readonly cutsDone: number;
}

export interface LostCount {
  /** Nearest to the rough count first. */
  readonly places: readonly Whereabouts[];
  /**
   * Holes from one landing to the next among those there are: the pin only ever stands in every so many-th.
   */
  readonly every: number;
  /** Highest hole there is on the circle in use; null where it is not known. */
  readonly most: number | null;
}

/** The hole a cut is come to in; null where no hole tells it. */
function holeOf({ landing }: Cut): number | null {
  return landing.on === 'plate' || landing.on === 'ring' || landing.on === 'two-circles'
    ? landing.hole
    : null;
}

/** Holes of the circle or ring the pin drops into; null for a dial, a motor or a table. */
function holesOf({ move }: Run): number | null {
  if (move.method === 'direct') return move.holes;
  return 'circle' in move ? move.circle : null;
}

/** Can the hole the pin stands in tell where the run has come to? */
export const toldByHole = (run: Run): boolean => run.cuts.every((cut) => holeOf(cut) !== null);

/**
 * Where a round may have come to, from the hole the pin is in now. It counts within the round: the rounds are
 * told apart by the depth of the spaces, never by a hole.
 * @param hole counted from the start hole, 0 or more @param about cuts made of the round, by eye; what the
 * screen counted when nobody looked
 * @returns no place where no cut ends in that hole: that is proof of a slip
 * Source: k·h ≡ hole (mod C), from the motion of the head; checked against plain counting in the test
 */
export function whereInRun(
  run: Run,
  hole: number,
  { round, about }: { readonly round: number; readonly about: number },
): LostCount {
  const { from } = roundOf(run, round);
  const before = run.cuts[0]?.round === round ? run.cuts[0].index - 1 : 0;
  /** Cuts of the round that are made there; those of a run it goes on with are cut already. */
  const inRound = ({ cutsDone }: Whereabouts) => cutsDone - from + before;
  const places = run.cuts
    .map((cut, i): Whereabouts => ({ cut, cutsDone: i + 1 }))
    .filter(({ cut }) => cut.round === round && holeOf(cut) === hole)
    .sort((a, b) => Math.abs(inRound(a) - about) - Math.abs(inRound(b) - about) || a.cutsDone - b.cutsDone);
  const holes = run.cuts.map((cut) => holeOf(cut) ?? 0);
  const circle = holesOf(run);
  const every = holes.reduce(greatestCommon, circle ?? 0);
  return { places, every: Math.max(1, every), most: circle === null ? null : circle - 1 };
}
