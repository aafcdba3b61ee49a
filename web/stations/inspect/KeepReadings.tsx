import { dequal } from 'dequal';
import { useQueryClient } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { recordOf } from '../../../core/inspect/index.ts';
import type { RunListing } from '../../../core/wire/index.ts';
import { dayText } from '../../frame/index.ts';
import { writeInRun } from '../../runLog/index.ts';
import { keys, useLogPage, useRunsOf } from '../../state/index.ts';
import type { StationProps } from '../../panel/index.ts';

/**
 * The readings as they stand, written with the run of the piece they were taken on. The card's own are then
 * free for the next piece.
 */
export function KeepReadings({ station, job, part, units }: StationProps<'inspect'>) {
  const runs = useRunsOf(job.id, true).data?.filter(({ run }) => run.partId === part.id) ?? [];
  const [chosen, setChosen] = useState<string | null>(null);
  const record = recordOf(station.detail, units);
  // what was just cut is what is measured
  const runId = chosen ?? (runs.find(({ summary }) => summary.done > 0) ?? runs[0])?.run.id;
  if (!record || !runId) return null;
  return (
    <section className="said keep-readings" aria-label="Readings in the logbook">
      {runs.length > 1 && (
        <Select
          aria-label="Measured on the piece of"
          value={runId}
          onChange={setChosen}
          options={runs.map((stored) => ({ value: stored.run.id, label: pieceText(stored) }))}
        />
      )}
      <Written key={runId} runId={runId} record={record} />
    </section>
  );
}

const pieceText = ({ run, startedAt, summary }: RunListing): string =>
  [
    run.piece.kind === 'proof' ? 'proof piece' : '',
    run.piece.name,
    `begun ${dayText(startedAt)}`,
    `${summary.done} of ${summary.total}`,
  ]
    .filter(Boolean)
    .join(', ');

interface WrittenProps {
  readonly runId: string;
  readonly record: NonNullable<ReturnType<typeof recordOf>>;
}

function Written({ runId, record }: WrittenProps) {
  const page = useLogPage(runId);
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const last = page.data?.digest.measured.at(-1);
  const isThere =
    last !== undefined && dequal([last.readings, last.verdict], [record.readings, record.verdict]);
  const write = async () => {
    setBusy(true);
    setFailed(null);
    try {
      await writeInRun(runId, { kind: 'measured', ...record });
      await client.invalidateQueries({ queryKey: keys.logPage(runId) });
    } catch (error) {
      setFailed((error as Error).message);
    }
    setBusy(false);
  };
  return (
    <>
      {isThere ? (
        <p>
          ✓ These readings are in the logbook, written {dayText(last.at)}.{' '}
          <Link to={`/log/${runId}`}>See its page</Link>
        </p>
      ) : (
        <Button onClick={() => void write()} loading={busy} disabled={!page.data}>
          Write these readings in the logbook
        </Button>
      )}
      {failed && (
        <p className="field-issue is-wrong">
          ✕ {failed} The readings stand on the card; write them down once more.
        </p>
      )}
    </>
  );
}
