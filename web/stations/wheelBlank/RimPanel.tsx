import { lengthText } from '../../../core/units/index.ts';
import type { RimInput } from '../../../core/wheel/index.ts';
import { echoAngle, EitherField, LengthField, MeasureField } from '../../fields/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';

const RIMS = [
  { value: 'throat', label: 'hollow' },
  { value: 'plain', label: 'plain' },
] as const;

/** What to turn before the wheel is gashed. */
export function RimPanel({ station, part, units, editPart, issuesAt }: StationProps<'wheelBlank'>) {
  const { rim } = part;
  const { usual } = station.detail;
  const set = (change: Partial<RimInput>) => editPart((now) => ({ ...now, rim: { ...now.rim, ...change } }));
  const at = issuesBelow(issuesAt, 'rim');
  const faces = usual.map(({ mm, source }) => `${lengthText(mm, units)} by ${source}`).join(', ');
  const bind = bindTo(rim, set, at);
  return (
    <>
      <div className="fields">
        <EitherField
          label="The rim"
          options={RIMS}
          {...bind('rim')}
          echo={
            rim.rim === 'throat'
              ? 'Turned hollow, to lie about the worm.'
              : 'A cylinder: for a straight traverse.'
          }
        />
        <LengthField
          label="Face width"
          {...bind('faceWidth')}
          units={units}
          hint={faces ? `Empty: the narrower of ${faces}.` : ''}
        />
        {rim.rim === 'throat' && (
          <MeasureField
            label="Angle of the hollow about the worm"
            {...bind('faceAngle')}
            echo={echoAngle(rim.faceAngle) || 'About 60° is usual; the corners beyond it are chamfered.'}
            suffix="°"
          />
        )}
        <LengthField label="Bore (0 for none)" {...bind('bore')} units={units} />
        <LengthField
          label={
            rim.rim === 'throat' ? 'Throat as turned, when measured' : 'Outside as turned, when measured'
          }
          {...bind('measured')}
          units={units}
          hint="The depth dial is set from it."
        />
        {rim.rim === 'throat' && (
          <LengthField
            label="Over the corners, when measured"
            {...bind('corners')}
            units={units}
            hint="A touch on the side, and a cutter sunk from above, meet these first."
          />
        )}
      </div>
      <Values values={station.values} units={units} />
      <p className="said">
        Turn the throat to size or a little under, never over. The hollow by a round-nosed tool of its radius,
        or by two slides and a gauge.
      </p>
    </>
  );
}
