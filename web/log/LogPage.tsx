import { Button, Input, Segmented, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { logTable } from '../../core/logbook/index.ts';
import { outcomeOf, OUTCOMES, type Outcome } from '../../core/run/index.ts';
import { plural } from '../../core/units/index.ts';
import type { LogEntry } from '../../core/wire/index.ts';
import { dayText, NextPage, Notice, saveTable, saveText, Shell, useTitle } from '../frame/index.ts';
import { api, useLog, useLogPage, type LogFilter } from '../state/index.ts';
import { Backup } from './Backup.tsx';
import { Compare } from './Compare.tsx';
import { RunPage } from './RunPage.tsx';
import './log.css';

const ANY: LogFilter = { words: '' };

/** The logbook: every run, searched and set side by side; what was learnt; the whole workshop as a file. */
export function LogPage() {
  const { runId } = useParams();
  const navigate = useNavigate();
  const [filter, setFilter] = useState(ANY);
  const log = useLog(useDeferredValue(filter));
  const [beside, setBeside] = useState<string | null>(null);
  const [saveFault, setSaveFault] = useState<string | null>(null);
  const [first] = log.data?.pages ?? [];
  const found = log.data?.pages.flatMap(({ runs }) => runs) ?? [];
  const unread = first?.unread ?? [];
  const total = first?.total ?? 0;
  const isAny = filter.words === '' && !filter.outcome && !filter.piece;
  // whoever comes by an address, or has looked for something else since, still has the run open
  const page = useLogPage(runId ?? null);
  const chosen: LogEntry | null = found.find((entry) => entry.runId === runId) ?? page.data ?? null;
  useTitle(chosen ? `Logbook: ${chosen.digest.jobName}` : 'Logbook');
  const newest = found[0] ?? null;
  const other = found.find((entry) => entry.runId === beside) ?? null;
  const set = (change: LogFilter) => setFilter((now) => ({ ...now, ...change }));
  const save = (as: (runs: readonly LogEntry[]) => unknown) =>
    void api.everyRun(filter).then(
      (runs) => {
        setSaveFault(null);
        as(runs);
      },
      (fault: Error) => setSaveFault(fault.message),
    );
  return (
    <Shell>
      <main className="log">
        <section className="log-list" aria-label="Runs">
          <h1>Logbook</h1>
          <Input
            size="large"
            aria-label="Search the logbook"
            placeholder="Search: job, gear, head, note"
            value={filter.words ?? ''}
            onChange={({ target }) => set({ words: target.value })}
            allowClear
          />
          <div className="log-filters">
            <Select<Outcome | 'any'>
              aria-label="How it ended"
              value={filter.outcome ?? 'any'}
              onChange={(outcome) => set({ outcome: outcome === 'any' ? undefined : outcome })}
              options={[
                { value: 'any', label: 'however it ended' },
                ...Object.entries(OUTCOMES).map(([value, label]) => ({ value: value as Outcome, label })),
              ]}
            />
            <Segmented<'any' | 'work' | 'proof'>
              aria-label="Piece"
              value={filter.piece ?? 'any'}
              onChange={(piece) => set({ piece: piece === 'any' ? undefined : piece })}
              options={[
                { value: 'any', label: 'all' },
                { value: 'work', label: 'work' },
                { value: 'proof', label: 'proof' },
              ]}
            />
          </div>
          {log.isError && <Notice tone="wrong">{log.error.message}</Notice>}
          {unread.length > 0 && (
            <Notice tone="query" word={`${plural(unread.length, 'run')} cannot be read:`}>
              {unread.map(({ runId, why }) => `${runId} (${why})`).join(', ')}. They are kept as they are, and
              a backup takes them along.
            </Notice>
          )}
          {log.isSuccess && found.length === 0 && isAny && (
            <p className="soft">
              Nothing has been cut yet. Every run that is started at the mill is written here by itself.
            </p>
          )}
          {log.isSuccess && found.length === 0 && !isAny && (
            <p className="soft">
              Nothing in the logbook has all of that.{' '}
              <button type="button" className="plain-link" onClick={() => setFilter(ANY)}>
                Show everything
              </button>
            </p>
          )}
          <ul className="log-rows">
            {found.map((entry) => (
              <li key={entry.runId}>
                <button
                  type="button"
                  aria-current={entry.runId === runId}
                  onClick={() => void navigate(`/log/${entry.runId}`)}
                >
                  <b>{entry.digest.jobName}</b>
                  <span>{entry.digest.gear}</span>
                  <small>
                    {dayText(entry.startedAt)}, {saysOf(entry)}
                  </small>
                </button>
                {chosen && entry.runId !== runId && (
                  <Button
                    size="small"
                    onClick={() => setBeside(beside === entry.runId ? null : entry.runId)}
                    aria-pressed={beside === entry.runId}
                    aria-label={`Compare with ${entry.digest.jobName}, ${dayText(entry.startedAt)}`}
                  >
                    beside
                  </Button>
                )}
              </li>
            ))}
          </ul>
          {log.hasNextPage && (
            <NextPage
              left={total - found.length}
              of="more run"
              busy={log.isFetchingNextPage}
              onAsk={() => void log.fetchNextPage()}
            />
          )}
          {saveFault !== null && <Notice tone="wrong">{saveFault}</Notice>}
          <div className="log-out">
            <span className="soft">{plural(total, 'run')}:</span>
            <button
              type="button"
              className="plain-link"
              onClick={() => save((runs) => saveTable('logbook.csv', logTable(runs)))}
              disabled={found.length === 0}
            >
              save as CSV
            </button>
            <button
              type="button"
              className="plain-link"
              onClick={() =>
                save((runs) =>
                  saveText('logbook.json', `${JSON.stringify(runs, null, 2)}\n`, 'application/json'),
                )
              }
              disabled={found.length === 0}
            >
              save as JSON
            </button>
          </div>
        </section>
        <section className="log-page" aria-label="The run">
          {chosen && other && other !== chosen ? (
            <Compare a={chosen} b={other} onClose={() => setBeside(null)} />
          ) : runId && !page.isError ? (
            <RunPage key={runId} runId={runId} />
          ) : (
            <>
              {runId && page.isError && <Notice tone="wrong">{page.error.message}</Notice>}
              <p className="page-say">
                Choose a run to see its plan as it was cut, its times, notes and readings. What you learn from
                it is said again on the next card it concerns.
              </p>
              <Backup />
              {!runId && newest && (
                <>
                  <p className="log-last soft">{isAny ? 'The last run:' : 'The newest of these:'}</p>
                  <RunPage key={newest.runId} runId={newest.runId} />
                </>
              )}
            </>
          )}
        </section>
      </main>
    </Shell>
  );
}

function saysOf({ digest }: LogEntry): string {
  const outcome = outcomeOf(digest);
  const proof = digest.piece.kind === 'proof' ? 'proof piece, ' : '';
  const piece = digest.piece.name ? `${digest.piece.name}, ` : '';
  return `${proof}${piece}${outcome === 'going' ? `${digest.done} of ${digest.total}` : OUTCOMES[outcome]}`;
}
