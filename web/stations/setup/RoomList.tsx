import { bindTo } from '../../panel/index.ts';
import { lengthText } from '../../../core/units/index.ts';
import { LengthField } from '../../fields/index.ts';
import type { SetupPieceProps } from './pieceProps.ts';
import { ListTable } from '../../frame/index.ts';

/** What has to fit, looked at before anything is clamped. */
export function RoomList({ station, part, units, set, at }: SetupPieceProps) {
  const { fits } = station.detail;
  const { setup } = part;
  const bind = bindTo(setup, set, at);
  return (
    <>
      {fits.length === 0 ? (
        <p className="soft">Told as soon as the cutter’s diameter and the face are known.</p>
      ) : (
        <ListTable file="will-it-fit">
          <tbody>
            {fits.map(({ key, name, needs, has, fits: does, remedies }) => (
              <tr key={key} className={does === false ? 'is-wrong' : ''}>
                <td>
                  {does === null ? '' : does ? '✓ ' : '✕ '}
                  {name}
                  {remedies.length > 0 && (
                    <ul className="setup-remedies">
                      {remedies.map((remedy) => (
                        <li key={remedy}>{remedy}</li>
                      ))}
                    </ul>
                  )}
                </td>
                <td className="num">needs {lengthText(needs, units)}</td>
                <td className="num">
                  {has === null ? 'not known' : `has ${lengthText(has, units)}`}
                  {does && has !== null && (
                    <span className="other-unit">{lengthText(has - needs, units)} to spare</span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </ListTable>
      )}
      <div className="fields">
        <LengthField
          label="Work right of the table’s middle"
          {...bind('offset')}
          units={units}
          hint="To the left: less than zero."
        />
        <LengthField
          label="Gap to jaws or head"
          {...bind('jawGap')}
          units={units}
          hint="From the blank’s face."
        />
        <LengthField
          label="How large across those are"
          {...bind('jawDiameter')}
          units={units}
          hint="Empty: as large as the work."
        />
        <LengthField label="Gap to the tailstock" {...bind('tailGap')} units={units} />
        <LengthField label="How large across that is" {...bind('tailDiameter')} units={units} />
      </div>
      <p className="soft">
        Travels, room and collars are listed with the mill in the shop, the height of its centre with the
        head.
      </p>
    </>
  );
}
