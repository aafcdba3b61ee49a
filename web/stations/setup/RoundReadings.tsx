import { lengthText, measure } from '../../../core/units/index.ts';
import { MeasureField } from '../../fields/index.ts';
import { microns } from './microns.ts';
import type { SetupPieceProps } from './pieceProps.ts';

/** Readings all round the blank: how far it is off, which way, and what that does to the teeth. */
export function RoundReadings({ station, part, units, set, at }: SetupPieceProps) {
  const { round } = station.detail;
  const { round: typed } = part.setup;
  const other = typed.unit === 'mm' ? 'in' : 'mm';
  const mm = (value: number) => lengthText(value, units, 'fine');
  return (
    <>
      <div className="fields">
        <MeasureField
          label="Readings at equal steps, once round"
          value={measure(typed.typed, typed.unit)}
          onChange={({ typed: text }) => set({ round: { typed: text.slice(0, 600), unit: typed.unit } })}
          issues={at('round')}
          echo="One after another: 0 .02 .05 .03. The first is at number 1; go on the way you crank."
          placeholder="0 .02 .05 .03"
          swap={{
            shown: typed.unit,
            label: `Readings: unit ${typed.unit}, press for ${other}`,
            onPress: () => set({ round: { ...typed, unit: other } }),
          }}
        />
      </div>
      {round && (
        <>
          <p className="said" aria-live="polite">
            Runout {mm(round.runout)}: {round.goodFor}. The middle is {mm(round.off)} off towards{' '}
            {Math.round(round.towardDeg)}° from the first reading.
            {round.off > 0.0005 && ` With the high side up, move the work ${mm(round.off)} down.`}
          </p>
          {round.rest > round.off && round.runout > 0.01 && (
            <p className="said">
              Much of it is no eccentricity: up to {mm(round.rest)} is out of round, dirt or a slipped
              indicator. Read it once more.
            </p>
          )}
          {round.effects && (
            <dl className="values" aria-label="What it does to the teeth">
              <div>
                <dt>Depth</dt>
                <dd>± {microns(round.effects.depth)}</dd>
              </div>
              <div>
                <dt>Tooth thickness, thinnest to thickest</dt>
                <dd>{microns(round.effects.thickness)}</dd>
              </div>
              <div>
                <dt>Pitch, running up and back once round</dt>
                <dd>{microns(round.effects.pitch)}</dd>
              </div>
            </dl>
          )}
          <p className="soft">
            To better it, the least trouble first: move chuck and work together; four jaws; soft jaws bored in
            place; between centres; a chuck made to the head.
          </p>
        </>
      )}
    </>
  );
}
