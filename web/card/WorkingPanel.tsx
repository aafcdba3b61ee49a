import { lazy, memo, Suspense, useEffect, useRef, useState } from 'react';
import { boardTex, type Working } from '../../core/station/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { usePreferences } from '../state/index.ts';

const Tex = lazy(() => import('../tex/index.ts').then((module) => ({ default: module.Tex })));

/**
 * The working, as on a blackboard: formula in letters, figures put in, result, and where the formula is from.
 */
export const WorkingPanel = memo(function WorkingPanel({
  working,
  units,
  give,
}: {
  readonly working: readonly Working[];
  readonly units: UnitSystem;
  /** How far its figures may move before a settled station is in doubt. */
  readonly give: string | null;
}) {
  const workingShown = usePreferences((preferences) => preferences.workingShown);
  const swapWorking = usePreferences((preferences) => preferences.swapWorking);
  const [shownAtFirst] = useState(workingShown);
  if (working.length === 0) return null;
  return (
    <section className="working">
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
          <Lines working={working} units={units} comeIntoSight={!shownAtFirst} />
          {give && <p className="soft">{give}</p>}
        </Suspense>
      )}
    </section>
  );
});

function Lines({
  working,
  units,
  comeIntoSight,
}: {
  readonly working: readonly Working[];
  readonly units: UnitSystem;
  readonly comeIntoSight: boolean;
}) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // asked for just now, not shown as the card opened
    if (comeIntoSight) list.current?.scrollIntoView({ block: 'nearest' });
  }, [comeIntoSight]);
  return (
    <ol className="working-lines" ref={list}>
      {working.map((line) => (
        <li key={line.key}>
          <span className="working-label">{line.label}</span>
          <Tex tex={boardTex(line, units)} />
          <span className="working-source">{line.source}</span>
        </li>
      ))}
    </ol>
  );
}
