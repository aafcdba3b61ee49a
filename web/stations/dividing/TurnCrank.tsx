import { dmsText, exact } from '../../../core/units/index.ts';
import type { Crank } from './useCrank.ts';

interface TurnCrankProps {
  readonly crank: Crank;
  /** What is turned: the crank, or what takes its place. */
  readonly handle: string;
  /** How the last move was made. */
  readonly said: string;
  /** Turns of the work so far; null along a line. */
  readonly spindle: number | null;
}

/** The crank, to be turned on the screen: a move at a time, or drawn along to any of them. */
export function TurnCrank({ crank, handle, said, spindle }: TurnCrankProps) {
  const { at, most, turn, set } = crank;
  const done = Math.round(at);
  return (
    <div className="turn-crank">
      <div className="turn-crank-line">
        <button type="button" className="scribe-button" onClick={() => turn(-1)} disabled={done <= 0}>
          ← Back
        </button>
        <button
          type="button"
          className="scribe-button is-main"
          onClick={() => turn(1)}
          disabled={done >= most}
        >
          {handle}: one move
        </button>
      </div>
      <input
        type="range"
        min={0}
        max={most}
        value={done}
        onChange={(event) => set(Number(event.target.value))}
        aria-label={`Moves made, of ${most}`}
      />
      <p className="scribe-say">
        {done} of {most} moves, {said}
        {spindle !== null &&
          `; the work has turned ${dmsText(exact(Math.round(spindle * 1_296_000)).div(3600))}`}
      </p>
    </div>
  );
}
