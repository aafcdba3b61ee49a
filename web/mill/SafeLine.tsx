import { travelsOf } from '../../core/prompts/index.ts';
import type { Run } from '../../core/run/index.ts';
import { lengthText } from '../../core/units/index.ts';

/** Where the table is clear to index: always in sight. */
export function SafeLine({ run }: { readonly run: Run }) {
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
  return (
    <p className="mill-safe">
      {safe.indexAt === 'entry' ? (
        <>
          Index only <b>before 0</b> on the {travelsOf(run)}. Cut through to <b>{mm(safe.through)}</b>.
        </>
      ) : (
        <>
          Index only <b>past {mm(safe.clearAfter)}</b> on the {travelsOf(run)}.
        </>
      )}{' '}
      <span>Sooner, and the cutter nicks the next land.</span>
    </p>
  );
}
