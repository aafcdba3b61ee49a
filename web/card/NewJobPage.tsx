import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { newSpurJob } from '../../core/job/index.ts';
import { newId } from '../frame/index.ts';
import { PageWait } from '../frame/PageStates.tsx';
import { usePreferences, useShop } from '../state/index.ts';
import { useDraft } from './draft.ts';

/** Lays a fresh card on the bench and goes to it. Nothing is stored before something is typed. */
export function NewJobPage() {
  const shop = useShop();
  const units = usePreferences((preferences) => preferences.units);
  const open = useDraft((draft) => draft.open);
  const navigate = useNavigate();
  const made = useRef(false);
  useEffect(() => {
    if (made.current || !shop.data) return;
    made.current = true;
    const job = newSpurJob({
      id: newId(),
      name: 'New gear',
      units,
      shop: shop.data.equipment,
    });
    open(job, 0);
    void navigate(`/jobs/${job.id}/${job.parts[0]!.id}/gear`, { replace: true });
  }, [shop.data, units, open, navigate]);
  return shop.isError ? <p className="page-say">{shop.error.message}</p> : <PageWait />;
}
