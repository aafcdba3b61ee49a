import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { NextPage, Notice, Shell, useKeys, useTitle } from '../frame/index.ts';
import { ASIDE_PREFIX, DRAFT_PREFIX, keptUnder, useJobs, useShop } from '../state/index.ts';
import { ImportJob } from './ImportJob.tsx';
import { Interrupted } from './Interrupted.tsx';
import { PairingCode } from './PairingCode.tsx';
import { JobRow } from './JobRow.tsx';
import { SeveralJobs } from './SeveralJobs.tsx';
import { useFilter } from './useFilter.ts';
import './bench.css';
import './find.css';
import './doors.css';

const KeptCards = lazy(() => import('./KeptCards.tsx').then((module) => ({ default: module.KeptCards })));

const FindJobs = lazy(() => import('./FindJobs.tsx').then((module) => ({ default: module.FindJobs })));

const FirstShop = lazy(() => import('./FirstShop.tsx').then((module) => ({ default: module.FirstShop })));

/** Fewer jobs than this are seen at a glance: there is nothing to look for them by. */
const AT_A_GLANCE = 8;

/** Home: what was interrupted, the jobs, and a way to start another. */
export function BenchPage() {
  useTitle('Bench');
  const { filter, set, isAny, clear } = useFilter();
  const archived = filter.archived === 'true';
  const jobs = useJobs(filter);
  const shop = useShop();
  // nobody has said anything of this shop yet
  const isNew = shop.data?.revision === 0;
  const navigate = useNavigate();
  const [first] = jobs.data?.pages ?? [];
  const list = jobs.data?.pages.flatMap((page) => page.jobs) ?? [];
  // several at once: the jobs that are ticked; null while one is dealt with at a time
  const [ticked, setTicked] = useState<readonly string[] | null>(null);
  // looked for once a visit; reading them takes all that reads a card, which the bench else does without
  const [keepsCards] = useState(() =>
    [DRAFT_PREFIX, ASIDE_PREFIX].some((prefix) => keptUnder(prefix).length > 0),
  );
  const interrupted = archived ? null : (first?.interrupted ?? null);
  useKeys({
    n: () => void navigate('/jobs/new'),
    m: () => interrupted && void navigate(`/runs/${interrupted.run!.id}`),
  });
  const tick = (id: string, on: boolean) =>
    setTicked((now) => (on ? [...(now ?? []), id] : (now ?? []).filter((other) => other !== id)));
  const finding = !isAny || list.length >= AT_A_GLANCE;
  return (
    <Shell>
      <main className="bench">
        <div className="bench-list">
          <div className="bench-title">
            <h1>{archived ? 'Put away' : 'On the bench'}</h1>
            <div className="bench-tools">
              <ImportJob />
              <Button
                // what was interrupted, or the shop that nobody has told of, comes first
                type={interrupted || (isNew && list.length === 0) ? 'default' : 'primary'}
                size="large"
                onClick={() => void navigate('/jobs/new')}
              >
                New job <kbd>N</kbd>
              </Button>
            </div>
          </div>
          {finding && (
            <Suspense fallback={<div className="find-jobs" />}>
              <FindJobs filter={filter} set={set} marks={first?.marks ?? null} />
            </Suspense>
          )}
          {jobs.isError && (
            <Notice tone="wrong" actions={<Button onClick={() => void jobs.refetch()}>Ask again</Button>}>
              {jobs.error.message}
            </Notice>
          )}
          {jobs.isSuccess &&
            list.length === 0 &&
            (isAny ? <Empty archived={archived} isNew={isNew} /> : <NoneFit clear={clear} />)}
          {!archived && keepsCards && (
            <Suspense fallback={null}>
              <KeptCards />
            </Suspense>
          )}
          {ticked && first && (
            <SeveralJobs
              jobs={list.filter(({ id }) => ticked.includes(id))}
              listed={list.length}
              archived={archived}
              onAll={() => setTicked(list.map(({ id }) => id))}
              onEnd={() => setTicked(null)}
            />
          )}
          <ul className="job-list">
            {list.map((job) => (
              <JobRow
                key={job.id}
                job={job}
                ticked={ticked ? ticked.includes(job.id) : null}
                onTick={tick}
                onTag={(tag) => set({ tag })}
              />
            ))}
          </ul>
          {jobs.hasNextPage && (
            <NextPage
              left={(first?.total ?? 0) - list.length}
              of="more job"
              busy={jobs.isFetchingNextPage}
              onAsk={() => void jobs.fetchNextPage()}
            />
          )}
          <p className="bench-foot">
            <button
              type="button"
              className="plain-button"
              onClick={() => {
                setTicked(null);
                clear({ archived: archived ? 'false' : 'true' });
              }}
            >
              {archived ? 'Back to the bench' : 'Show what was put away'}
            </button>
            {list.length > 1 && ticked === null && (
              <button type="button" className="plain-button" onClick={() => setTicked([])}>
                Several at once
              </button>
            )}
          </p>
        </div>
        <aside className="bench-next on-dye">
          <PairingCode />
          {interrupted ? <Interrupted job={interrupted} /> : <NothingRunning />}
        </aside>
      </main>
    </Shell>
  );
}

function NoneFit({ clear }: { readonly clear: () => void }) {
  return (
    <p className="soft">
      No job has all of that.{' '}
      <button type="button" className="plain-link" onClick={() => clear()}>
        Show every job
      </button>
    </p>
  );
}

function Empty({ archived, isNew }: { readonly archived: boolean; readonly isNew: boolean }) {
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
      {isNew && (
        <Suspense fallback={null}>
          <FirstShop />
        </Suspense>
      )}
    </div>
  );
}

function NothingRunning() {
  return (
    <>
      <p className="bench-eyebrow">At the mill</p>
      <p className="bench-quiet">
        Nothing is being cut. Open a job, and go to the mill when the blank is on the mandrel.
      </p>
    </>
  );
}
