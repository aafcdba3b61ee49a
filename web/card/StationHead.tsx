import { lazy, memo, Suspense, useState } from 'react';
import type { AnyStationPlan } from '../../core/plan/index.ts';
import { StateMark } from './StateMark.tsx';
import './station.css';

const WhatFor = lazy(() => import('./WhatFor.tsx').then((module) => ({ default: module.WhatFor })));

/** The station's answer, the largest thing on its panel; figures large, words small. */
export const StationHead = memo(function StationHead({ station }: { readonly station: AnyStationPlan }) {
  const pieces = station.answer.split(/(\d[\d./]*[°′″]?)/).filter(Boolean);
  const [asked, setAsked] = useState(false);
  return (
    <header className="station-head">
      <p className="eyebrow">
        {station.number} · {station.title} <StateMark state={station.state} />
        <button
          type="button"
          className="station-ask"
          aria-expanded={asked}
          aria-label={`What is ${station.title} for?`}
          onClick={() => setAsked(!asked)}
        >
          ?
        </button>
      </p>
      <h2 className="answer" aria-label={station.answer}>
        {pieces.map((piece, i) => (
          // the pieces are an answer's words in order; none is ever moved
          <span key={i} className={/^\d/.test(piece) ? 'answer-figure' : 'answer-word'} aria-hidden="true">
            {piece}
          </span>
        ))}
      </h2>
      {asked && (
        <Suspense fallback={null}>
          <WhatFor station={station} />
        </Suspense>
      )}
    </header>
  );
});
