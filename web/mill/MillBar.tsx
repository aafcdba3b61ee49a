import { hasTeeth, type RunState } from '../../core/run/index.ts';
import type { MillProps } from './millProps.ts';

interface MillBarProps extends Pick<MillProps, 'run' | 'state'> {
  readonly mayCount: boolean;
  /** The step before the cut that is to be checked off; null where it is the cut itself. */
  readonly step: string | null;
  /** Is something to be answered first? */
  readonly held: boolean;
  readonly asks: RunState['asks'];
  readonly on: {
    readonly done: () => void;
    readonly back: () => void;
    readonly pause: () => void;
    readonly note: () => void;
    readonly tried: (fits: boolean) => void;
    readonly closing: (fits: boolean) => void;
    readonly measure: () => void;
    readonly bench: () => void;
  };
}

/** Said of each stage of the return stroke when it is done. */
const STAGE_DONE = ['It is clear', 'It is run back', 'It is indexed'] as const;

/** Large things to press: take back, done, note, pause. */
export function MillBar({ run, state, mayCount, step, held, asks, on }: MillBarProps) {
  const { next, closed, paused, takeBack } = state;
  return (
    <footer className="mill-bar">
      <button
        type="button"
        className="mill-button"
        onClick={on.back}
        disabled={!mayCount || takeBack.length === 0}
      >
        Take back<small>Backspace</small>
      </button>
      {asks === 'scratch' ? (
        <div className="mill-closing">
          <button
            type="button"
            className="mill-button mill-done"
            onClick={() => on.tried(true)}
            disabled={!mayCount || state.tried !== null}
          >
            It falls on the mark
          </button>
          <button
            type="button"
            className="mill-button mill-wrong"
            onClick={() => on.tried(false)}
            disabled={!mayCount || state.tried !== null}
          >
            It does not
          </button>
        </div>
      ) : asks === 'chord' ? (
        <button type="button" className="mill-button mill-done" disabled>
          Half-way: measure first
        </button>
      ) : next ? (
        <button
          type="button"
          className={`mill-button mill-done${step ? ' is-step' : ''}`}
          onClick={on.done}
          disabled={!mayCount || held}
        >
          {state.strokeMade < STAGE_DONE.length
            ? STAGE_DONE[state.strokeMade]
            : (step ??
              (run.rounds[next.round - 1]?.name === 'scratch'
                ? `Space ${next.space} scratched`
                : `Space ${next.space} cut`))}
          <small>tap anywhere here, or Space</small>
        </button>
      ) : closed ? (
        closed.fits && hasTeeth(run) ? (
          <div className="mill-closing">
            <button type="button" className="mill-button mill-done" onClick={on.measure}>
              Measure it
            </button>
            <button type="button" className="mill-button" onClick={on.bench}>
              Back to the bench
            </button>
          </div>
        ) : (
          <button type="button" className="mill-button mill-done" onClick={on.bench}>
            Back to the bench
          </button>
        )
      ) : run.full ? (
        <div className="mill-closing">
          <button
            type="button"
            className="mill-button mill-done"
            onClick={() => on.closing(true)}
            disabled={!mayCount}
          >
            It drops in
          </button>
          <button
            type="button"
            className="mill-button mill-wrong"
            onClick={() => on.closing(false)}
            disabled={!mayCount}
          >
            It does not
          </button>
        </div>
      ) : (
        <button
          type="button"
          className="mill-button mill-done"
          onClick={() => on.closing(true)}
          disabled={!mayCount}
        >
          Finished
        </button>
      )}
      <button type="button" className="mill-button" onClick={on.note}>
        Note<small>N</small>
      </button>
      <button type="button" className="mill-button" onClick={on.pause} disabled={closed !== null}>
        {paused ? 'Resume' : 'Pause'}
        <small>P</small>
      </button>
    </footer>
  );
}
