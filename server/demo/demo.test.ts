import { expect, test } from '@jest/globals';
import { jobSchema } from '../../core/job/index.ts';
import { plan, refusals, settleStation } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { otherSystem, type UnitSystem } from '../../core/units/index.ts';
import { demoShop } from './shop.ts';
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

test('a job that is settled in one system of units stands settled in the other', () => {
  const equipment = demoShop;
  const moved = demoJobs().flatMap(({ job }) => {
    const whole = job.parts.reduce((now, { id }) => {
      const { stations } = plan(now, equipment).parts.find((part) => part.id === id)!;
      return stations.reduce((changed, station) => settleStation(changed, id, station), now);
    }, job);
    const movedIn = (units: UnitSystem) =>
      plan({ ...whole, units }, equipment).parts.flatMap(({ stations }) =>
        stations.flatMap(({ id, moved: all }) =>
          all.map(({ label, from, to }) => `${job.id} ${id} ${label}: ${from} → ${to}`),
        ),
      );
    const before = new Set(movedIn(job.units).map((line) => line.split(':')[0]));
    return movedIn(otherSystem(job.units)).filter((line) => !before.has(line.split(':')[0]));
  });
  expect(moved).toEqual([]);
});
