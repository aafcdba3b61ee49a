import { lazy, memo, Suspense, useState } from 'react';
import type { Working } from '../../core/station/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { usePreferences } from '../state/index.ts';

const WorkingLines = lazy(() =>
  import('../tex/index.ts').then((module) => ({ default: module.WorkingLines })),
);

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
          <WorkingLines working={working} units={units} comeIntoSight={!shownAtFirst} />
          {give && <p className="soft">{give}</p>}
        </Suspense>
      )}
    </section>
  );
});
