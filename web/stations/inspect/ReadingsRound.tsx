import { CHECKS, type InspectInput } from '../../../core/inspect/index.ts';
import { lengthText, measure } from '../../../core/units/index.ts';
import { ChoiceField, MeasureField } from '../../fields/index.ts';
import { Fold, ListTable } from '../../frame/index.ts';
import type { StationProps } from '../../panel/index.ts';

/**
 * One way of measuring taken all round the gear: how much it varies, where, and whether it comes once a turn.
 */
export function ReadingsRound({ station, part, units, editPart, issuesAt }: StationProps<'inspect'>) {
  const { round, checks } = station.detail;
  const { what, readings } = part.inspect.round;
  const set = (change: Partial<InspectInput['round']>) =>
    editPart((now) => ({ ...now, inspect: { ...now.inspect, round: { ...now.inspect.round, ...change } } }));
  const mm = (value: number) => lengthText(value, units, 'fine');
  const other = readings.unit === 'mm' ? 'in' : 'mm';
  const worst = round ? Math.max(...round.thick.map((thick) => Math.abs(thick ?? 0))) : 0;
  return (
    <Fold
      className="schools"
      summary={`Readings round the gear${round ? `: ${round.off.readings.length}, ${mm(round.off.runout)} apart` : ''}`}
      open={round !== null}
    >
      <div className="fields">
        <ChoiceField
          label="What is read"
          value={what}
          options={CHECKS.map((id) => ({
            value: id,
            label: checks.find((check) => check.id === id)?.name ?? id,
          }))}
          onChange={(to) => set({ what: to })}
        />
        <MeasureField
          label="At equal steps, once round"
          value={measure(readings.typed, readings.unit)}
          onChange={({ typed }) => set({ readings: { typed: typed.slice(0, 600), unit: readings.unit } })}
          issues={issuesAt('inspect.round')}
          echo="One after another, from tooth space 1 on."
          swap={{
            shown: readings.unit,
            label: `Readings round: unit ${readings.unit}, press for ${other}`,
            onPress: () => set({ readings: { ...readings, unit: other } }),
          }}
        />
      </div>
      {round && (
        <>
          <p className="said" aria-live="polite">
            {round.name}: {mm(round.mean)} on the average, should be {mm(round.should)};{' '}
            {mm(round.off.runout)} from least to most. {worst > 0 && `Teeth are up to ${mm(worst)} off. `}
            {round.off.rest < round.off.off
              ? `It rises and falls once round, most at ${Math.round(round.off.towardDeg)}° from tooth space 1: the blank ran out.`
              : 'It does not go once round: look at the single tooth spaces, not at the blank.'}
          </p>
          <ListTable file="readings-round" className="inspect-round">
            <tbody>
              {round.off.readings.map((reading, i) => (
                <tr key={i}>
                  <td className="num">{Math.round((360 / round.off.readings.length) * i)}°</td>
                  <td className="num">{mm(reading)}</td>
                  <td>
                    <span className="inspect-bar" aria-hidden="true">
                      <span style={bar(reading - round.mean, round.off.runout)} />
                    </span>
                  </td>
                  <td className="num soft">
                    {round.thick[i] === null || round.thick[i] === undefined
                      ? ''
                      : `${round.thick[i] > 0 ? '+' : '−'}${lengthText(Math.abs(round.thick[i]), units, 'fine')}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </ListTable>
        </>
      )}
    </Fold>
  );
}

/** A bar from the middle, to the right for more. */
function bar(off: number, spread: number): { readonly left: string; readonly width: string } {
  const share = spread === 0 ? 0 : (50 * off) / spread;
  return { left: `${share < 0 ? 50 + share : 50}%`, width: `${Math.abs(share)}%` };
}
