import { crankTurnsText, type Way } from '../../../core/dividing/index.ts';

/** What running the way through the head's motion has shown. */
export function Proved({ way, ratio }: { readonly way: Way; readonly ratio: string }) {
  const { proof, move, geared } = way;
  const good = proof.everySpaceTrue && proof.closes;
  return (
    <div className={`proved ${good ? '' : 'is-wrong'}`}>
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <circle cx="13" cy="13" r="11" />
        <path d={good ? 'M7.5 13.5l4 4 7-8' : 'M8 8l10 10M18 8L8 18'} />
      </svg>
      <div>
        {good
          ? `Run through the head’s motion: ${proof.moves} moves, every space true, the last back on the first.`
          : `Run through the head’s motion: space ${proof.firstWrong ?? proof.moves} is not where it should be. Do not use this.`}
        <div className="soft">
          {proof.moves} × {crankTurnsText(move)}
          {geared &&
            ` ${geared.plateRatio.startsWith('-') ? '−' : '+'} ${geared.plateRatio.replace('-', '')} of the plate`}{' '}
          = {ratio} turns of the crank, one turn of the work.
        </div>
      </div>
    </div>
  );
}
