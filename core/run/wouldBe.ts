import type { Job } from '../job/index.ts';
import type { PartPlan, Plan } from '../plan/index.ts';
import { freezeRun } from './freeze.ts';
import type { Run } from './schema.ts';
import type { Equipment } from '../shop/index.ts';

/** What a run is frozen from. */
interface Ready {
  readonly job: Job;
  readonly planned: Plan;
  readonly shop: Equipment;
  readonly revision: number;
}

/** The run that would be frozen of a part now; null while something it needs is missing. */
export function runWouldBe({ job, planned, shop, revision }: Ready, part: PartPlan): Run | null {
  if (!part.cutting) return null;
  const start = { runId: 'would-be', jobRevision: Math.max(1, revision), partId: part.id };
  const run = freezeRun({ job, planned, shop, start });
  return run.ok ? run.value : null;
}
