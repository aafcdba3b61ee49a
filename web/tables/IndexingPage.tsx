import { useQuery } from '@tanstack/react-query';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  aimFrom,
  indexingTable,
  landingGround,
  landingText,
  lineAim,
  smallAngleText,
  type IndexingRow,
  type Way,
} from '../../core/dividing/index.ts';
import type { Job } from '../../core/job/index.ts';
import { plan, stationOf, type PartPlan } from '../../core/plan/index.ts';
import { foldRun } from '../../core/run/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { placeOnCircle } from '../../core/spacing/index.ts';
import { decimalText, dmsText, exact } from '../../core/units/index.ts';
import { keptDraft } from '../edits/index.ts';
import { Notice, saveTable, Shell, useTitle } from '../frame/index.ts';
import { api, keys, useRun, useRunsOf, useShop } from '../state/index.ts';
import './tables.css';

/** Columns of figures: the space, the turns, and the readout’s. */
const isNumber = (column: number): boolean => column === 0 || column === 3 || column > 6;

type Filter = 'all' | 'left' | 'tenth';

/**
 * The table of the whole job: every space, how it is come to, and which are done. To read on a screen or to
 * print.
 */
export function IndexingPage() {
  const { jobId = '', partId = '' } = useParams();
  const shop = useShop();
  const stored = useQuery({ queryKey: keys.job(jobId), queryFn: () => api.readJob(jobId) });
  // a card that is not stored yet is in this browser
  const job = keptDraft(jobId)?.job ?? stored.data?.job;
  useTitle(job ? `${job.name}, every move` : '');
  return (
    <Shell here="Table">
      {job && shop.data ? (
        <Table job={job} partId={partId} shop={shop.data.equipment} stored={stored.data !== undefined} />
      ) : (
        <p className="page-say">{stored.error?.message ?? 'Opening…'}</p>
      )}
    </Shell>
  );
}

interface TableProps {
  readonly job: Job;
  readonly partId: string;
  readonly shop: Equipment;
  readonly stored: boolean;
}

function Table({ job, partId, shop, stored }: TableProps) {
  const [filter, setFilter] = useState<Filter>('all');
  const planned = useMemo(() => plan(job, shop), [job, shop]);
  const part = planned.parts.find(({ id }) => id === partId) ?? planned.parts[0]!;
  const detail = stationOf(part, 'dividing')!.detail;
  const way = detail.inForce;
  const cuts = useCuts(job.id, part.id, stored);
  const isLeft = ({ space }: IndexingRow) => (cuts.done.get(space) ?? 0) < cuts.rounds;
  const rows = way ? rowsOf(way, part) : [];
  if (!way) {
    return (
      <main className="page-say">
        <Notice tone="query">
          No way of dividing is in force yet.{' '}
          <Link to={`/jobs/${job.id}/${part.id}/dividing`}>Choose one</Link>.
        </Notice>
      </main>
    );
  }
  const shown = rows.filter((row) =>
    filter === 'all' ? true : filter === 'left' ? isLeft(row) : row.space === 1 || row.space % 10 === 0,
  );
  const round = stationOf(part, 'spacing')?.detail.drawing;
  const circle = round?.along === 'turn' ? round.diameter : null;
  // a motor’s or a table’s has no crank to count
  const cranked = rows.some(({ crankTurns }) => crankTurns !== null);
  const cells = shown.map((row) => [
    ...cellsOf({ row, way, ratio: detail.head?.ratio ?? '1', cuts, cranked }),
    ...(circle === null ? [] : readoutOf(row, circle)),
  ]);
  const heading = [...headingOf(way, cranked), ...(circle === null ? [] : ['X mm', 'Y mm'])];
  return (
    <main className="indexing">
      <header className="indexing-head">
        <div>
          <h1>{job.name}</h1>
          <p className="soft">
            {part.stations[0]!.answer}; {way.words}; {detail.head?.name ?? detail.mill?.name}
          </p>
        </div>
        <div className="indexing-tools">
          <Segmented
            aria-label="Rows shown"
            value={filter}
            onChange={(value) => setFilter(value as Filter)}
            options={[
              { value: 'all', label: `All ${rows.length}` },
              { value: 'left', label: `Not cut yet, ${rows.filter(isLeft).length}` },
              { value: 'tenth', label: '1 and every tenth' },
            ]}
          />
          <Button onClick={() => window.print()}>Print</Button>
          <Button onClick={() => void saveTable('moves.csv', [heading, ...cells])}>Save as CSV</Button>
          <Link className="plain-link" to={`/jobs/${job.id}/${part.id}/dividing`}>
            Back to the card
          </Link>
        </div>
      </header>
      <div className="indexing-sheet" tabIndex={0} role="region" aria-label="Every move">
        <table className="list">
          <thead>
            <tr>
              {heading.map((name, i) => (
                <th key={name} scope="col" className={isNumber(i) ? 'num' : ''}>
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {cells.map((row, i) => (
              <tr
                key={shown[i]!.index}
                className={shown[i]!.space % 10 === 0 || shown[i]!.space === 1 ? 'is-tenth' : ''}
              >
                {row.map((cell, k) => (
                  <td key={heading[k]} className={isNumber(k) ? 'num' : ''}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        {shown.length === 0 && <p className="said">All of them are cut.</p>}
      </div>
    </main>
  );
}

/** For a readout zeroed at the centre of the circle: the first straight up, then clockwise. */
function readoutOf(row: IndexingRow, circle: number): readonly string[] {
  const { x, y } = placeOnCircle(exact(row.place), circle);
  return [x.toFixed(3), y.toFixed(3)];
}

/** How often each space has been cut in the newest run of the part, and how often it is to be. */
interface Cuts {
  readonly done: ReadonlyMap<number, number>;
  readonly rounds: number;
}

function useCuts(jobId: string, partId: string, stored: boolean): Cuts {
  const runs = useRunsOf(jobId, stored);
  const { id } = runs.data?.find(({ run }) => run.partId === partId)?.run ?? {};
  const newest = useRun(id ?? null).data?.run;
  const page = useQuery({
    queryKey: ['events', id],
    queryFn: () => api.readEvents(id!, 0),
    enabled: id !== undefined,
    refetchOnMount: 'always',
  });
  return useMemo(() => {
    const done = new Map<number, number>();
    if (!newest || !page.data) return { done, rounds: 1 };
    for (const [i, isDone] of foldRun(newest, page.data.events).doneCuts.entries()) {
      const { space } = newest.cuts[i]!;
      if (isDone) done.set(space, (done.get(space) ?? 0) + 1);
    }
    return { done, rounds: newest.rounds.length };
  }, [newest, page.data]);
}

function cutText({ done, rounds }: Cuts, space: number): string {
  const times = done.get(space) ?? 0;
  if (times === 0) return '';
  return times >= rounds ? '✓' : `${times} of ${rounds}`;
}

function rowsOf(way: Way, part: PartPlan): IndexingRow[] {
  const { aim, line, head } = stationOf(part, 'dividing')!.detail;
  const start = part.cutting?.startSpace ?? 1;
  if (aim)
    return indexingTable({ ratio: exact(head?.ratio ?? '1'), choice: way.choice, aim: aimFrom(aim), start });
  return line
    ? indexingTable({
        ratio: exact(1),
        choice: way.choice,
        aim: lineAim(line.spaces, exact(way.choice.advance)),
      })
    : [];
}

function headingOf({ choice }: Way, cranked: boolean): readonly string[] {
  const place = choice.method === 'table' ? 'mm from the first' : 'angle from the first';
  const lands =
    choice.method === 'stepper'
      ? 'steps'
      : choice.method === 'handwheel' || choice.method === 'table'
        ? 'reading'
        : 'hole';
  return ['no.', 'move', lands, ...(cranked ? ['turns of the crank'] : []), place, 'off by', 'cut'];
}

function landsIn({ landing }: IndexingRow, way: Way, ratio: string): string {
  switch (landing.on) {
    case 'plate':
    case 'ring':
      return String(landing.hole);
    case 'two-circles':
      return `${landing.hole} and ${landing.backHole}`;
    case 'dial':
      return landingText(landing, landingGround(way.choice, exact(ratio)));
    case 'steps':
      return String(landing.steps);
  }
}

function moveOf(row: IndexingRow, way: Way, ratio: string): string {
  if (row.index === 1) return 'start';
  if (row.landing.on === 'dial') return 'to the reading';
  if (row.landing.on === 'steps') return `+ ${row.landing.by}`;
  return landingText(row.landing, landingGround(way.choice, exact(ratio)));
}

function offText({ off }: IndexingRow, way: Way): string {
  if (Math.abs(off) < 1e-12) return '0';
  const sign = off < 0 ? '−' : '+';
  if (way.choice.method === 'table') return `${sign}${decimalText(Math.abs(off) * 1000, 1)} µm`;
  return `${sign}${smallAngleText(off)}`;
}

/** Whole turns and what is left over, as a person would count them. */
function turnsText(text: string | null): string {
  if (text === null) return '';
  const turns = exact(text);
  const whole = turns.floor();
  const rest = turns.sub(whole);
  if (rest.equals(0)) return String(whole.n);
  const part = rest.d <= 2000n ? `${rest.n}/${rest.d}` : decimalText(rest, 4).slice(1);
  return whole.equals(0) ? part : `${whole.n} ${part}`;
}

function cellsOf({
  row,
  way,
  ratio,
  cuts,
  cranked,
}: {
  readonly row: IndexingRow;
  readonly way: Way;
  readonly ratio: string;
  readonly cuts: Cuts;
  readonly cranked: boolean;
}): readonly string[] {
  const place = exact(row.place);
  return [
    String(row.space),
    moveOf(row, way, ratio),
    landsIn(row, way, ratio),
    ...(cranked ? [turnsText(row.crankTurns)] : []),
    way.choice.method === 'table' ? place.valueOf().toFixed(3) : dmsText(place),
    offText(row, way),
    cutText(cuts, row.space),
  ];
}
