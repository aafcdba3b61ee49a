import { crankTurnsText, errorText, type AimData, type Way } from '../../../core/dividing/index.ts';
import { decimalText, exact } from '../../../core/units/index.ts';

interface ProvedProps {
  readonly way: Way;
  readonly ratio: string;
  /** Null along a line. */
  readonly aim: AimData | null;
}

/** What running the way through the motion has shown. */
export function Proved({ way, ratio, aim }: ProvedProps) {
  const { proof, geared, choice } = way;
  const good = proof.everySpaceTrue && proof.closes;
  const crank =
    choice.method === 'simple' || choice.method === 'differential' || choice.method === 'compound';
  return (
    <div className={`proved ${good ? '' : 'is-near'}`}>
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <circle cx="13" cy="13" r="11" />
        <path d={good ? 'M7.5 13.5l4 4 7-8' : 'M7 11c2-3 4-3 6 0s4 3 6 0M7 16c2-3 4-3 6 0s4 3 6 0'} />
      </svg>
      <div>
        <Said way={way} aim={aim} good={good} />
        {good && crank && aim?.full && (
          <div className="soft">
            {proof.moves} ×{' '}
            {choice.method === 'compound'
              ? `(${crankTurnsText(choice, ratio)})`
              : crankTurnsText(choice, ratio)}
            {geared &&
              ` ${geared.plateRatio.startsWith('-') ? '−' : '+'} ${geared.plateRatio.replace('-', '')} of the plate`}{' '}
            = {decimalText(exact(ratio).mul(aim.stride))} turns of the crank,{' '}
            {aim.stride === 1 ? 'one turn' : `${aim.stride} turns`} of the work.
          </div>
        )}
      </div>
    </div>
  );
}

function Said({
  way,
  aim,
  good,
}: {
  readonly way: Way;
  readonly aim: AimData | null;
  readonly good: boolean;
}) {
  const { moves, worst, end } = way.proof;
  if (good) {
    return (
      <>
        Run through the head’s motion: {moves} moves, every one true, the last{' '}
        {aim?.full ? 'back on the first' : 'on its angle'}.
      </>
    );
  }
  if (!aim) {
    return (
      <>
        Run through the motion of the table: {moves} moves, the worst{' '}
        {decimalText(Math.abs(worst.turns) * 1000, 1)} µm off, and nothing adds up.
      </>
    );
  }
  const last = aim.full
    ? Math.abs(end) < 1e-12
      ? 'the last falls back on the first'
      : `the last misses the first by ${errorText(end, aim.diameter)}`
    : `the last is off by ${errorText(end, aim.diameter)}`;
  return (
    <>
      Not exact. Run through the motion, {moves} moves: the worst one is off by{' '}
      {errorText(worst.turns, aim.diameter)}
      {aim.diameter !== null && ` at Ø ${decimalText(aim.diameter, 2)} mm`}; {last}.
    </>
  );
}
