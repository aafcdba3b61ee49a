import { Checkbox, Modal } from 'antd';
import { lazy, memo, Suspense, useCallback, useState, type ReactNode } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { usePreferences } from '../state/index.ts';
import { useKeys } from './useKeys.ts';

const GoTo = lazy(() => import('../goTo/index.ts').then((module) => ({ default: module.GoTo })));

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
  const hideKeys = useCallback(() => showKeys(false), []);
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
      <KeysHelp open={keysShown} onClose={hideKeys} />
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

const KEYS: readonly { readonly where: string; readonly keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['?', 'these keys'],
      ['G', 'go to: any job, station, page or thing of the shop, or a count'],
      ['B', 'to the bench'],
      ['L', 'day or night shift'],
    ],
  },
  {
    where: 'On the bench',
    keys: [
      ['N', 'new job: what is on the bench?'],
      ['1 – 6', 'there: a drawing, a gear to copy, a piece, two shafts, just divide, a worm drive'],
      ['M', 'back to the mill: the job that was interrupted'],
    ],
  },
  {
    where: 'On the card',
    keys: [
      ['1 – 8', 'open a station'],
      ['S', 'settle it'],
      ['W', 'show or hide the working'],
      ['Ctrl Z', 'back a step; Ctrl Shift Z forth again; in the shop as well'],
      ['U', 'swap mm and inches'],
      ['M', 'at the mill'],
    ],
  },
  {
    where: 'At the mill',
    keys: [
      ['Space', 'this one is cut'],
      ['T', 'one whole turn is made'],
      ['Backspace', 'take back'],
      ['N', 'note'],
      ['P', 'pause'],
      ['W', 'lost count: where am I?'],
      ['X', 'something looks wrong'],
      ['O', 'how this screen counts'],
      ['C', 'back to the card'],
    ],
  },
  {
    where: 'On the practice bench',
    keys: [
      ['← →', 'crank, hole by hole'],
      ['P', 'pin out or in'],
      ['A', 'arms round to the pin'],
      ['L', 'lock or free the spindle'],
      ['R', 'cutter on or off'],
      ['I', 'measure'],
      ['X', 'something looks wrong'],
      ['Backspace', 'take back'],
    ],
  },
];

interface KeysHelpProps {
  readonly open: boolean;
  readonly onClose: () => void;
}

const KeysHelp = memo(function KeysHelp({ open, onClose }: KeysHelpProps) {
  const singleKeys = usePreferences((preferences) => preferences.singleKeys);
  const swapSingleKeys = usePreferences((preferences) => preferences.swapSingleKeys);
  return (
    <Modal open={open} onCancel={onClose} footer={null} title="Keys" width={780} style={{ top: 40 }}>
      <p>
        <Checkbox checked={singleKeys} onChange={swapSingleKeys}>
          Single keys do things: letters, figures, the space bar
        </Checkbox>{' '}
        <span className="soft">
          {singleKeys ? 'Off while you type in a field.' : 'Off: everything is done by its button.'}
        </span>
      </p>
      <div className="keys-groups">
        {KEYS.map(({ where, keys }) => (
          <section key={where} className="keys-group">
            <h3>{where}</h3>
            <dl>
              {keys.map(([key, what]) => (
                <div key={key}>
                  <dt>
                    <kbd>{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Modal>
  );
});
