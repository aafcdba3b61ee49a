import { lazy, memo, Suspense, useState, type ReactNode } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { usePreferences } from '../state/index.ts';
import { useKeys } from './useKeys.ts';

const GoTo = lazy(() => import('../goTo/index.ts').then((module) => ({ default: module.GoTo })));

const KeysHelp = lazy(() => import('./KeysHelp.tsx').then((module) => ({ default: module.KeysHelp })));

interface ShellProps {
  readonly children: ReactNode;
  /** What stands at the right of the head besides keys and shift. */
  readonly tools?: ReactNode;
  readonly here?: string;
}

/** Head of every page but the mill's. */
export function Shell({ children, tools, here }: ShellProps) {
  const shift = usePreferences((preferences) => preferences.shift);
  const swapShift = usePreferences((preferences) => preferences.swapShift);
  const [keysShown, showKeys] = useState(false);
  const [going, setGoing] = useState(false);
  const navigate = useNavigate();
  useKeys({ '?': () => showKeys(true), g: () => setGoing(true), l: swapShift, b: () => void navigate('/') });
  return (
    <div className="shell">
      <header className="shell-head">
        <Pages here={here} />
        <div className="shell-right">
          {tools}
          <button type="button" className="plain-button" onClick={() => setGoing(true)}>
            Go to <kbd>G</kbd>
          </button>
          <button type="button" className="plain-button" onClick={swapShift}>
            {shift === 'day' ? 'Night shift' : 'Day shift'} <kbd>L</kbd>
          </button>
          <button type="button" className="plain-button" onClick={() => showKeys(true)}>
            Keys <kbd>?</kbd>
          </button>
        </div>
      </header>
      {children}
      {going && (
        <Suspense fallback={null}>
          <GoTo onClose={() => setGoing(false)} />
        </Suspense>
      )}
      {keysShown && (
        <Suspense fallback={null}>
          <KeysHelp onClose={() => showKeys(false)} />
        </Suspense>
      )}
    </div>
  );
}

/** The ways to every page. */
const Pages = memo(function Pages({ here }: { readonly here: string | undefined }) {
  return (
    <>
      <Link to="/" className="shell-name">
        Vuelta
      </Link>
      <nav className="shell-nav" aria-label="Main">
        <NavLink to="/" end>
          Bench
        </NavLink>
        <NavLink to="/shop">Shop</NavLink>
        <NavLink to="/log">Logbook</NavLink>
        <NavLink to="/counts">Counts</NavLink>
        <NavLink to="/chart">Check a chart</NavLink>
        <NavLink to="/exercises">Exercises</NavLink>
        {here && <span aria-current="page">{here}</span>}
      </nav>
    </>
  );
});
