import { LengthField } from '../../fields/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';

/** What to turn before the first tooth. */
export function BlankPanel({ station, part, units, editPart, issuesAt }: StationProps<'blank'>) {
  const { blank } = part;
  const at = issuesBelow(issuesAt, 'blank');
  const set = (change: Partial<typeof blank>) =>
    editPart((now) => ({ ...now, blank: { ...now.blank, ...change } }));
  const bind = bindTo(blank, set, at);
  return (
    <>
      <div className="fields">
        <LengthField label="Face width" {...bind('faceWidth')} units={units} />
        <LengthField label="Bore (0 for none)" {...bind('bore')} units={units} />
        <LengthField
          label="As turned, when measured"
          {...bind('measured')}
          units={units}
          hint="The depth dial is set from it."
        />
      </div>
      <Values
        values={station.values}
        units={units}
        only={['tipDiameter', 'dialDepth', 'rootDiameter', 'faceWidth', 'bore', 'wall']}
      />
      <p className="said">Turn the outside to size or a little under, never over.</p>
    </>
  );
}
