import { useNavigate } from 'react-router';
import { Shell, useKeys, useTitle } from '../frame/index.ts';
import { DOORS, type Door } from './doors.tsx';
import './bench.css';
import './doors.css';

/** A new job: six doors, by what has arrived at the bench. */
export function DoorsPage() {
  useTitle('A new job');
  const navigate = useNavigate();
  const open = (door: Door) => void navigate(`/jobs/new/${door.kind}`, { replace: true });
  useKeys(Object.fromEntries(DOORS.map((door, i) => [String(i + 1), () => open(door)])));
  return (
    <Shell>
      <main className="doors">
        <h1>What is on the bench?</h1>
        <ol className="doors-list">
          {DOORS.map((door, i) => (
            <li key={door.kind}>
              <button type="button" className="door" onClick={() => open(door)}>
                <svg viewBox="0 0 150 110" aria-hidden="true" className="door-drawing">
                  {door.drawing}
                </svg>
                <span className="door-title">
                  {door.title} <kbd>{i + 1}</kbd>
                </span>
                <span className="door-words">{door.words}</span>
              </button>
            </li>
          ))}
        </ol>
      </main>
    </Shell>
  );
}
