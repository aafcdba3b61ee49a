import { Button, Segmented } from 'antd';
import { Fragment, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { wordsOfDivided } from '../../core/cut/index.ts';
import { useQuery } from '@tanstack/react-query';
import { promptSheet, type SheetStretch } from '../../core/prompts/index.ts';
import { freezeRun } from '../../core/run/index.ts';
import { plan, type AnyStationPlan, type PartPlan } from '../../core/plan/index.ts';
import {
  capital,
  bothUnitsText,
  decimalText,
  dmsText,
  exact,
  lengthText,
  plural,
  type UnitSystem,
} from '../../core/units/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { Value } from '../../core/station/index.ts';
import { dayText, Notice, useTitle } from '../frame/index.ts';
import { api, keys, useShop } from '../state/index.ts';
import { PrintedPictures } from '../pictures/index.ts';
import type { StoredJob } from '../../core/wire/index.ts';
import { Files } from './Files.tsx';
import './print.css';

type Sheet = 'A4' | 'letter';

/** More than a person takes to the machine. */
const MOST_PRINTED = 60;

/** The jobs that are printed: the one of the address, or those that were marked on the bench. */
function usePrinted(): readonly string[] {
  const { jobId } = useParams();
  const [query] = useSearchParams();
  const marked = (query.get('jobs') ?? '').split(',').filter(Boolean);
  return jobId ? [jobId] : [...new Set(marked)].slice(0, MOST_PRINTED);
}

/** Route cards on paper: every station with its figures and cautions, and a box for every space. */
export function PrintPage() {
  const ids = usePrinted();
  const [sheet, setSheet] = useState<Sheet>('A4');
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
        <Segmented<Sheet>
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
      {alone.data && shop.data && (
        <FilesOfStored stored={alone.data} shop={shop.data.equipment} paper={sheet} />
      )}
      <div className={`print-sheet is-${sheet}`}>
        {ids.map((id) =>
          shop.data ? (
            <PrintedJob key={id} jobId={id} equipment={shop.data.equipment} />
          ) : (
            <p key={id} className="page-say">
              Opening the card…
            </p>
          ),
        )}
      </div>
    </main>
  );
}

/** What the server makes of a job that is stored: planned once, for what there is of it. */
function FilesOfStored({
  stored: { job },
  shop,
  paper,
}: {
  readonly stored: StoredJob;
  readonly shop: Equipment;
  readonly paper: Sheet;
}) {
  const planned = useMemo(() => plan(job, shop), [job, shop]);
  return <Files job={job} planned={planned} shop={shop} paper={paper} />;
}

/** One job, a sheet for each of its parts. */
function PrintedJob({ jobId, equipment }: { readonly jobId: string; readonly equipment: Equipment }) {
  const stored = useQuery({
    queryKey: keys.job(jobId),
    queryFn: () => api.readJob(jobId),
    refetchOnMount: 'always',
  });
  if (stored.isError) return <Notice tone="wrong">{stored.error.message}</Notice>;
  if (!stored.data) return <p className="page-say">Opening the card…</p>;
  const { job, revision, updatedAt } = stored.data;
  const planned = plan(job, equipment);
  const askedOf = (partId: string): SheetStretch[] => {
    const start = { runId: 'on-paper', jobRevision: revision, partId };
    const run = freezeRun({ job, planned, shop: equipment, start });
    return run.ok ? promptSheet(run.value) : [];
  };
  return planned.parts.map((part, i) => (
    <PartSheet
      key={part.id}
      jobId={jobId}
      isFirst={i === 0}
      part={part}
      name={job.name}
      units={job.units}
      asked={askedOf(part.id)}
      foot={`Card as stored on ${dayText(updatedAt)}, version ${revision}`}
    />
  ));
}

interface PartSheetProps {
  readonly jobId: string;
  /** Pictures of the job as a whole stand on its first sheet. */
  readonly isFirst: boolean;
  readonly part: PartPlan;
  readonly name: string;
  readonly units: UnitSystem;
  /** What the mill asks of hands, stretch by stretch. */
  readonly asked: readonly SheetStretch[];
  readonly foot: string;
}

function PartSheet({ jobId, isFirst, part, name, units, asked, foot }: PartSheetProps) {
  const cautions = [
    ...new Map(
      part.stations.flatMap(({ cautions: each }) => each.map((caution) => [caution.code, caution] as const)),
    ).values(),
  ];
  return (
    <section className="print-part">
      <header>
        <h1>{name}</h1>
        {part.name && <p>{part.name}</p>}
      </header>
      {part.stations.map((station) => (
        <StationLines key={station.id} station={station} units={units} />
      ))}
      {part.cutting &&
        part.cutting.rounds.map(({ name: round, depthMm }, i) => (
          <div key={round} className="print-spaces">
            <h2>
              {capital(wordsOfDivided(part.cutting!.divides).many)}
              {part.cutting!.rounds.length > 1 ? `, ${round}` : ''}
              {depthMm !== null && `, ${lengthText(depthMm, units)} deep`}
            </h2>
            <ol className={i === 0 ? '' : 'is-again'}>
              {Array.from({ length: part.cutting!.divisions }, (_, k) => (
                <li key={k} className={k === 0 || (k + 1) % 10 === 0 ? 'is-marked' : ''}>
                  {k + 1}
                </li>
              ))}
            </ol>
          </div>
        ))}
      {asked.map(({ title, lines }) => (
        <div key={title} className="print-asked">
          <h2>{title}</h2>
          <p>
            {lines.map((line, i) => (
              <Fragment key={`${i} ${line}`}>
                <b>{i + 1}</b> {line}{' '}
              </Fragment>
            ))}
          </p>
        </div>
      ))}
      {cautions.length > 0 && (
        <div className="print-cautions">
          {cautions.map(({ code, when, text }) => (
            <p key={code}>
              <b>{when}:</b> {text}
            </p>
          ))}
        </div>
      )}
      {isFirst && <PrintedPictures about={`job/${jobId}`} alone />}
      <PrintedPictures about={`job/${jobId}/${part.id}`} />
      <footer>
        {foot}. Measured: ______________ &nbsp; Cut by: ______________ &nbsp; Date: ____________
      </footer>
    </section>
  );
}

function StationLines({ station, units }: { readonly station: AnyStationPlan; readonly units: UnitSystem }) {
  return (
    <div className="print-station">
      <h2>
        <span>{station.number}</span> {station.title}
        {station.state === 'doubt' && <em> in doubt</em>}
      </h2>
      <p className="print-answer">{station.answer}</p>
      <ul>
        {station.values.map((value) => (
          <li key={value.key}>
            {value.label}: <b>{figure(value, units)}</b>
          </li>
        ))}
      </ul>
      {station.lessons.map(({ id, text }) => (
        <p key={id}>Learnt before: {text}</p>
      ))}
    </div>
  );
}

function figure(value: Value, units: UnitSystem): string {
  switch (value.kind) {
    case 'length':
      return value.inMm ? `${decimalText(value.mm, 4)} mm` : bothUnitsText(value.mm, units);
    case 'angle':
      return dmsText(exact(value.at));
    case 'text':
      return value.text;
  }
}
