import { useQueries } from '@tanstack/react-query';
import { Input } from 'antd';
import { useId, useMemo, useState } from 'react';
import { fewestCutters, rangeText, type PlannedGear } from '../../core/cutter/index.ts';
import type { Job } from '../../core/job/index.ts';
import { cutterNeedOf } from '../../core/plan/index.ts';
import type { FormCutter } from '../../core/shop/index.ts';
import { plural } from '../../core/units/index.ts';
import type { StoredJob } from '../../core/wire/index.ts';
import { api, keys, useEveryJob } from '../state/index.ts';

/** Every gear on the bench that a form cutter has to cut. */
function gearsOf(jobs: readonly Job[]): readonly PlannedGear[] {
  return jobs.flatMap((job) =>
    job.parts.flatMap((part) => {
      const need = cutterNeedOf(part, job.units);
      return need ? [{ name: part.name ? `${job.name}, ${part.name}` : job.name, need }] : [];
    }),
  );
}

/** The jobs that have come so far; the same list while none of them changes. */
const jobsIn = (stored: readonly { readonly data: StoredJob | undefined }[]): readonly Job[] =>
  stored.flatMap(({ data }) => (data ? [data.job] : []));

/** The fewest cutters to buy so that every gear on the bench can be cut. */
export function ToBuy({ owned }: { readonly owned: readonly FormCutter[] }) {
  const id = useId();
  const [typed, setTyped] = useState('0');
  const listed = useEveryJob();
  const jobs = useQueries({
    queries: (listed.data ?? []).map((job) => ({
      queryKey: keys.job(job.id),
      queryFn: () => api.readJob(job.id),
    })),
    combine: jobsIn,
  });
  const tolerance = /^\d{1,4}(\.\d+)?$/.test(typed.trim()) ? Number(typed) : null;
  const shopping = useMemo(
    () => fewestCutters(gearsOf(jobs), owned, tolerance ?? 0),
    [jobs, owned, tolerance],
  );
  const { buy, served, toGrind } = shopping;
  return (
    <section className="to-buy" aria-label="To buy for the jobs on the bench">
      <h3>To buy for the jobs on the bench</h3>
      <p className="to-buy-figure">{buy.length}</p>
      <p className="scribe-say">
        {buy.length === 1 ? 'cutter' : 'cutters'}, the fewest that do; {plural(served.length, 'gear')} served
        by yours.
      </p>
      <label htmlFor={id} className="scribe-say">
        Flank error put up with beyond the ranges, µm
      </label>
      <Input
        id={id}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        status={tolerance === null ? 'error' : ''}
        style={{ width: 110 }}
        autoComplete="off"
      />
      {tolerance === null && <p className="scribe-say">Write micrometres, like 20; 0 keeps to the ranges.</p>}
      <ul>
        {buy.map((one) => (
          <li key={`${one.pitch} ${one.angleDeg} ${one.inch}`}>
            <strong>
              {one.pitch}, {one.angleDeg}°: No. {one.inch} inch, No. {one.metric} metric
            </strong>
            <span>{rangeText(one)}</span>
            {one.serves.map(({ name, teeth, error }) => (
              <small key={`${name} ${teeth}`}>
                {name}: {teeth} teeth, {error.toFixed(0)} µm
              </small>
            ))}
          </li>
        ))}
        {toGrind.map(({ name, teeth }) => (
          <li key={`${name} ${teeth}`}>
            <strong>To grind: {teeth} teeth</strong>
            <small>{name}: no set goes below 12</small>
          </li>
        ))}
      </ul>
    </section>
  );
}
