import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { laidLike, newDivideJob, newDriveJob, newSpurJob } from '../../core/job/index.ts';
import { PageWait } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { api, newId, usePreferences, useShop } from '../state/index.ts';
import type { LaidState } from './LaidLike.tsx';

const ARRIVALS = ['drawing', 'sample', 'blank', 'shafts'] as const;

/** What is laid for each kind of job, the station it begins at, and the kind of part it is laid like. */
const LAID = {
  gear: { name: 'New gear', first: 'gear', like: 'spur', make: newSpurJob },
  divide: { name: 'New dividing', first: 'spacing', like: 'divide', make: newDivideJob },
  worm: { name: 'New worm drive', first: 'drive', like: 'wheel', make: newDriveJob },
} as const;

/**
 * Lays a fresh card on the bench, as the last job of its kind was laid, and goes to it. Nothing is stored
 * before something is typed.
 */
export function NewJobPage() {
  const { kind } = useParams();
  const shop = useShop();
  const units = usePreferences((preferences) => preferences.units);
  const open = useDraft((draft) => draft.open);
  const navigate = useNavigate();
  const made = useRef(false);
  const { name, first, like, make } = LAID[kind === 'divide' || kind === 'worm' ? kind : 'gear'];
  // who cannot be asked what was done before lays a plain card
  const last = useQuery({
    queryKey: ['last-job', like],
    queryFn: () => api.lastJob(like).catch(() => null),
    staleTime: 0,
    gcTime: 0,
  });
  useEffect(() => {
    if (made.current || !shop.data || last.data === undefined) return;
    made.current = true;
    const by = ARRIVALS.find((arrival) => arrival === kind) ?? 'drawing';
    const { equipment } = shop.data;
    const plain = make({ id: newId(), name, units, shop: equipment }, by);
    const { job, kept } = last.data ? laidLike(plain, last.data, equipment) : { job: plain, kept: [] };
    open(job, 0);
    const state: LaidState | null =
      kept.length > 0 && last.data ? { laid: { like: last.data.name, kept, plain } } : null;
    void navigate(`/jobs/${job.id}/${job.parts[0]!.id}/${first}`, { replace: true, state });
  }, [shop.data, last.data, units, open, navigate, kind, make, name, first]);
  return shop.isError ? <p className="page-say">{shop.error.message}</p> : <PageWait />;
}
