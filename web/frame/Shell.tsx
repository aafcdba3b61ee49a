import { lazy, memo, Suspense, useRef, useState, type ReactNode } from 'react';
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
  const [opened, setOpened] = useState<'keys' | 'go-to' | null>(null);
  const from = useRef<Element | null>(null);
  const navigate = useNavigate();
  const open = (which: 'keys' | 'go-to') => {
    from.current = document.activeElement;
    setOpened(which);
  };
  /** What has the focus is where it was pressed again, once the dialog is gone. */
  const close = () => {
    setOpened(null);
    setTimeout(() => from.current instanceof HTMLElement && from.current.focus());
  };
  useKeys({ '?': () => open('keys'), g: () => open('go-to'), l: swapShift, b: () => void navigate('/') });
  return (
    <div className="shell">
      <header className="shell-head">
        <Pages here={here} />
        <div className="shell-right">
          {tools}
          <button type="button" className="plain-button" onClick={() => open('go-to')}>
            Go to <kbd>G</kbd>
          </button>
          <button type="button" className="plain-button" onClick={swapShift}>
            {shift === 'day' ? 'Night shift' : 'Day shift'} <kbd>L</kbd>
          </button>
          <button type="button" className="plain-button" onClick={() => open('keys')}>
            Keys <kbd>?</kbd>
          </button>
        </div>
      </header>
      {children}
      {opened === 'go-to' && (
        <Suspense fallback={null}>
          <GoTo onClose={close} />
        </Suspense>
      )}
      {opened === 'keys' && (
        <Suspense fallback={null}>
          <KeysHelp onClose={close} />
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
