import type { StationState } from '../../core/station/index.ts';

const WORDS: Readonly<Record<StationState, string>> = { open: 'open', settled: 'settled', doubt: 'in doubt' };

/** A station's state by shape, colour and word. */
export function StateMark({ state }: { readonly state: StationState }) {
  return (
    <span className={`state-mark is-${state}`}>
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
        {state === 'settled' && <path d="M2.5 8.5l4 4 7-9" />}
        {state === 'doubt' && <path d="M8 1.5L15 14H1zM8 6v4M8 11.6v.9" />}
        {state === 'open' && <circle cx="8" cy="8" r="5.6" strokeDasharray="2 2.4" />}
      </svg>
      <span>{WORDS[state]}</span>
    </span>
  );
}
