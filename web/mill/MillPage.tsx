import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { foldRun, type Run } from '../../core/run/index.ts';
import { Notice, useTitle } from '../frame/index.ts';
import { AwayError, useRun } from '../state/index.ts';
import { Mill } from './Mill.tsx';
import { createRunLog, keepInTouch, keptRuns } from '../runLog/index.ts';
import './mill.css';
import './millBar.css';
import './millScreens.css';
import './millAsks.css';
import './millTodo.css';

/** One screen for the machine. */
export function MillPage() {
  const { runId = '' } = useParams();
  const stored = useRun(runId);
  // away when the page was opened: the run as this browser knows it
  const kept = useQuery({
    queryKey: ['kept-run', runId],
    queryFn: () => keptRuns().read(runId),
    enabled: stored.error instanceof AwayError,
  });
  const run = stored.data?.run ?? kept.data?.run;
  useTitle(run ? `At the mill: ${run.jobName}` : 'At the mill');
  if (run) return <MillOf key={runId} run={run} />;
  return (
    <main className="mill on-dye mill-wait">
      {stored.isError && !kept.isLoading ? (
        <Notice
          tone="wrong"
          actions={
            <>
              <Button onClick={() => void stored.refetch()}>Ask again</Button>
              <Link to="/">Back to the bench</Link>
            </>
          }
        >
          {stored.error.message}
        </Notice>
      ) : (
        <p>Fetching the run…</p>
      )}
    </main>
  );
}

function MillOf({ run }: { readonly run: Run }) {
  const log = useMemo(() => createRunLog(run), [run]);
  useEffect(() => keepInTouch(log), [log]);
  const { events, loaded, act, ...link } = log();
  const state = useMemo(() => foldRun(run, events), [run, events]);
  // until the server's events are here the count could be behind: nothing may be counted on it
  if (!loaded) {
    return (
      <main className="mill on-dye mill-wait">
        <p>
          {link.link === 'away'
            ? 'Vuelta’s server is not answering. What was counted is safe; the count appears when it answers.'
            : 'Fetching the count…'}
        </p>
      </main>
    );
  }
  return <Mill run={run} state={state} events={events} act={act} link={link} />;
}
