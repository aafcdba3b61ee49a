import type { RunSummary } from './fold.ts';
import type { Run } from './schema.ts';

/**
 * Holes of a plate or ring that are drilled to depth, by the counts at the mill: those of its last round. A
 * proof in scrap is not the plate, a piece that was scrapped is none, and a run that goes on with another
 * counts the places that one made.
 * @param runs of the part in which it is drilled, in any order
 * @returns whole, 0 to all of them; all where a run of it closed
 */
export function holesDrilled(
  runs: readonly {
    readonly run: Pick<Run, 'piece' | 'divisions'> & { readonly rounds: readonly unknown[] };
    readonly summary: Pick<RunSummary, 'next' | 'closed' | 'ended'>;
  }[],
): number {
  const drilled = runs.map(({ run, summary: { next, closed, ended } }) => {
    if (run.piece.kind === 'proof' || ended?.how === 'scrapped' || closed?.fits === false) return 0;
    if (!next) return run.divisions;
    return next.round === run.rounds.length ? next.index - 1 : 0;
  });
  return Math.max(0, ...drilled);
}
