import { exact, exactText, type Exact } from '../units/index.ts';
import { advanceOf, spaceAt, type Aim } from './aim.ts';
import { departures, landingOf, runChoice } from './motion.ts';
import type { DividingChoice, Landing } from './schema.ts';

/** One space of the whole job: how it is come to and where everything then stands. */
export interface IndexingRow {
  /** Place in the order of cutting, 1 … spaces. */
  readonly index: number;
  /** Which space of the work, 1 … spaces. */
  readonly space: number;
  readonly landing: Landing;
  /** Turns of the crank since the first space, exact text; null where the crank is not used. */
  readonly crankTurns: string | null;
  /** Where the space should be, degrees from the first, exact text; along a line millimetres. */
  readonly place: string;
  /** How far it is off, part of a turn; along a line millimetres. */
  readonly off: number;
}

/** Turns of the crank on the plate after so many moves; null where there is no crank to count. */
function crankAfter(choice: DividingChoice, moves: number, hole: number): Exact | null {
  switch (choice.method) {
    case 'simple':
    case 'differential':
      return exact(choice.turns).add(exact(choice.spaces, choice.circle)).mul(moves);
    case 'compound': {
      const { turns, spaces, circle, back } = choice;
      return exact(turns).add(exact(spaces, circle)).add(exact(back.spaces, back.circle)).mul(moves);
    }
    case 'nearest-hole':
      return exact(hole).div(choice.circle);
    case 'handwheel':
      return exact(hole).div(choice.marks * choice.vernier);
    case 'table':
      return exact(hole).div(choice.marks);
    case 'stepper':
    case 'direct':
      return null;
  }
}

/**
 * The table of the whole job: every space in the order of cutting.
 * @param ratio R, exact @param start the space cut first
 */
export function indexingTable({
  ratio,
  choice,
  aim,
  start = 1,
}: {
  readonly ratio: Exact;
  readonly choice: DividingChoice;
  readonly aim: Aim;
  readonly start?: number | undefined;
}): IndexingRow[] {
  const motion = runChoice(ratio, choice, Math.max(0, aim.spaces - 1));
  const off = departures(motion, advanceOf(aim));
  const unit = choice.method === 'table' ? 1 : 360;
  return motion.states.map(({ moves, hole }) => {
    const turns = crankAfter(choice, moves, hole);
    const space = spaceAt(aim, moves + 1, start);
    return {
      index: moves + 1,
      space,
      landing: landingOf({ ratio, choice, motion, at: moves }),
      crankTurns: turns && exactText(turns),
      place: exactText(advanceOf(aim).mul(moves * unit)),
      off: off[moves]!,
    };
  });
}
