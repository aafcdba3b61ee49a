import { LengthField } from '../../fields/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';

/** What to turn before the first tooth. */
export function BlankPanel({ station, part, units, editPart, issuesAt }: StationProps<'blank'>) {
  const { blank } = part;
  const at = (field: string) => issuesAt(`parts.${part.id}.blank.${field}`);
  const set = (change: Partial<typeof blank>) =>
    editPart((now) => ({ ...now, blank: { ...now.blank, ...change } }));
  return (
    <>
      <div className="fields">
        <LengthField
          label="Face width"
          value={blank.faceWidth}
          onChange={(faceWidth) => set({ faceWidth })}
          issues={at('faceWidth')}
          units={units}
        />
        <LengthField
          label="Bore (0 for none)"
          value={blank.bore}
          onChange={(bore) => set({ bore })}
          issues={at('bore')}
          units={units}
        />
        <LengthField
          label="As turned, when measured"
          value={blank.measured}
          onChange={(measured) => set({ measured })}
          issues={at('measured')}
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
