import { memo } from 'react';
import {
  EXERCISE_IDS,
  levelOf,
  seedFrom,
  standingOf,
  titleOf,
  topicOf,
  TOPICS,
  type Draw,
  type ExerciseId,
  type Standing,
  type Topic,
  type Tried,
} from '../../core/exercises/index.ts';
import './standings.css';

const WORDS: Readonly<Record<Standing, string>> = {
  new: 'not tried yet',
  again: 'comes back',
  going: 'going well',
  sure: 'sure',
};

/** Drawn, not written: no face has these signs alike. */
const Mark = ({ of }: { readonly of: Standing }) => (
  <i className={`standing-mark is-${of}`} aria-hidden="true" />
);

interface StandingsProps {
  readonly tried: readonly Tried[];
  readonly kinds: readonly ExerciseId[];
  readonly learner: number;
  readonly now: ExerciseId | null;
  readonly onTake: (draw: Draw) => void;
}

/** How every kind stands, to be chosen from. */
export const Standings = memo(function Standings({ tried, kinds, learner, now, onTake }: StandingsProps) {
  const own = kinds.length > 0 ? EXERCISE_IDS.filter((id) => kinds.includes(id)) : EXERCISE_IDS;
  const topics = (Object.keys(TOPICS) as Topic[]).filter((topic) => own.some((id) => topicOf(id) === topic));
  return (
    <nav className="standings" aria-label="Exercises">
      {topics.map((topic) => (
        <section key={topic}>
          <h2>{TOPICS[topic]}</h2>
          <ul>
            {own
              .filter((id) => topicOf(id) === topic)
              .map((id) => {
                const standing = standingOf(tried, id);
                return (
                  <li key={id}>
                    <button
                      type="button"
                      aria-current={id === now ? 'true' : undefined}
                      onClick={() =>
                        onTake({
                          kind: id,
                          seed: seedFrom(learner, tried.length, id),
                          level: levelOf(tried, id),
                        })
                      }
                    >
                      <Mark of={standing} /> {titleOf(id)}
                      <span className="visually-hidden">, {WORDS[standing]}</span>
                    </button>
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
      <p className="standings-key" aria-hidden="true">
        {(Object.keys(WORDS) as Standing[]).map((standing) => (
          <span key={standing}>
            <Mark of={standing} /> {WORDS[standing]}
          </span>
        ))}
      </p>
    </nav>
  );
});
