import type { PracticeBench } from './bench.ts';
import { spacesBelow, type FoundSpace, type Where } from './measure.ts';
import type { Work } from './work.ts';

/** The highest left between two cuts as deep as this, mm: of flats their corner, of a wheel its throat. */
function highest(bench: PracticeBench, { top }: Work, depth: number): number {
  if (bench.on === 'head' && bench.rim) return bench.rim.radii[1];
  if (bench.run.divides !== 'flat' || bench.on !== 'head' || bench.teeth < 3) return top;
  return Math.min(top, (top - depth) / Math.cos(Math.PI / bench.teeth));
}

/**
 * The cuts that reach so much of a depth, in order. @param depth mm @param share 0 … 1
 * @returns parts of a turn; along a bar mm
 */
export function cutsAsDeep(
  bench: PracticeBench,
  work: Work,
  {
    depth,
    share,
    where = 'middle',
  }: { readonly depth: number; readonly share: number; readonly where?: Where },
): readonly FoundSpace[] {
  const high = highest(bench, work, depth);
  return spacesBelow(work, high - share * (high - (work.top - depth)), where);
}

/** A scratch is no tooth space. */
const MORE_THAN_A_SCRATCH = 0.2;

/** How many of the cuts of a job are made. */
export const cutsMade = (bench: PracticeBench, work: Work): number =>
  cutsAsDeep(bench, work, {
    depth: bench.run.rounds.at(-1)?.depthMm ?? 0,
    share: MORE_THAN_A_SCRATCH,
  }).length;
