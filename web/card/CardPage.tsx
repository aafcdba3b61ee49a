import { Button } from 'antd';
import { useEffect, useMemo } from 'react';
import { replaceEqualDeep, useQuery } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import type { Job } from '../../core/job/index.ts';
import { plan, type Plan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { STATION_IDS, type StationId } from '../../core/station/index.ts';
import { otherSystem } from '../../core/units/index.ts';
import { Notice, Shell, useKeys, useTitle } from '../frame/index.ts';
import { keptDraft, useDraft } from '../edits/index.ts';
import { api, keys, usePreferences, useShop } from '../state/index.ts';
import { CannotPlan } from './CannotPlan.tsx';
import { Card } from './Card.tsx';
import './card.css';
import './caution.css';
import './work.css';
import './phone.css';

const isStation = (id: string | undefined): id is StationId => STATION_IDS.includes(id as StationId);

/** A job's route card. The job is opened into the draft once; from there the draft is what is shown. */
export function CardPage() {
  const { jobId = '', partId, stationId } = useParams();
  const opened = useDraft(({ job }) => job?.id === jobId);
  const isNew = useDraft(({ job, revision }) => job?.id === jobId && revision === 0);
  const name = useDraft(({ job }) => (job?.id === jobId ? job.name : ''));
  const open = useDraft((draft) => draft.open);
  const revision = useDraft((draft) => draft.revision);
  const saved = useDraft(({ save }) => save.kind === 'stored');
  const shop = useShop();
  const stored = useQuery({
    queryKey: keys.job(jobId),
    queryFn: () => api.readJob(jobId),
    enabled: !isNew,
    refetchOnMount: 'always',
    staleTime: 0,
  });

  useTitle(name);
  const freshData = stored.isFetchedAfterMount ? stored.data : undefined;
  useEffect(() => {
    // changed on another screen while nothing here was waiting to be stored
    const overtaken = opened && saved && freshData !== undefined && freshData.revision > revision;
    if (freshData && (!opened || overtaken)) open(freshData.job, freshData.revision);
    else if (!opened && stored.isError) {
      // a new job whose page was closed before its first save
      const kept = keptDraft(jobId);
      if (kept?.revision === 0) open(kept.job, 0);
    }
  }, [opened, saved, revision, freshData, stored.isError, open, jobId]);
  useEffect(() => () => void useDraft.getState().flush(), [jobId]);

  if (stored.isError && !opened) {
    return (
      <Shell>
        <main className="page-say">
          <Notice tone="wrong" actions={<Button onClick={() => void stored.refetch()}>Ask again</Button>}>
            {stored.error.message}
          </Notice>
        </main>
      </Shell>
    );
  }
  if (!opened || !shop.data) {
    return (
      <Shell>
        <p className="page-say">Opening the card…</p>
      </Shell>
    );
  }
  return (
    <OpenCard
      partId={partId}
      stationId={isStation(stationId) ? stationId : 'gear'}
      kept={stored.data?.kept ?? []}
    />
  );
}

function OpenCard({
  partId,
  stationId,
  kept,
}: {
  readonly partId: string | undefined;
  readonly stationId: StationId;
  readonly kept: readonly { id: string; at: string }[];
}) {
  const job = useDraft((draft) => draft.job);
  const shop = useShop();
  const equipment = shop.data!.equipment;
  const planned = useMemo(() => planOrFault(job!, equipment), [job, equipment]);
  if (!planned) return <CannotPlan job={job!} />;
  return <PlannedCard planned={planned} partId={partId} stationId={stationId} kept={kept} />;
}

/** The plan on the screen. What says the same in the next one stays the same object: it is not drawn anew. */
let shown: Plan | null = null;

/** A fault of the plan never takes the page: what was typed can be left, or saved as a file. */
function planOrFault(job: Job, equipment: Equipment): Plan | null {
  try {
    shown = replaceEqualDeep(shown, plan(job, equipment));
    return shown;
  } catch (error) {
    console.warn(error);
    return null;
  }
}

function PlannedCard({
  planned,
  partId,
  stationId,
  kept,
}: {
  readonly planned: Plan;
  readonly partId: string | undefined;
  readonly stationId: StationId;
  readonly kept: readonly { id: string; at: string }[];
}) {
  const job = useDraft((draft) => draft.job);
  const edit = useDraft((draft) => draft.edit);
  const shop = useShop();
  const setUnits = usePreferences((preferences) => preferences.setUnits);
  const swapWorking = usePreferences((preferences) => preferences.swapWorking);
  const navigate = useNavigate();
  const equipment = shop.data!.equipment;
  const part = planned.parts.find(({ id }) => id === partId) ?? planned.parts[0]!;
  const goTo = (id: StationId) => void navigate(`/jobs/${job!.id}/${part.id}/${id}`, { replace: true });
  const swapUnits = () => {
    const units = otherSystem(job!.units);
    setUnits(units);
    edit((now) => ({ ...now, units }));
  };
  useKeys({
    u: swapUnits,
    w: swapWorking,
    ...Object.fromEntries(part.stations.map(({ number, id }) => [String(number), () => goTo(id)])),
  });
  return (
    <Shell
      here="Job"
      tools={
        <button type="button" className="plain-button" onClick={swapUnits}>
          {job!.units === 'mm' ? 'mm first' : 'inches first'} <kbd>U</kbd>
        </button>
      }
    >
      <Card
        job={job!}
        planned={planned}
        part={part}
        equipment={equipment}
        stationId={stationId}
        kept={kept}
        goTo={goTo}
      />
    </Shell>
  );
}
