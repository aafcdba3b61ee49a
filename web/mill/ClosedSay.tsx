import { dividedName, wordsOfDivided } from '../../core/cut/index.ts';
import type { Run } from '../../core/run/index.ts';
import type { MillProps } from './millProps.ts';

/** What the closing move showed. */
export function ClosedSay({ run, fits }: { readonly run: Run; readonly fits: boolean }) {
  const { one, many, done } = wordsOfDivided(run.divides);
  if (!fits)
    return (
      <>
        <p className="mill-lead is-wrong">✕ It does not close: stop here.</p>
        <p className="mill-from">
          Do not cut deeper; leave the blank on the head. Somewhere a move was miscounted or the blank has
          crept.
        </p>
        <p className="mill-from">
          Compare the widths round the blank: one odd {run.measured ? 'tooth' : one} is one wrong move; every
          one a little off is a wrong circle or arms that shifted. Take back if you pressed the wrong button.
        </p>
      </>
    );
  return (
    <>
      <p className="mill-lead">
        {run.full ? `The last move fell on the first ${one}.` : `All of them are ${done}.`}
      </p>
      <p className="mill-figure">
        {run.divisions}
        <span>
          {' '}
          {many}
          {run.full ? ', and it closes' : ''}
        </span>
      </p>
      <p className="mill-from">
        {run.measured
          ? 'Every one is counted and stored. Loosen nothing, and measure it before it comes off: on the head it can still be sunk.'
          : 'Every one is counted and stored. Deburr, part off, and try it in its place.'}
      </p>
    </>
  );
}

const ENDED = {
  'given-up': 'This run was ended',
  scrapped: 'This piece was scrapped',
  again: 'This run was begun again',
} as const;

/** A run that was ended before it closed: why, and how far it had come. */
export function EndedSay({ run, state }: Pick<MillProps, 'run' | 'state'>) {
  const { ended, last, done, total } = state;
  return (
    <>
      <p className="mill-lead is-wrong">
        ✕ {ENDED[ended!.how]}
        {last ? ` after ${dividedName(run, last.space)}` : ' before the first cut'}.
      </p>
      <p className="mill-from">
        {ended!.reason ? `“${ended!.reason}”. ` : ''}
        {done} of {total} cuts stand in the log. Take back if it was not to end.
      </p>
    </>
  );
}

/** The scratch round did not close. */
export function MarksOff({ onWrong }: { readonly onWrong: () => void }) {
  return (
    <>
      <p className="mill-lead is-wrong">✕ The marks do not close. Cut nothing.</p>
      <p className="mill-from">
        No metal is lost: find out why, take back, and scratch round again with other dye.
      </p>
      <button type="button" className="mill-tick" onClick={onWrong}>
        What can be wrong? <small className="key-hint">X</small>
      </button>
    </>
  );
}
