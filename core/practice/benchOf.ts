import type { Result } from '../findings/index.ts';
import type { PartPlan } from '../plan/index.ts';
import type { Run } from '../run/index.ts';
import type { PracticeBench } from './bench.ts';
import { headBench } from './headBench.ts';
import { tableBench } from './tableBench.ts';

/** Of rack cutters, degrees; the first is taken where nobody says. */
export const RACK_ANGLES = [20, 14.5] as const;

/**
 * The bench for a part that is ready to be cut: its head, or the table that divides.
 * @param rackAngleDeg of a rack’s cutter
 * Issues: practice-waits, with what is lacking; practice-other for work that is not handled here
 */
export const benchOf = (
  part: PartPlan,
  run: Run,
  { rackAngleDeg = RACK_ANGLES[0] }: { readonly rackAngleDeg?: number } = {},
): Result<PracticeBench> =>
  run.move.method === 'table' ? tableBench(part, run, rackAngleDeg) : headBench(part, run);
