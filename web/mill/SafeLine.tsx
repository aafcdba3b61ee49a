import { onTravelDial, runsAt, travelsOf } from '../../core/prompts/index.ts';
import type { Run } from '../../core/run/index.ts';
import { lengthText } from '../../core/units/index.ts';

/**
 * What the machine is run at, and where the table is clear to index, on this machine's dials: always in
 * sight.
 */
export function SafeLine({ run, round }: { readonly run: Run; readonly round: number }) {
  const runs = runsAt(run, round);
  return (
    <>
      {runs.length > 0 && <p className="mill-runs">{runs.join(' · ')}</p>}
      <ClearAt run={run} />
    </>
  );
}

function ClearAt({ run }: { readonly run: Run }) {
  const { safe, units } = run;
  if (!safe) return null;
  const mm = (value: number) => lengthText(value, units);
  if (safe.way === 'sink')
    return (
      <p className="mill-safe">
        Index only <b>drawn back past 0</b>, the touch: {mm(safe.depth)} out of the bottom.{' '}
        <span>Sooner, and the cutter gouges the next land.</span>
      </p>
    );
  // a bar is moved on under the cutter, and not turned
  const [go, spoils] = run.mill
    ? ['Move on', 'and the cutter gouges the next tooth']
    : ['Index', 'and the cutter nicks the next land'];
  const at = safe.indexAt === 'entry' ? safe.through : safe.clearAfter;
  const dial = onTravelDial(run, at);
  const reading = (
    <>
      <b>{mm(at)}</b>
      {dial && ` = ${dial}`}
    </>
  );
  return (
    <p className="mill-safe">
      {safe.indexAt === 'entry' ? (
        <>
          {go} only <b>before 0</b> on the {travelsOf(run)}. Cut through to {reading}.
        </>
      ) : (
        <>
          {go} only <b>past</b> {reading} on the {travelsOf(run)}.
        </>
      )}{' '}
      <span>Sooner, {spoils}.</span>
    </p>
  );
}
