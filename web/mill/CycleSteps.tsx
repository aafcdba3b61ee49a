import { useId, useState } from 'react';
import { CYCLE_WORDS, type Cut, type CycleStep } from '../../core/run/index.ts';
import type { MillProps } from './millProps.ts';

/** Every step before the cut, the one in hand lit, for those who want each one asked. */
export function CycleSteps({ steps, made }: { readonly steps: readonly CycleStep[]; readonly made: number }) {
  return (
    <ol className="mill-stroke is-cycle" aria-label="Steps before the cut">
      {[...steps, 'cut' as const].map((step, i) => (
        <li key={step} className={i === made ? 'is-now' : i < made ? 'is-made' : ''} aria-current={i === made ? 'step' : undefined}>
          {i < made ? '✓ ' : ''}
          {CYCLE_WORDS[step].name}
        </li>
      ))}
    </ol>
  );
} // prettier-ignore

/** Asks now and then where the pin landed, before the spindle is locked. */
export function LandingAsk({ next, act }: Pick<MillProps, 'act'> & { readonly next: Cut }) {
  const id = useId();
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState<number | null>(null);
  const { landing } = next;
  if (!('hole' in landing)) return null;
  const answer = () => {
    if (!/^\s*\d{1,4}\s*$/.test(typed)) return;
    const said = Number(typed);
    const right = said === landing.hole;
    act({ kind: 'landing', round: next.round, index: next.index, said, right });
    setWrong(right ? null : said);
  };
  return (
    <form
      className="mill-field"
      onSubmit={(event) => {
        event.preventDefault();
        answer();
      }}
    >
      <p className="mill-lead">Space {next.space}. Look at the plate, not at the screen.</p>
      <label htmlFor={id}>Before you lock: which hole is the pin in now?</label>
      <span className="mill-field-line">
        <input
          id={id}
          inputMode="numeric"
          autoComplete="off"
          autoFocus
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
        <button type="submit" className="mill-tick">
          Is it right?
        </button>
      </span>
      <p role="status">
        {wrong !== null &&
          `✕ Not hole ${wrong}. Do not lock. Was the hole the pin was in counted? Count the spaces from the last hole again, and correct it the way you crank.`}
      </p>
    </form>
  );
}
