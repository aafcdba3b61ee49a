import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { sayIssue } from '../../core/messages/index.ts';
import { fail, type Result } from '../../core/findings/index.ts';
import { plan, stationOf } from '../../core/plan/index.ts';
import {
  benchOf,
  inspectedJob,
  RACK_ANGLES,
  type Drawer,
  type PracticeBench,
  type Readings,
} from '../../core/practice/index.ts';
import { runWouldBe } from '../../core/run/index.ts';
import type { Job } from '../../core/job/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { Notice, useTitle } from '../frame/index.ts';
import { api, keys, useShop } from '../state/index.ts';
import type { Inspected } from './Measured.tsx';
import { Practice } from './Practice.tsx';
import './practice.css';
import './handles.css';
import './setting.css';
import './projected.css';

/** The bench for a part of a stored job, or why there is none. */
function benchFor(
  { job, revision }: { readonly job: Job; readonly revision: number },
  shop: Equipment,
  { partId, rackAngleDeg }: { readonly partId: string; readonly rackAngleDeg: number },
): Result<PracticeBench> {
  const planned = plan(job, shop);
  const part = planned.parts.find(({ id }) => id === partId);
  const run = part && runWouldBe({ job, planned, shop, revision }, part);
  if (!part || !run)
    return fail({
      code: 'practice-waits',
      path: '',
      severity: 'wrong',
      given: 'a card that is ready to be cut',
    });
  return benchOf(part, run, { rackAngleDeg });
}

/** Where this bench’s change gears come out of. */
function drawerOf(bench: PracticeBench, shop: { readonly equipment: Equipment } | undefined): Drawer | null {
  const setId = bench.on === 'head' ? bench.gearing?.setId : null;
  return shop?.equipment.gearSets.find(({ id }) => id === setId)?.gears ?? null;
}

/** A job rehearsed: its own head, cutter and blank as things to handle. */
export function PracticePage() {
  const { jobId = '', partId = 'p1' } = useParams();
  const [params] = useSearchParams();
  // no card of a rack asks for it
  const rackAngleDeg = RACK_ANGLES.find((each) => String(each) === params.get('angle')) ?? RACK_ANGLES[0];
  const shop = useShop();
  const stored = useQuery({
    queryKey: keys.job(jobId),
    queryFn: () => api.readJob(jobId),
    refetchOnMount: 'always',
  });
  const bench = useMemo(
    () =>
      stored.data && shop.data ? benchFor(stored.data, shop.data.equipment, { partId, rackAngleDeg }) : null,
    [stored.data, shop.data, partId, rackAngleDeg],
  );
  const inspect = useCallback(
    (readings: Readings): Inspected | null => {
      if (!stored.data || !shop.data) return null;
      const job = inspectedJob(stored.data.job, partId, readings);
      const part = plan(job, shop.data.equipment).parts.find(({ id }) => id === partId);
      return (part && stationOf(part, 'inspect')) ?? null;
    },
    [stored.data, shop.data, partId],
  );
  const name = stored.data?.job.name ?? '';
  useTitle(name && `Practice bench: ${name}`);
  const card = `/jobs/${jobId}/${partId}`;
  if (bench?.ok)
    return (
      <Practice
        key={`${card} ${bench.value.run.jobRevision} ${rackAngleDeg}`}
        bench={bench.value}
        name={name}
        card={card}
        inspect={inspect}
        drawer={drawerOf(bench.value, shop.data)}
      />
    );
  const why = stored.error ?? shop.error;
  return (
    <main className="practice-wait on-dye">
      <h1>Practice bench</h1>
      {bench || why ? (
        <Notice tone="wrong" actions={<Link to={card}>Back to the card</Link>}>
          {bench && !bench.ok ? bench.issues.map((issue) => sayIssue(issue)).join(' ') : why?.message}
        </Notice>
      ) : (
        <p>Setting the bench up…</p>
      )}
    </main>
  );
}
