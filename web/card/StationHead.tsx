import type { AnyStationPlan } from '../../core/plan/index.ts';
import { StateMark } from './StateMark.tsx';

/** The station's answer, the largest thing on its panel; figures large, words small. */
export function StationHead({ station }: { readonly station: AnyStationPlan }) {
  const pieces = station.answer.split(/(\d[\d./]*[°′″]?)/).filter(Boolean);
  return (
    <header className="station-head">
      <p className="eyebrow">
        {station.number} · {station.title} <StateMark state={station.state} />
      </p>
      <h2 className="answer" aria-label={station.answer}>
        {pieces.map((piece, i) => (
          // the pieces are an answer's words in order; none is ever moved
          <span key={i} className={/^\d/.test(piece) ? 'answer-figure' : 'answer-word'} aria-hidden="true">
            {piece}
          </span>
        ))}
      </h2>
    </header>
  );
}
