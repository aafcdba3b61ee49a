import type { AnyStationPlan } from '../../core/plan/index.ts';
import { PURPOSES } from '../../core/station/index.ts';
import { TERM_DRAWINGS } from './termDrawings.ts';

/** What the station is for, and the words it uses, each drawn. */
export function WhatFor({ station }: { readonly station: AnyStationPlan }) {
  const { purpose, terms } = PURPOSES[station.id];
  return (
    <div className="station-for">
      <p>{purpose}</p>
      <dl>
        {terms.map(({ term, means }) => (
          <div key={term}>
            <dt>
              <TermView term={term} />
              {term}:
            </dt>{' '}
            <dd>{means}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

function TermView({ term }: { readonly term: string }) {
  const drawing = TERM_DRAWINGS[term];
  if (!drawing) return null;
  return (
    <svg className="term-drawing" viewBox="0 0 120 72" aria-hidden="true">
      <path d={drawing.thin} />
      <path d={drawing.lit} className="is-lit" />
    </svg>
  );
}
