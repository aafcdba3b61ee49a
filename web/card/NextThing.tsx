import { lazy, Suspense, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { partnerOf, type Job } from '../../core/job/index.ts';
import {
  beforeCutting,
  nextWaiting,
  reopenStation,
  settleStation,
  stationOf,
  waitsForPerson,
  type AnyStationPlan,
  type PartPlan,
} from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import type { StationId } from '../../core/station/index.ts';
import { lengthText, plural } from '../../core/units/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import type { RunListing } from '../../core/wire/index.ts';
import { useKeys } from '../frame/index.ts';
import { useDraft } from '../edits/index.ts';
import { useRunsOf } from '../state/index.ts';
import type { Sink } from './StartCutting.tsx';
import { taken, useTaking } from './useTaking.ts';

const StartCutting = lazy(() =>
  import('./StartCutting.tsx').then((module) => ({ default: module.StartCutting })),
);

interface NextThingProps {
  readonly job: Job;
  readonly part: PartPlan;
  readonly station: AnyStationPlan;
  readonly shop: Equipment;
  readonly goTo: (id: StationId) => void;
}

/**
 * What measured thick on the inspect station, of the run that was cut last and closed.
 * @returns done: was it sunk for these very readings already?
 */
function sinkOf(
  part: PartPlan,
  { id }: AnyStationPlan,
  runs: readonly RunListing[],
): (Sink & { readonly done: boolean }) | null {
  const verdict = id === 'inspect' ? stationOf(part, 'inspect')?.detail.verdict : null;
  if (!verdict?.agreed || verdict.thick <= verdict.tolerance) return null;
  const last = runs.find(({ run }) => run.partId === part.id);
  if (!last?.summary.closed?.fits) return null;
  return { run: last.run, by: verdict.sink, done: last.run.deepens?.by === verdict.sink };
}

/** Why a station cannot be settled yet: what is still needed or wrong, in the sentence of its field. */
function WaitsFor({ station }: { readonly station: AnyStationPlan }) {
  const stops = station.issues.filter(({ severity }) => severity !== 'query' && severity !== 'note');
  const [first, ...others] = [...new Set(stops.map(sayIssue))];
  if (!first) return null;
  return (
    <p className="run-note">
      {station.title} cannot be settled yet. {first}
      {others.length > 0 && ` And ${plural(others.length, 'thing')} more.`}
    </p>
  );
}

/** Below the drawing: the one thing to do next in brass, and the way to the mill. */
export function NextThing({ job, part, station, shop, goTo }: NextThingProps) {
  const edit = useDraft((draft) => draft.edit);
  const revision = useDraft((draft) => draft.revision);
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const again = query.get('start') === 'again';
  const [starting, setStarting] = useState<'afresh' | 'going' | 'sink' | null>(
    again && part.cutting ? 'afresh' : null,
  );
  const runs = useRunsOf(job.id, revision > 0);
  const going = runs.data?.find(
    ({ summary, run }) => run.partId === part.id && summary.closed === null && !summary.ended,
  );
  const sink = going || !part.cutting ? null : sinkOf(part, station, runs.data ?? []);
  const unsettled = beforeCutting(part).filter(({ state }) => state !== 'settled');
  const canSettle = station.complete && station.state !== 'settled';
  const settle = () => {
    if (!canSettle) return;
    edit((now) => settleStation(now, part.id, station));
    goOn(part);
  };
  const goOn = (planned: PartPlan) => {
    const after = nextWaiting(planned, station);
    if (after) goTo(after.id);
  };
  const here = { part, station, shop };
  // with a run at the mill, that is what comes next
  const found = useTaking(here);
  const taking = going ? null : found;
  /** Takes it, and settles the station that then stands, in one. */
  const take = () => {
    if (!taking) return;
    const then = taken(taking, job, here);
    const stands = then.station?.complete ? (then.station as AnyStationPlan) : null;
    edit(() => (stands ? settleStation(then.job, part.id, stands) : then.job));
    goOn(then.part);
  };
  const toMill = () => {
    if (going) void navigate(`/runs/${going.run.id}`);
    else if (part.cutting) setStarting('afresh');
  };
  useKeys({ s: taking ? take : settle, m: toMill });

  const millReady = Boolean(going) || part.cutting !== null;
  const count = going
    ? `${going.summary.done} / ${going.summary.total}`
    : part.cutting
      ? `0 / ${part.cutting.divisions * part.cutting.rounds.length}`
      : '';
  const partner = partnerOf(job, part.id);
  // what has no cuts at the mill is not counted there
  const lathed = stationOf(part, 'cut') === null;
  const mill = (brass: boolean) =>
    lathed ? (
      partner && (
        <button
          type="button"
          className={brass ? 'next-thing' : 'quiet-thing'}
          onClick={() => void navigate(`/jobs/${job.id}/${partner.id}`)}
        >
          <span>On to the wheel’s card</span>
        </button>
      )
    ) : (
      <button
        type="button"
        className={brass ? 'next-thing' : 'quiet-thing'}
        onClick={toMill}
        disabled={!millReady}
      >
        <span>{going ? 'Go on at the mill' : 'At the mill'}</span>
        <span>
          {count}
          <span className="key-hint is-after"> M</span>
        </span>
      </button>
    );
  const waiting = nextWaiting(part, station);
  // starting settles what is open and stands: nobody has to go round for that
  const nothingWaits = millReady && !lathed && !waiting && !waitsForPerson(station);
  return (
    <div className="next-things">
      {station.state === 'settled' && (
        <button
          type="button"
          className="quiet-thing is-small"
          onClick={() => edit((now) => reopenStation(now, part.id, station.id))}
        >
          Open {station.title} again
        </button>
      )}
      {!station.complete && !taking && <WaitsFor station={station} />}
      {sink?.done && (
        <p className="run-note">It has been sunk by this since. Measure again before it is sunk once more.</p>
      )}
      {sink && !sink.done ? (
        <>
          {canSettle && (
            <button type="button" className="quiet-thing" onClick={settle}>
              <span>Settle {station.title}</span>
              <span className="key-hint">S</span>
            </button>
          )}
          <button type="button" className="next-thing" onClick={() => setStarting('sink')}>
            <span>Once more round, {lengthText(sink.by, job.units, 'fine')} deeper</span>
          </button>
        </>
      ) : taking ? (
        <>
          {mill(false)}
          {taking.otherwise && (
            <button type="button" className="quiet-thing is-small" onClick={settle}>
              {taking.otherwise}
            </button>
          )}
          <button type="button" className="next-thing" onClick={take}>
            <span>Use {taking.name}, settle</span>
            <span className="key-hint">S</span>
          </button>
        </>
      ) : canSettle && nothingWaits ? (
        <>
          <button type="button" className="quiet-thing" onClick={settle}>
            <span>Settle {station.title}</span>
            <span className="key-hint">S</span>
          </button>
          {mill(true)}
        </>
      ) : canSettle ? (
        <>
          {mill(false)}
          <button type="button" className="next-thing" onClick={settle}>
            <span>Settle {station.title}</span>
            <span className="key-hint">S</span>
          </button>
        </>
      ) : waiting && !going ? (
        <>
          {mill(false)}
          <button type="button" className="next-thing" onClick={() => goTo(waiting.id)}>
            <span>
              {waiting.title}: {waiting.answer}
            </span>
            <span>{waiting.number}</span>
          </button>
        </>
      ) : (
        mill(lathed ? unsettled.length === 0 : millReady)
      )}
      {going && going.run.jobRevision !== revision && (
        <p className="run-note">
          The run at the mill keeps the plan it was started with.{' '}
          {part.cutting && going.summary.done > 0 && going.summary.done < going.summary.total && (
            <button type="button" className="plain-link" onClick={() => setStarting('going')}>
              Go on under the plan as it is now
            </button>
          )}
        </p>
      )}
      {starting && part.cutting && (
        <Suspense fallback={null}>
          <StartCutting
            job={job}
            part={part}
            cutting={part.cutting}
            going={starting === 'going' ? (going ?? null) : null}
            sink={starting === 'sink' ? sink : null}
            before={runs.data?.filter(({ run }) => run.partId === part.id).length ?? 0}
            onClose={() => {
              setStarting(null);
              if (again) setQuery({}, { replace: true });
            }}
          />
        </Suspense>
      )}
    </div>
  );
}
