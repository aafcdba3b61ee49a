import { useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { newDivideJob, newDriveJob, newSpurJob } from '../../core/job/index.ts';
import { PageWait } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { newId, usePreferences, useShop } from '../state/index.ts';

const ARRIVALS = ['drawing', 'sample', 'blank', 'shafts'] as const;

/** What is laid for each kind of job, and the station it begins at. */
const LAID = {
  gear: { name: 'New gear', first: 'gear', make: newSpurJob },
  divide: { name: 'New dividing', first: 'spacing', make: newDivideJob },
  worm: { name: 'New worm drive', first: 'drive', make: newDriveJob },
} as const;

/** Lays a fresh card on the bench and goes to it. Nothing is stored before something is typed. */
export function NewJobPage() {
  const { kind } = useParams();
  const shop = useShop();
  const units = usePreferences((preferences) => preferences.units);
  const open = useDraft((draft) => draft.open);
  const navigate = useNavigate();
  const made = useRef(false);
  useEffect(() => {
    if (made.current || !shop.data) return;
    made.current = true;
    const { name, first, make } = LAID[kind === 'divide' || kind === 'worm' ? kind : 'gear'];
    const by = ARRIVALS.find((arrival) => arrival === kind) ?? 'drawing';
    const job = make({ id: newId(), name, units, shop: shop.data.equipment }, by);
    open(job, 0);
    void navigate(`/jobs/${job.id}/${job.parts[0]!.id}/${first}`, { replace: true });
  }, [shop.data, units, open, navigate, kind]);
  return shop.isError ? <p className="page-say">{shop.error.message}</p> : <PageWait />;
}
