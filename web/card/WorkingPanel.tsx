import { lazy, Suspense, useEffect, useRef } from 'react';
import type { Working } from '../../core/station/index.ts';
import { usePreferences } from '../state/index.ts';

const Tex = lazy(() => import('../shared/Tex.tsx').then((module) => ({ default: module.Tex })));

/** The working, as on a blackboard: formula in letters, figures put in, result, and where the formula is from. */
export function WorkingPanel({ working }: { readonly working: readonly Working[] }) {
  const { workingShown, swapWorking } = usePreferences();
  const place = useRef<HTMLElement>(null);
  const shownBefore = useRef(workingShown);
  useEffect(() => {
    // asked for just now: bring it into sight; not when the card opens with it
    if (workingShown && !shownBefore.current) place.current?.scrollIntoView({ block: 'start' });
    shownBefore.current = workingShown;
  }, [workingShown]);
  if (working.length === 0) return null;
  return (
    <section className="working" ref={place}>
      <button
        type="button"
        className="plain-button working-toggle"
        aria-expanded={workingShown}
        onClick={swapWorking}
      >
        {workingShown ? 'Hide the working' : 'Show the working'} <kbd>W</kbd>
      </button>
      {workingShown && (
        <Suspense fallback={<p className="soft">Chalking it up…</p>}>
          <ol className="working-lines">
            {working.map(({ key, label, formula, put, result, source }) => (
              <li key={key}>
                <span className="working-label">{label}</span>
                <Tex tex={`${formula} = ${put} = ${result}`} />
                <span className="working-source">{source}</span>
              </li>
            ))}
          </ol>
        </Suspense>
      )}
    </section>
  );
}
