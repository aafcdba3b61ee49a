import { seedFrom } from './chance.ts';
import { EXERCISE_IDS, poseExercise, type Exercise, type ExerciseId } from './exercises.ts';
import type { Level } from './types.ts';

/** A sheet of exercises as it is asked for. */
export interface SheetAsked {
  readonly seed: number;
  readonly level: Level;
  readonly kinds: readonly ExerciseId[];
  /** Of each kind. */
  readonly each: number;
}

export const MOST_EACH = 5;

/** The exercises of a sheet, in the order of the card; the same from the same seed. */
export const exercisesOf = ({ seed, level, kinds, each }: SheetAsked): readonly Exercise[] =>
  EXERCISE_IDS.filter((kind) => kinds.includes(kind)).flatMap((kind) =>
    Array.from({ length: each }, (_, i) => poseExercise({ kind, seed: seedFrom(seed, kind, i), level })),
  );
