import type { Prompt } from '../../core/prompts/index.ts';
import type { MillProps } from './millProps.ts';

interface MillBarProps extends Pick<MillProps, 'run' | 'state'> {
  readonly mayCount: boolean;
  /** What the press answers or counts; null when nothing is left. */
  readonly asks: Prompt['do'] | null;
  /** What is pressed when it is done. */
  readonly label: string;
  readonly small: boolean;
  readonly on: {
    readonly done: () => void;
    readonly back: () => void;
    readonly pause: () => void;
    readonly note: () => void;
    readonly tried: (fits: boolean) => void;
    readonly closing: (fits: boolean) => void;
    readonly measure: () => void;
    readonly bench: () => void;
    readonly again: () => void;
  };
}

/** Large things to press: take back, done, note, pause. */
export function MillBar(props: MillBarProps) {
  const { state, mayCount, on } = props;
  const { closed, ended, paused, takeBack } = state;
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
      <Middle {...props} />
      <button type="button" className="mill-button" onClick={on.note}>
        Note<small className="key-hint">N</small>
      </button>
      <button
        type="button"
        className="mill-button"
        onClick={on.pause}
        disabled={closed !== null || ended !== null}
      >
        {paused ? 'Resume' : 'Pause'}
        <small className="key-hint">P</small>
      </button>
    </footer>
  );
}

interface PairProps {
  readonly yes: string;
  readonly no: string;
  readonly disabled: boolean;
  readonly onSay: (fits: boolean) => void;
}

/** A question with two answers. */
function Pair({ yes, no, disabled, onSay }: PairProps) {
  return (
    <div className="mill-closing">
      <button type="button" className="mill-button mill-done" onClick={() => onSay(true)} disabled={disabled}>
        {yes}
      </button>
      <button
        type="button"
        className="mill-button mill-wrong"
        onClick={() => onSay(false)}
        disabled={disabled}
      >
        {no}
      </button>
    </div>
  );
}

/** The one big thing to press. */
function Middle({ run, state, mayCount, asks, label, small, on }: MillBarProps) {
  const { closed, ended } = state;
  const bench = (
    <button type="button" className="mill-button" onClick={on.bench}>
      Back to the bench
    </button>
  );
  if (ended || closed?.fits === false)
    return (
      <div className="mill-closing">
        <button type="button" className="mill-button mill-done" onClick={on.again}>
          Start another run
        </button>
        {bench}
      </div>
    );
  if (closed && run.measured)
    return (
      <div className="mill-closing">
        <button type="button" className="mill-button mill-done" onClick={on.measure}>
          Measure it
        </button>
        {bench}
      </div>
    );
  if (closed)
    return (
      <button type="button" className="mill-button mill-done" onClick={on.bench}>
        Back to the bench
      </button>
    );
  if (asks === 'marks')
    return (
      <Pair
        yes="It falls on the mark"
        no="It does not"
        disabled={!mayCount || state.tried !== null}
        onSay={on.tried}
      />
    );
  if (asks === 'judge')
    return <Pair yes="It drops in" no="It does not" disabled={!mayCount} onSay={on.closing} />;
  const held =
    asks === 'chord' ? 'Half-way: measure first' : asks === 'tell-hole' ? 'Say the hole first' : null;
  return (
    <button
      type="button"
      className={`mill-button mill-done${small ? ' is-step' : ''}`}
      onClick={on.done}
      disabled={!mayCount || held !== null}
    >
      {held ?? label}
      <small>
        tap anywhere here<span className="key-hint">, or Space</span>
      </small>
    </button>
  );
}
