import { plateTurnsOf, type DividingChoice } from '../../core/dividing/index.ts';
import { trainText } from '../../core/gearing/index.ts';
import {
  hasTeeth,
  RUN_BACK,
  sayLanding,
  turnsOf,
  type Cut,
  type Run,
  type RunState,
} from '../../core/run/index.ts';
import { lengthText, plural, type UnitSystem } from '../../core/units/index.ts';
import { MoveFigures } from './MoveFigures.tsx';
import { StrokeSteps } from './StrokeSteps.tsx';

/** Both units of a depth, the job's own first. */
const bothUnits = (mm: number, units: UnitSystem): string =>
  `${lengthText(mm, units)} (${lengthText(mm, units === 'mm' ? 'in' : 'mm')})`;

/** The depth of a cut’s round; empty where none is given. */
export function depthSay(run: Run, cut: Cut): string {
  const { depthMm } = run.rounds[cut.round - 1]!;
  return depthMm === null ? '' : bothUnits(depthMm, run.units);
}

/** Where everything is to stand before the first cut. */
function startSay(choice: DividingChoice, millName: string | undefined) {
  const hole0 = <b>hole 0</b>;
  switch (choice.method) {
    case 'simple':
    case 'differential':
      return choice.spaces > 0 ? (
        <>
          Plate {choice.plateName}, {choice.circle} circle. Put the pin in any hole: it is now {hole0}. Set
          the arms to span {plural(choice.spaces + 1, 'hole')}.
        </>
      ) : (
        <>
          Plate {choice.plateName}. Put the pin in any hole: it is now {hole0}, and every move ends there.
        </>
      );
    case 'compound':
      return (
        <>
          Plate {choice.plateName}. Pin in any hole of {choice.circle}, back pin in any hole of{' '}
          {choice.back.circle}: each is now its {hole0}. Arms span {plural(choice.spaces + 1, 'hole')}.
        </>
      );
    case 'nearest-hole':
      return (
        <>
          Plate {choice.plateName}, {choice.circle} circle. Put the pin in any hole: it is now {hole0}. The
          move changes from space to space: read it here every time.
        </>
      );
    case 'direct':
      return choice.onWork ? (
        <>
          Ring between spindle and work: its pin in any hole of {choice.holes}, which is now {hole0}. The worm
          stays in.
        </>
      ) : (
        <>
          Worm <b>out</b>. Put the direct pin in any hole of the {choice.holes} ring: it is now {hole0}.
        </>
      );
    case 'handwheel':
      return <>Set table and wheel to 0, coming up clockwise. Every reading is from here.</>;
    case 'stepper':
      return <>Direct pin out. Set the count of {choice.driveName} to 0 here.</>;
    case 'table':
      return <>At the first tooth set the dial of {millName}’s table screw to 0, coming from one side.</>;
  }
}

function lockSay({ method }: DividingChoice): string {
  if (method === 'table') return 'Lock the table';
  // the pin holds it, and there is no worm whose slack could be taken up
  if (method === 'direct') return 'Lock the spindle';
  return 'Take up the slack clockwise, lock the spindle';
}

/** Before the first cut: where everything starts. */
export function FirstSay({ run, cut }: { readonly run: Run; readonly cut: Cut }) {
  const depth = depthSay(run, cut);
  const { move } = run;
  return (
    <>
      <p className="mill-lead">
        {run.continues
          ? 'Find the last space that was cut:'
          : run.rounds[cut.round - 1]?.name === 'scratch'
            ? 'First a scratch, all the way round:'
            : 'First cut:'}
      </p>
      <p className="mill-figure is-brass">
        {cut.space}
        <span>
          {' '}
          {run.continues
            ? 'is cut already'
            : cut.space === 1
              ? 'is the first space'
              : 'is the space to start at'}
        </span>
      </p>
      <p className="mill-from">{startSay(move, run.mill?.name)}</p>
      {move.method === 'differential' && (
        <p className="mill-from">
          Gears {trainText(move.train)}, idlers {move.idlers}. Plate lock pin <b>out</b>: the plate must creep{' '}
          {plateTurnsOf(move)} the crank.
        </p>
      )}
      {run.helix && (
        <p className="mill-from">
          Lead gears {run.helix.gears};{' '}
          {run.helix.idlers === 0 ? 'no idler' : plural(run.helix.idlers, 'idler')}. The {run.helix.setting}.
          Plate lock pin <b>out</b>. Has the scribed line shown a {run.helix.hand}-hand lead?
        </p>
      )}
      <p className="mill-from">
        {run.continues &&
          'The cutter must drop into it without touching a flank: that is where this plan goes on from. '}
        {depth && `Depth ${depth}. `}
        {run.helix ? 'Take up the slack the way it cuts, lock nothing that turns' : lockSay(move)}, cut, and
        mark this space.
      </p>
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

/** What to do, before the figures that say how far. */
const VERB: Readonly<Record<Cut['landing']['on'], string>> = {
  plate: 'Turn clockwise:',
  ring: 'Draw the pin and turn on:',
  'two-circles': 'First the pin, then the back pin:',
  dial: 'Turn clockwise, to:',
  steps: 'Let the motor go to:',
};

/** The move to the next space: whole turns, then spaces, then where the pin lands. */
export function MoveSay({ run, state, next, last, onTurn }: MoveSayProps) {
  const turns = turnsOf(next.landing);
  const newRound = next.round !== last.round;
  const afresh = newRound && !run.full;
  const verb = run.mill ? 'Table to:' : VERB[next.landing.on];
  return (
    <>
      {run.helix && <StrokeSteps stage={RUN_BACK} />}
      {newRound ? (
        <p className="mill-lead is-new-round">
          Round {last.round} is done. Set the depth to {depthSay(run, next)}
          {afresh ? '. Then go back to the start:' : `. ${verb}`}
        </p>
      ) : (
        <p className="mill-lead">
          {run.helix ? 'Run back, the cutter clear.' : `Space ${last.space} is cut.`} {verb}
        </p>
      )}
      {afresh ? (
        <p className="mill-figure is-brass">
          0<span> where the first space was cut, come up clockwise</span>
        </p>
      ) : (
        <MoveFigures run={run} landing={next.landing} />
      )}
      <LandsSay run={run} last={last} next={next} afresh={afresh} />
      {turns > 0 && !afresh && <TurnTicks turns={turns} made={state.turnsMade} onTurn={onTurn} />}
    </>
  );
}

function LandsSay({
  run,
  last,
  next,
  afresh,
}: Pick<MoveSayProps, 'run' | 'last' | 'next'> & { readonly afresh: boolean }) {
  const { landing } = next;
  if ('hole' in landing && 'hole' in last.landing) {
    return (
      <p className="mill-from">
        Pin is in hole {last.landing.hole}, lands in hole <b>{landing.hole}</b>
        {landing.on === 'two-circles' && last.landing.on === 'two-circles' && !afresh && (
          <>
            ; back pin from {last.landing.backHole} to <b>{landing.backHole}</b>
          </>
        )}
      </p>
    );
  }
  return (
    <p className="mill-from">
      Space {next.space} of {run.divisions}
    </p>
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
export function ClosingSay({ run, state }: { readonly run: Run; readonly state: RunState }) {
  const first = run.cuts[0]!.space;
  if (state.closed?.fits) {
    return (
      <>
        <p className="mill-lead">
          {run.full ? 'The last move fell on the first space.' : 'All of them are cut.'}
        </p>
        <p className="mill-figure">
          {run.divisions}
          <span> spaces{run.full ? ', and it closes' : ''}</span>
        </p>
        <p className="mill-from">
          {hasTeeth(run)
            ? 'Every space is counted and stored. Measure it before it comes off: on the head it can still be sunk.'
            : 'Every space is counted and stored. Deburr, part off, and try it in its place.'}
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
  if (!run.closing) {
    return (
      <>
        <p className="mill-lead">All {run.divisions} are cut.</p>
        <p className="mill-from">
          This is less than a whole turn, so there is no closing move. Measure from the first to the last
          before it comes off.
        </p>
      </>
    );
  }
  return (
    <>
      <p className="mill-lead">
        All {run.divisions} are cut. {run.helix && 'Draw clear, run back, then one'}
        {!run.helix && 'One'} closing move, clockwise:
      </p>
      <MoveFigures run={run} landing={run.closing} />
      <p className="mill-from">
        {sayLanding(run, run.closing).lands} The cutter must drop into space <b>{first}</b> without touching a
        flank.
      </p>
    </>
  );
}
