import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { logTable, outcomeOf, OUTCOMES, searchLog, type LogFilter } from '../../core/logbook/index.ts';
import { plural } from '../../core/units/index.ts';
import type { LogEntry } from '../../core/wire/index.ts';
import { dayText, Notice, saveTable, saveText, Shell, useTitle } from '../frame/index.ts';
import { useLog } from '../state/index.ts';
import { Backup } from './Backup.tsx';
import { Compare } from './Compare.tsx';
import { RunPage } from './RunPage.tsx';
import './log.css';

const ANY: LogFilter = { words: '', outcome: 'any', piece: 'any' };

/** The logbook: every run, searched and set side by side; what was learnt; the whole workshop as a file. */
export function LogPage() {
  const { runId } = useParams();
  const navigate = useNavigate();
  const log = useLog();
  const [filter, setFilter] = useState(ANY);
  const [beside, setBeside] = useState<string | null>(null);
  const all = log.data?.runs ?? [];
  const unread = log.data?.unread ?? [];
  const found = searchLog(all, filter);
  const chosen = all.find((entry) => entry.runId === runId) ?? null;
  useTitle(chosen ? `Logbook: ${chosen.digest.jobName}` : 'Logbook');
  const newest = all[0] ?? null;
  const other = all.find((entry) => entry.runId === beside) ?? null;
  const set = (change: Partial<LogFilter>) => setFilter((now) => ({ ...now, ...change }));
  return (
    <Shell>
      <main className="log">
        <section className="log-list" aria-label="Runs">
          <h1>Logbook</h1>
          <Input
            size="large"
            aria-label="Search the logbook"
            placeholder="Search: job, gear, head, note"
            value={filter.words}
            onChange={({ target }) => set({ words: target.value })}
            allowClear
          />
          <div className="log-filters">
            <Select
              aria-label="How it ended"
              value={filter.outcome}
              onChange={(outcome) => set({ outcome })}
              options={[
                { value: 'any', label: 'however it ended' },
                ...Object.entries(OUTCOMES).map(([value, label]) => ({
                  value: value as LogFilter['outcome'],
                  label,
                })),
              ]}
            />
            <Segmented<LogFilter['piece']>
              aria-label="Piece"
              value={filter.piece}
              onChange={(piece) => set({ piece })}
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
          {log.isSuccess && all.length === 0 && (
            <p className="soft">
              Nothing has been cut yet. Every run that is started at the mill is written here by itself.
            </p>
          )}
          {all.length > 0 && found.length === 0 && (
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
          <div className="log-out">
            <span className="soft">{plural(found.length, 'run')}:</span>
            <button
              type="button"
              className="plain-link"
              onClick={() => void saveTable('logbook.csv', logTable(found))}
              disabled={found.length === 0}
            >
              save as CSV
            </button>
            <button
              type="button"
              className="plain-link"
              onClick={() =>
                saveText('logbook.json', `${JSON.stringify(found, null, 2)}\n`, 'application/json')
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
          ) : chosen ? (
            <RunPage key={chosen.runId} runId={chosen.runId} />
          ) : (
            <>
              {runId && log.isSuccess && <Notice tone="wrong">There is no such run in this logbook.</Notice>}
              <p className="page-say">
                Choose a run to see its plan as it was cut, its times, notes and readings. What you learn from
                it is said again on the next card it concerns.
              </p>
              <Backup />
              {!runId && newest && (
                <>
                  <p className="log-last soft">The last run:</p>
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
