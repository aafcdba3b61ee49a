import { titleOf, type ExerciseId } from '../../core/exercises/index.ts';
import type { ClassBoard } from '../../core/wire/index.ts';

type Learner = ClassBoard['learners'][number];

export const sumsOf = ({ kinds }: Learner) => ({
  tried: kinds.reduce((sum, { tried }) => sum + tried, 0),
  right: kinds.reduce((sum, { right }) => sum + right, 0),
  // a kind counts as done when the last of it was right
  done: kinds.filter(({ last }) => last).length,
});

/** A slip as a sentence; what was left out of it stands for itself. */
export const slipText = (slip: string): string => (slip.endsWith('…') ? slip : `${slip}.`);

/** The marks of a class as rows: right of tried, for each kind and in all. */
export function marksTable({ learners }: ClassBoard, kinds: readonly ExerciseId[]): string[][] {
  const heading = ['number', 'name', 'right', 'tried', ...kinds.map(titleOf), 'last tried'];
  const rows = learners.map((learner) => {
    const { tried, right } = sumsOf(learner);
    const of = (kind: ExerciseId): string => {
      const found = learner.kinds.find((one) => one.kind === kind);
      return found ? `${found.right} of ${found.tried}` : '';
    };
    return [
      String(learner.number),
      learner.name,
      String(right),
      String(tried),
      ...kinds.map(of),
      learner.lastAt?.slice(0, 10) ?? '',
    ];
  });
  return [heading, ...rows];
}
