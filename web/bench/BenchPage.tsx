import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { JobListing } from '../../core/wire/index.ts';
import { Notice, Shell, useKeys, useTitle } from '../frame/index.ts';
import { ASIDE_PREFIX, DRAFT_PREFIX, keptUnder, useJobs } from '../state/index.ts';
import { ImportJob } from './ImportJob.tsx';
import { Interrupted } from './Interrupted.tsx';
import { PairingCode } from './PairingCode.tsx';
import { JobRow } from './JobRow.tsx';
import './bench.css';
import './doors.css';

const KeptCards = lazy(() => import('./KeptCards.tsx').then((module) => ({ default: module.KeptCards })));

/** A run that was begun and has not been closed. */
const unfinished = (job: JobListing): boolean =>
  job.run !== null && job.run.summary.closed === null && !job.run.summary.ended && job.run.summary.done > 0;

/** Home: what was interrupted, the jobs, and a way to start another. */
export function BenchPage() {
  useTitle('Bench');
  const [archived, setArchived] = useState(false);
  const jobs = useJobs(archived);
  const navigate = useNavigate();
  const list = jobs.data ?? [];
  // looked for once a visit; reading them takes all that reads a card, which the bench else does without
  const [keepsCards] = useState(() =>
    [DRAFT_PREFIX, ASIDE_PREFIX].some((prefix) => keptUnder(prefix).length > 0),
  );
  const interrupted = archived
    ? undefined
    : list.filter(unfinished).sort((a, b) => (a.run!.updatedAt < b.run!.updatedAt ? 1 : -1))[0];
  useKeys({
    n: () => void navigate('/jobs/new'),
    m: () => interrupted && void navigate(`/runs/${interrupted.run!.id}`),
  });
  return (
    <Shell>
      <main className="bench">
        <div className="bench-list">
          <div className="bench-title">
            <h1>{archived ? 'Put away' : 'On the bench'}</h1>
            <div className="bench-tools">
              <ImportJob />
              <Button
                type={interrupted ? 'default' : 'primary'}
                size="large"
                onClick={() => void navigate('/jobs/new')}
              >
                New job <kbd>N</kbd>
              </Button>
            </div>
          </div>
          {jobs.isError && (
            <Notice tone="wrong" actions={<Button onClick={() => void jobs.refetch()}>Ask again</Button>}>
              {jobs.error.message}
            </Notice>
          )}
          {jobs.isSuccess && list.length === 0 && <Empty archived={archived} />}
          {!archived && keepsCards && (
            <Suspense fallback={null}>
              <KeptCards />
            </Suspense>
          )}
          <ul className="job-list">
            {list.map((job) => (
              <JobRow key={job.id} job={job} />
            ))}
          </ul>
          <button type="button" className="plain-button" onClick={() => setArchived(!archived)}>
            {archived ? 'Back to the bench' : 'Show what was put away'}
          </button>
        </div>
        <aside className="bench-next on-dye">
          <PairingCode />
          {interrupted ? <Interrupted job={interrupted} /> : <NothingRunning />}
        </aside>
      </main>
    </Shell>
  );
}

function Empty({ archived }: { readonly archived: boolean }) {
  return archived ? (
    <p className="soft">Nothing has been put away.</p>
  ) : (
    <div className="bench-empty">
      <p>
        No jobs yet. With a drawing at hand, type pitch and teeth: the blank, the cutter’s number and the
        moves of the crank answer at once.
      </p>
      <p>
        <Link to="/jobs/new">Start the first job</Link>
      </p>
    </div>
  );
}

function NothingRunning() {
  return (
    <>
      <p className="bench-eyebrow">At the mill</p>
      <p className="bench-quiet">
        Nothing is being cut. Open a job and press M when the blank is on the mandrel.
      </p>
    </>
  );
}
