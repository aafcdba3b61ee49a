import { titleOf, type ExerciseId } from '../../core/exercises/index.ts';
import { harmName } from '../../core/practice/index.ts';
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

const BENCH = ['bench: cut', 'bench: best blank', 'bench: harm done', 'faults found'] as const;

/** Harm at the bench in words, the gravest last: `turned in the work 2×`. */
export const harmText = ({ harms }: NonNullable<Learner['bench']>): string =>
  harms.map(({ what, times }) => `${harmName(what)}${times > 1 ? ` ${times}×` : ''}`).join(', ');

function benchCells({ bench }: Learner): string[] {
  if (!bench) return BENCH.map(() => '');
  const { made, of, best, sought, found } = bench;
  return [`${made} of ${of}`, String(best), harmText(bench), sought > 0 ? `${found} of ${sought}` : ''];
}

/**
 * The marks of a class as rows: right of tried, for each kind and in all; with a job also how far each is at
 * the bench.
 */
export function marksTable(
  { class: { jobId }, learners }: ClassBoard,
  kinds: readonly ExerciseId[],
): string[][] {
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
      ...(jobId ? benchCells(learner) : []),
    ];
  });
  return [jobId ? [...heading, ...BENCH] : heading, ...rows];
}
