import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Shell, useTitle } from '../frame/index.ts';
import { Exercise } from './Exercise.tsx';
import { InClass } from './InClass.tsx';
import { JoinClass } from './JoinClass.tsx';
import { nextFor, useLearning } from './kept.ts';
import { Standings } from './Standings.tsx';
import { useClass } from './useClass.ts';
import './exercises.css';

const NO_KINDS: readonly never[] = [];

/** Exercises, by oneself or in a class: the next one, and how every kind stands. */
export function ExercisesPage() {
  useTitle('Exercises');
  useClass();
  const learning = useLearning();
  const { inHand, tried, learner, take, forget, classroom, outbox } = learning;
  const kinds = classroom?.given.kinds ?? NO_KINDS;
  const [search, setSearch] = useSearchParams();
  const code = search.get('class');
  const [joining, setJoining] = useState(code !== null && classroom === null);
  useEffect(() => {
    // what the class is not given is laid aside
    const isGiven = inHand && (kinds.length === 0 || kinds.includes(inHand.draw.kind));
    if (!isGiven) take(nextFor(learning, kinds));
  }, [inHand, learning, take, kinds]);
  const right = tried.filter((one) => one.right).length;
  const closeJoin = () => {
    setJoining(false);
    setSearch({}, { replace: true });
  };
  return (
    <Shell>
      <main className="exercises">
        <div className="exercises-paper">
          {inHand && <Exercise inHand={inHand} onNext={() => take(nextFor(useLearning.getState(), kinds))} />}
        </div>
        <aside className="exercises-side on-dye">
          {classroom && <InClass classroom={classroom} waiting={outbox.length} />}
          <p className="exercises-count">
            {tried.length > 0
              ? `${right} of ${tried.length} right at the first try`
              : classroom
                ? 'Nothing tried yet.'
                : 'Figures are drawn for you. Nothing is sent anywhere.'}
          </p>
          <Standings
            tried={tried}
            kinds={kinds}
            learner={learner}
            now={inHand?.draw.kind ?? null}
            onTake={take}
          />
          <p className="exercises-more">
            {!classroom && (
              <button type="button" className="plain-link" onClick={() => setJoining(true)}>
                Join a class
              </button>
            )}
            <Link className="plain-link" to="/classes">
              Teach a class
            </Link>
            <Link className="plain-link" to="/exercises/sheet">
              On paper
            </Link>
            {!classroom && tried.length > 0 && (
              <button type="button" className="plain-link" onClick={forget}>
                Begin anew
              </button>
            )}
          </p>
        </aside>
      </main>
      {joining && <JoinClass code={code ?? ''} onClose={closeJoin} />}
    </Shell>
  );
}
