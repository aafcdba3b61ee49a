import { expect, test } from '@jest/globals';
import { jobSchema } from '../../core/job/index.ts';
import { plan, refusals } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { demoJobs } from './workshop.ts';

test('every job of the demo workshop is sound, and shows a different moment of the work', () => {
  const jobs = demoJobs();
  for (const { job, run } of jobs) {
    expect(jobSchema.safeParse(job).success).toBe(true);
    const planned = plan(job, STOCK_EQUIPMENT);
    expect(refusals(planned)).toEqual([]);
    if (run) expect(planned.parts[0]!.cutting).not.toBeNull();
  }
  const states = jobs.flatMap(({ job }) =>
    plan(job, STOCK_EQUIPMENT).parts[0]!.stations.map(({ state }) => state),
  );
  expect(new Set(states)).toEqual(new Set(['open', 'settled', 'doubt']));
  const runs = jobs.map(({ run }) => run && (run.closed ? 'closed' : run.paused ? 'paused' : 'cutting'));
  expect(new Set(runs)).toEqual(new Set(['closed', 'paused', 'cutting', null]));
});
