import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { lazy, Suspense, useState } from 'react';
import { plural } from '../../core/units/index.ts';
import type { JobListing } from '../../core/wire/index.ts';
import { Notice } from '../frame/index.ts';
import { api, queryClient } from '../state/index.ts';

const MarksDialog = lazy(() =>
  import('../marks/index.ts').then((module) => ({ default: module.MarksDialog })),
);

interface SeveralJobsProps {
  readonly jobs: readonly JobListing[];
  /** How many are in the list. */
  readonly listed: number;
  readonly archived: boolean;
  readonly onAll: () => void;
  readonly onEnd: () => void;
}

/** What can be done to several jobs at once; one that refuses holds none of the others up, and is told. */
export function SeveralJobs({ jobs, listed, archived, onAll, onEnd }: SeveralJobsProps) {
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<readonly string[]>([]);
  const [marking, setMarking] = useState(false);
  const each = async (work: (job: JobListing) => Promise<unknown>): Promise<boolean> => {
    setBusy(true);
    const told: string[] = [];
    // one after another: a store takes one writer at a time
    for (const job of jobs)
      await work(job).catch((error: unknown) => told.push(`${job.name}: ${(error as Error).message}`));
    setFailed(told);
    setBusy(false);
    await queryClient.invalidateQueries({ queryKey: ['jobs'] });
    return told.length === 0;
  };
  const putAway = async () => {
    if (await each(({ id, revision }) => api.changeJob(id, { revision, archived: !archived }))) onEnd();
  };
  const save = () => {
    for (const { id } of jobs) {
      const link = document.createElement('a');
      link.href = api.exportAddress(id);
      link.download = '';
      link.click();
    }
  };
  const print = () => void navigate(`/print?jobs=${jobs.map(({ id }) => id).join(',')}`);
  const none = jobs.length === 0 || busy;
  return (
    <section className="several" aria-label="Several at once">
      <strong>{plural(jobs.length, 'job')}</strong>
      <Button onClick={() => void putAway()} disabled={none} loading={busy}>
        {archived ? 'Take out again' : 'Put away'}
      </Button>
      <Button onClick={() => setMarking(true)} disabled={none}>
        Tags and person
      </Button>
      <Button onClick={save} disabled={none}>
        Export
      </Button>
      <Button onClick={print} disabled={none}>
        Print
      </Button>
      {jobs.length < listed && (
        <button type="button" className="plain-link" onClick={onAll}>
          All {listed} in sight
        </button>
      )}
      <button type="button" className="plain-link" onClick={onEnd}>
        Done
      </button>
      {failed.map((words) => (
        <Notice key={words} tone="wrong">
          {words}
        </Notice>
      ))}
      {marking && (
        <Suspense fallback={null}>
          <MarksDialog
            jobs={jobs}
            onSave={async (marksOf) => {
              setMarking(false);
              await each((job) => api.changeJob(job.id, { revision: job.revision, ...marksOf(job) }));
            }}
            onClose={() => setMarking(false)}
          />
        </Suspense>
      )}
    </section>
  );
}
