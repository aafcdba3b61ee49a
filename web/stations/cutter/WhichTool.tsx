import '../ways.css';
import { compareTools, type CuttingTime, type FormGround } from '../../../core/cutter/index.ts';
import { stationOf } from '../../../core/plan/index.ts';
import { timeText } from '../../../core/setup/index.ts';
import { capital, plural } from '../../../core/units/index.ts';
import { useFormErrors, useTemplate, WorkBroke } from '../../workers/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** What set-up knows of the time, with the cutter it was worked out for; null while it does not. */
function timeOf({ planned }: Pick<StationProps<'cutter'>, 'planned'>): CuttingTime | null {
  const setup = stationOf(planned, 'setup')?.detail;
  const { cutting } = planned;
  const [minutes, feed, teeth] = [setup?.minutes, setup?.data?.feed, setup?.cutter.teeth];
  if (!setup?.stroke || !cutting || !minutes || !feed || !teeth) return null;
  const travel = setup.stroke.travel[setup.indexAt];
  return { minutes, cuts: cutting.divisions * cutting.rounds.length, travel, feed, teeth };
}

/**
 * The tools this gear can be cut with, side by side: what each leaves on a flank, how long it takes on this
 * machine, how it loads it, what has to be made first, and what it suits.
 */
export function WhichTool({ ground, ...props }: StationProps<'cutter'> & { readonly ground: FormGround }) {
  const { found: errors, broken } = useFormErrors(ground);
  const { found: template } = useTemplate(ground, {
    ...{ continuation: 'trochoid', scale: 1, as: 'buttons', title: '' },
  });
  if (!errors)
    return broken ? <WorkBroke what="Comparing the tools" broken={broken} /> : <p className="soft">…</p>;
  const [set = null] = errors;
  const half = errors.find(({ name }) => name.includes('½')) ?? null;
  const time = timeOf(props);
  const rows = compareTools({ set, half, residual: template?.buttons?.residual ?? null, time });
  return (
    <>
      <ul className="tools-compared">
        {rows.map((row) => (
          <li key={row.kind}>
            <b>{row.name}</b>
            <span className="tool-figures">
              {row.error === null
                ? capital(row.errorSays)
                : `${row.error.toFixed(row.error < 10 ? 1 : 0)} µm on a flank`}
              {row.minutes !== null && ` · ${timeText(row.minutes)}`}
              {row.minutes !== null && row.teeth !== null && ` with ${plural(row.teeth, 'tooth', 'teeth')}`}
            </span>
            <span className="tool-says">
              {row.load} {row.steps.length > 0 && `To make first: ${row.steps.join(', ')}. `}
              Suits: {row.suits}
            </span>
          </li>
        ))}
      </ul>
      <p className="soft">
        {time
          ? 'Times at the speed and the feed for each tooth of Set-up, for a tool of the same diameter.'
          : 'Times are told once material, mill and the cutter’s sizes are known at Set-up.'}{' '}
        Load, steps and what each suits: common practice.
      </p>
    </>
  );
}
