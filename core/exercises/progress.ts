import { chanceFrom, seedFrom } from './chance.ts';
import { EXERCISE_IDS, type Draw, type ExerciseId } from './exercises.ts';
import type { Level } from './types.ts';

/** An exercise that was marked; the oldest first in a list of them. */
export interface Tried {
  readonly draw: Draw;
  readonly right: boolean;
}

const of = (tried: readonly Tried[], kind: ExerciseId): readonly Tried[] =>
  tried.filter(({ draw }) => draw.kind === kind);

/** Right so often one after another at a level: on to the next. Wrong so often: back. */
const UP = 2;
const DOWN = 2;

/** How hard the next of a kind is to be: two right on, two wrong back. */
export function levelOf(tried: readonly Tried[], kind: ExerciseId): Level {
  let level: Level = 1;
  let run = 0;
  for (const { right } of of(tried, kind)) {
    run = right ? Math.max(0, run) + 1 : Math.min(0, run) - 1;
    if (run >= UP && level < 3) [level, run] = [(level + 1) as Level, 0];
    else if (run <= -DOWN && level > 1) [level, run] = [(level - 1) as Level, 0];
  }
  return level;
}

/** What went wrong comes back after so many others. */
const LATER = 3;

/** How far along a kind is: not tried, gone wrong last, right so far, right at the hardest. */
export type Standing = 'new' | 'again' | 'going' | 'sure';

export function standingOf(tried: readonly Tried[], kind: ExerciseId): Standing {
  const own = of(tried, kind);
  const last = own.at(-1);
  if (!last) return 'new';
  if (!last.right) return 'again';
  return levelOf(tried, kind) === 3 && last.draw.level === 3 ? 'sure' : 'going';
}

/** How many others were tried since a kind was last; Infinity where it never was. */
function since(tried: readonly Tried[], kind: ExerciseId): number {
  const at = tried.findLastIndex(({ draw }) => draw.kind === kind);
  return at < 0 ? Infinity : tried.length - 1 - at;
}

/**
 * The exercise that comes next: what went wrong three exercises ago or more, the longest ago first; else what
 * was tried least, and of those one by chance. Never the same kind twice running where there is another.
 * @param kinds to choose among, not empty @param learner whose numbers they are: each has its own
 */
export function nextExercise(
  tried: readonly Tried[],
  { kinds = EXERCISE_IDS, learner }: { readonly kinds?: readonly ExerciseId[]; readonly learner: number },
): Draw {
  const others = kinds.filter((kind) => kind !== tried.at(-1)?.draw.kind);
  const among = others.length > 0 ? others : kinds;
  const due = among
    .filter((kind) => standingOf(tried, kind) === 'again' && since(tried, kind) >= LATER)
    .sort((a, b) => since(tried, b) - since(tried, a));
  const least = Math.min(...among.map((kind) => of(tried, kind).length));
  const seed = seedFrom(learner, tried.length);
  const kind = due[0] ?? chanceFrom(seed).one(among.filter((one) => of(tried, one).length === least));
  return { kind, seed, level: levelOf(tried, kind) };
}
