import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Input, Modal } from 'antd';
import { useDeferredValue, useId, useMemo, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { Job } from '../../core/job/index.ts';
import { plan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { useDraft } from '../edits/index.ts';
import { api, keys, useShop } from '../state/index.ts';
import { placesFor, stationPlaces, type GoPlace } from './places.ts';
import './goTo.css';

const JOBS = 6;

/** A card that cannot be planned says so itself; here it only has no stations. */
function stationsOf(job: Job, shop: Equipment): readonly GoPlace[] {
  try {
    return stationPlaces(job, plan(job, shop));
  } catch {
    return [];
  }
}

/** One field that leads anywhere: a few letters of a job, station, page or thing of the shop, or a count. */
export function GoTo({ onClose }: { readonly onClose: () => void }) {
  const id = useId();
  const navigate = useNavigate();
  const open = useDraft((draft) => draft.job);
  const shop = useShop();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const words = useDeferredValue(typed.trim());
  const found = useQuery({
    queryKey: [...keys.jobs({ words, order: 'changed' }), JOBS],
    queryFn: () => api.listJobs({ words, limit: JOBS }),
    enabled: words !== '',
    placeholderData: keepPreviousData,
    staleTime: 5000,
  });
  const jobs: readonly GoPlace[] =
    words === ''
      ? []
      : (found.data?.jobs ?? []).map((job) => ({ to: `/jobs/${job.id}`, name: job.name, what: job.line }));
  const equipment = shop.data?.equipment ?? null;
  const stations = useMemo(() => (open && equipment ? stationsOf(open, equipment) : []), [open, equipment]);
  const places = placesFor(typed, { stations, shop: equipment, jobs });
  const lit = Math.min(at, places.length - 1);
  const go = (place: GoPlace | undefined) => {
    if (!place) return;
    onClose();
    void navigate(place.to);
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'Enter') go(places[lit]);
    else if (event.key === 'ArrowDown') setAt(Math.min(lit + 1, places.length - 1));
    else if (event.key === 'ArrowUp') setAt(Math.max(lit - 1, 0));
    else return;
    event.preventDefault();
  };
  return (
    <Modal
      open
      footer={null}
      closable={false}
      onCancel={onClose}
      title="Go to"
      width={560}
      style={{ top: 60 }}
    >
      <Input
        size="large"
        autoFocus
        value={typed}
        maxLength={120}
        placeholder="a job, a station, a cutter, a count…"
        onChange={({ target }) => {
          setTyped(target.value);
          setAt(0);
        }}
        onKeyDown={onKey}
        role="combobox"
        aria-label="Go to"
        aria-expanded
        aria-controls={`${id}-places`}
        aria-activedescendant={lit >= 0 ? `${id}-${lit}` : undefined}
        autoComplete="off"
      />
      <ul className="go-places" id={`${id}-places`} role="listbox" aria-label="Places">
        {places.map((place, i) => (
          <li
            key={`${place.to} ${place.name}`}
            id={`${id}-${i}`}
            role="option"
            aria-selected={i === lit}
            onClick={() => go(place)}
          >
            <span>{place.name}</span> <small>{place.what}</small>
          </li>
        ))}
      </ul>
      {places.length === 0 && (
        <p className="soft">{found.isFetching ? '…' : 'Nothing is called that. Fewer letters find more.'}</p>
      )}
    </Modal>
  );
}
