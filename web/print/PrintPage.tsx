import { useQuery } from '@tanstack/react-query';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { plan } from '../../core/plan/index.ts';
import { routeSheet, type SheetSet } from '../../core/sheet/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { plural } from '../../core/units/index.ts';
import { dayText, Notice, useTitle } from '../frame/index.ts';
import { api, keys, useShop } from '../state/index.ts';
import { Files } from './Files.tsx';
import { SheetView } from './SheetView.tsx';
import './print.css';

type Paper = 'A4' | 'letter';

/** More than a person takes to the machine. */
const MOST_PRINTED = 60;

/** The jobs that are printed: the one of the address, or those that were marked on the bench. */
function usePrinted(): readonly string[] {
  const { jobId } = useParams();
  const [query] = useSearchParams();
  const marked = (query.get('jobs') ?? '').split(',').filter(Boolean);
  return jobId ? [jobId] : [...new Set(marked)].slice(0, MOST_PRINTED);
}

/** Jobs on paper: the route sheet of each part, to be printed from here or had as a PDF, and its files. */
export function PrintPage() {
  const ids = usePrinted();
  const [sheet, setSheet] = useState<Paper>('A4');
  const shop = useShop();
  const [only] = ids.length === 1 ? ids : [];
  const alone = useQuery({
    queryKey: keys.job(only ?? ''),
    queryFn: () => api.readJob(only!),
    enabled: only !== undefined,
  });
  // a file that the browser prints to is called so
  const named = alone.data?.job.name ?? (only ? '' : plural(ids.length, 'card'));
  useTitle(named && `${named}, printed`);
  return (
    <main className="print">
      <style>{`@page { size: ${sheet}; margin: 14mm; }`}</style>
      <nav className="print-tools">
        <Link to={only ? `/jobs/${only}` : '/'}>{only ? '← Back to the card' : '← Back to the bench'}</Link>
        <Segmented<Paper>
          aria-label="Paper"
          value={sheet}
          onChange={setSheet}
          options={[
            { value: 'A4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
        />
        <Button size="large" onClick={() => window.print()}>
          Print this page
        </Button>
      </nav>
      {ids.map((id) =>
        shop.data ? (
          <PrintedJob
            key={id}
            jobId={id}
            equipment={shop.data.equipment}
            paper={sheet}
            withFiles={only !== undefined}
          />
        ) : (
          <p key={id} className="page-say">
            Opening the card…
          </p>
        ),
      )}
    </main>
  );
}

/** What the server makes of a job that is stored, and the same sheet in the page. */
function PrintedJob({
  jobId,
  equipment,
  paper,
  withFiles,
}: {
  readonly jobId: string;
  readonly equipment: Equipment;
  readonly paper: Paper;
  /** One job alone has its files beside it. */
  readonly withFiles: boolean;
}) {
  const [set, setSet] = useState<SheetSet>({ working: false, spaces: false });
  const stored = useQuery({
    queryKey: keys.job(jobId),
    queryFn: () => api.readJob(jobId),
    refetchOnMount: 'always',
  });
  const job = stored.data?.job;
  const planned = useMemo(() => (job ? plan(job, equipment) : null), [job, equipment]);
  if (stored.isError) return <Notice tone="wrong">{stored.error.message}</Notice>;
  if (!stored.data || !job || !planned) return <p className="page-say">Opening the card…</p>;
  const { revision, updatedAt } = stored.data;
  const asked = { job, planned, shop: equipment, revision, stored: dayText(updatedAt), address: null, set };
  const { parts, foot } = routeSheet(asked);
  return (
    <>
      {withFiles && (
        <Files job={job} planned={planned} shop={equipment} paper={paper} set={set} onSet={setSet} />
      )}
      <div className={`print-sheet is-${paper}`}>
        {parts.map((part) => (
          <SheetView key={part.partId} part={part} foot={foot} />
        ))}
      </div>
    </>
  );
}
