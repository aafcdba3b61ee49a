import { useEffect, useRef } from 'react';
import { REACHES, type Reach } from '../../core/dividing/index.ts';
import './strip.css';

/** How each reach is said and marked: a word and a shape go with every colour. */
export const REACH_SAYS: Readonly<Record<Reach, { readonly word: string; readonly mark: string }>> = {
  direct: { word: 'direct, pinned in a ring', mark: 'd' },
  simple: { word: 'simple indexing', mark: '' },
  differential: { word: 'differential, with gears', mark: 'g' },
  compound: { word: 'compound only, two pins', mark: '2' },
  handwheel: { word: 'read on the handwheel, exactly', mark: 'w' },
  none: { word: 'not exactly', mark: '×' },
};

interface CountStripProps {
  /** Place in REACHES for each count from 2 on; null while it is being worked out. */
  readonly reach: Uint8Array | null;
  readonly to: number;
  /** The count chosen now. */
  readonly chosen: number | null;
  readonly onChoose?: (count: number) => void;
  /** Only those near the chosen one, in one row. */
  readonly near?: number;
}

/** Every count as a cell, coloured and marked by the best way this shop has to it. */
export function CountStrip({ reach, to, chosen, onChoose, near }: CountStripProps) {
  const [first, last] =
    near && chosen !== null ? [Math.max(2, chosen - near), Math.min(to, chosen + near)] : [2, to];
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // a row of near ones is all in sight; brought into sight it would pull the page along
    if (!near) here.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen, near]);
  return (
    <div
      className={`count-strip ${near ? 'is-near' : ''}`}
      role="group"
      aria-label="Counts and how each can be had"
    >
      {/* rows of twenty run from 1, which is no count to divide by */}
      {!near && <span className="count-cell is-one">1</span>}
      {Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => {
        const count = first + i;
        const place = reach?.[count - 2];
        const kind = place === undefined ? null : REACHES[place]!;
        const says = kind ? REACH_SAYS[kind] : null;
        return (
          <button
            key={count}
            ref={count === chosen ? here : undefined}
            type="button"
            className={`count-cell ${kind ? `is-${kind}` : 'is-unknown'}`}
            aria-label={`${count}: ${says?.word ?? 'not worked out yet'}`}
            aria-pressed={count === chosen}
            title={says ? `${count}: ${says.word}` : String(count)}
            onClick={() => onChoose?.(count)}
          >
            {count}
            <small aria-hidden="true">{says?.mark}</small>
          </button>
        );
      })}
    </div>
  );
}

/** What the colours and marks mean, with how many counts of each. */
export function StripLegend({ reach }: { readonly reach: Uint8Array | null }) {
  return (
    <ul className="strip-legend">
      {REACHES.map((kind, place) => (
        <li key={kind}>
          <span className={`count-cell is-${kind}`} aria-hidden="true">
            <small>{REACH_SAYS[kind].mark}</small>
          </span>
          {REACH_SAYS[kind].word}
          {reach && <span className="soft"> {reach.filter((found) => found === place).length}</span>}
        </li>
      ))}
    </ul>
  );
}
