import { plateTurnsOf, trainText } from '../../core/dividing/index.ts';
import type { Cut, Run, RunState } from '../../core/run/index.ts';
import { lengthText, plural, type UnitSystem } from '../../core/units/index.ts';

/** Both units of a depth, the job's own first. */
const bothUnits = (mm: number, units: UnitSystem): string =>
  `${lengthText(mm, units)} (${lengthText(mm, units === 'mm' ? 'in' : 'mm')})`;

const depthOf = (run: Run, cut: Cut): number => run.rounds[cut.round - 1]!.depthMm;

/** Before the first cut: where the pin starts. */
export function FirstSay({ run, cut }: { readonly run: Run; readonly cut: Cut }) {
  const { spaces, circle, plateName } = run.move;
  return (
    <>
      <p className="mill-lead">First cut:</p>
      <p className="mill-figure is-brass">
        {cut.space}
        <span> {cut.space === 1 ? 'is the first space' : 'is the space to start at'}</span>
      </p>
      <p className="mill-from">
        {spaces > 0 ? (
          <>
            Plate {plateName}, {circle} circle. Put the pin in any hole: it is now <b>hole 0</b>. Set the arms
            to span {plural(spaces + 1, 'hole')}.
          </>
        ) : (
          <>
            Plate {plateName}. Put the pin in any hole: it is now <b>hole 0</b>, and every move ends there.
          </>
        )}
      </p>
      {run.move.method === 'differential' && (
        <p className="mill-from">
          Gears {trainText(run.move.train)}, idlers {run.move.idlers}. Plate lock pin <b>out</b>: the plate
          must creep {plateTurnsOf(run.move)} the crank.
        </p>
      )}
      <p className="mill-from">
        Depth {bothUnits(depthOf(run, cut), run.units)}. Take up the slack clockwise, lock the spindle, cut,
        and mark this space.
      </p>
    </>
  );
}

/** A move in figures: whole turns, then spaces. */
function MoveFigures({ move: { turns, spaces, circle } }: { readonly move: Run['move'] }) {
  return (
    <>
      {turns > 0 && (
        <p className={`mill-figure ${spaces === 0 ? 'is-brass' : ''}`}>
          {turns}
          <span> {turns === 1 ? 'whole turn' : 'whole turns'}</span>
        </p>
      )}
      {spaces > 0 && (
        <p className="mill-figure is-brass">
          {spaces}
          <span>
            {' '}
            {spaces === 1 ? 'space' : 'spaces'} on {circle}
          </span>
        </p>
      )}
    </>
  );
}

interface MoveSayProps {
  readonly run: Run;
  readonly state: RunState;
  readonly next: Cut;
  readonly last: Cut;
  readonly onTurn: () => void;
}

/** The move to the next space: whole turns, then spaces, then where the pin lands. */
export function MoveSay({ run, state, next, last, onTurn }: MoveSayProps) {
  const { turns } = run.move;
  const newRound = next.round !== last.round;
  return (
    <>
      {newRound ? (
        <p className="mill-lead is-new-round">
          Round {last.round} is done. Set the depth to {bothUnits(depthOf(run, next), run.units)}, then turn
          clockwise:
        </p>
      ) : (
        <p className="mill-lead">Space {last.space} is cut. Turn clockwise:</p>
      )}
      <MoveFigures move={run.move} />
      <p className="mill-from">
        Pin is in hole {last.hole}, lands in hole <b>{next.hole}</b>
      </p>
      {turns > 0 && <TurnTicks turns={turns} made={state.turnsMade} onTurn={onTurn} />}
    </>
  );
}

/** Whole turns ticked off one by one, for those who are interrupted in the middle of a move. */
function TurnTicks({
  turns,
  made,
  onTurn,
}: {
  readonly turns: number;
  readonly made: number;
  readonly onTurn: () => void;
}) {
  return (
    <div className="mill-ticks">
      {turns <= 10 && (
        <span className="mill-tick-row" role="img" aria-label={`${made} of ${turns} turns made`}>
          {Array.from({ length: turns }, (_, i) => (
            <span key={i} className={i < made ? 'is-made' : ''}>
              {i < made ? '✓' : i + 1}
            </span>
          ))}
        </span>
      )}
      <button type="button" className="mill-tick" onClick={onTurn} disabled={made >= turns}>
        {made >= turns
          ? turns === 1
            ? 'The turn is made'
            : 'All turns made'
          : `Turn ${made + 1} of ${turns} made`}{' '}
        <small>T</small>
      </button>
    </div>
  );
}

/** After the last space: the closing move, and what it showed. */
export function ClosingSay({
  run,
  state,
  landing,
}: {
  readonly run: Run;
  readonly state: RunState;
  readonly landing: number;
}) {
  const first = run.cuts[0]!.space;
  if (state.closed?.fits) {
    return (
      <>
        <p className="mill-lead">The last move fell on the first space.</p>
        <p className="mill-figure">
          {run.divisions}
          <span> spaces, and it closes</span>
        </p>
        <p className="mill-from">
          Every space is counted and stored. Deburr, part off, and try it in its place.
        </p>
      </>
    );
  }
  if (state.closed) {
    return (
      <>
        <p className="mill-lead is-wrong">✕ It does not close: stop here.</p>
        <p className="mill-from">
          Do not cut deeper; leave the blank on the head. Somewhere a move was miscounted or the blank has
          crept.
        </p>
        <p className="mill-from">
          Compare the widths of the teeth round the blank: one odd tooth is one wrong move; every tooth a
          little off is a wrong circle or arms that shifted. Take back if you pressed the wrong button.
        </p>
      </>
    );
  }
  return (
    <>
      <p className="mill-lead">All {run.divisions} are cut. One closing move, clockwise:</p>
      <MoveFigures move={run.move} />
      <p className="mill-from">
        The pin lands in hole <b>{landing}</b>. The cutter must drop into space <b>{first}</b> without
        touching a flank.
      </p>
    </>
  );
}
