import type { Issue } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';

interface HandAskProps {
  /** Null while nobody has said. */
  readonly value: 'right' | 'left' | null;
  readonly onChange: (hand: 'right' | 'left') => void;
  readonly issues: readonly Issue[];
}

/**
 * The gear standing on its face: which of the two is it? Asked with a drawing, for a word alone is mistaken
 * for its mirror.
 */
export function HandAsk({ value, onChange, issues }: HandAskProps) {
  return (
    <div className="field is-wide hand-ask" role="radiogroup" aria-label="Hand">
      <span>Stand it on its face and look: its teeth lean</span>
      <div className="hand-pictures">
        {(['left', 'right'] as const).map((hand) => (
          <button
            key={hand}
            type="button"
            role="radio"
            aria-checked={value === hand}
            className={`use-button ${value === hand ? 'is-chosen' : ''}`}
            onClick={() => onChange(hand)}
          >
            <Standing hand={hand} />
            to the {hand}: {hand}-hand {value === hand && '✓'}
          </button>
        ))}
      </div>
      {issues.map((issue) => (
        <p key={issue.code} className="field-issue is-query">
          ? {sayIssue(issue)}
        </p>
      ))}
    </div>
  );
}

/** Seen from the side, on its face: right-hand teeth lean to the right, whichever way up it stands. */
function Standing({ hand }: { readonly hand: 'right' | 'left' }) {
  const lean = hand === 'right' ? 12 : -12;
  return (
    <svg viewBox="-62 -32 124 64" width="124" height="64" aria-hidden="true">
      <rect x={-56} y={-26} width={112} height={52} className="hand-blank" />
      {[-42, -26, -10, 6, 22, 38].map((x) => (
        <path key={x} d={`M${x + 2 - lean} 26L${x + 2 + lean} -26`} className="hand-tooth" />
      ))}
    </svg>
  );
}
