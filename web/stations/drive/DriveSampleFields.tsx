import {
  takeCandidate,
  type DriveCandidate,
  type DriveInput,
  type SampleFit,
} from '../../../core/drive/index.ts';
import { lengthText, type UnitSystem } from '../../../core/units/index.ts';
import { Length, LengthField, MeasureField } from '../../fields/index.ts';
import { Fold } from '../../frame/index.ts';
import { bindTo, type StationProps, type FieldIssues } from '../../panel/index.ts';

interface SampleProps extends StationProps<'drive'> {
  readonly set: (change: Partial<DriveInput>) => void;
  readonly at: FieldIssues<DriveInput>;
}

const nameOf = ({ by, figure, unit }: DriveCandidate): string =>
  by === 'module' ? `m ${figure}` : by === 'dp' ? `${figure} DP` : `${figure} ${unit} axial pitch`;

const READ = { threads: 'over the crests', throat: 'throat', centre: 'distance' } as const;

function sayFit({ reading, read, expected, fits }: SampleFit, units: UnitSystem): string {
  const off = read - expected;
  const word = fits ? '' : ', contradicts';
  return `${READ[reading]} ${lengthText(Math.abs(off), units, 'fine')} ${off < 0 ? 'under' : 'over'}${word}`;
}

/** What was read off a worm and its wheel, and the pitches it may mean. */
export function DriveSampleFields({ station, part, units, set, at }: SampleProps) {
  const { drive } = part;
  const { sample } = drive;
  const { read, best, axialPitch } = station.detail.sample;
  const change = (now: Partial<DriveInput['sample']>) => set({ sample: { ...sample, ...now } });
  const of: FieldIssues<DriveInput['sample']> = (field) => at(`sample.${field}`);
  const bind = bindTo(sample, change, of);
  return (
    <Fold className="schools" open={read} summary="From a worm and wheel on the bench">
      <div className="fields">
        <LengthField label="Outside of the worm" {...bind('outside')} units={units} />
        <MeasureField label="Crests counted" {...bind('threads')} placeholder="6" />
        <LengthField
          label="Length over them, first to last"
          {...bind('over')}
          units={units}
          hint="Crest to crest, the caliper’s edges alike."
        />
        <MeasureField label="Starts counted at its end" {...bind('starts')} placeholder="1" />
        <MeasureField label="Teeth of the old wheel" {...bind('teeth')} placeholder="40" />
        <LengthField
          label="Its throat diameter"
          {...bind('throat')}
          units={units}
          hint="In the middle of the face, where it is smallest."
        />
        <LengthField label="Distance of the shafts" {...bind('centre')} units={units} />
      </div>
      {axialPitch !== null && (
        <p className="said">
          Axial pitch as read: <Length mm={axialPitch} units={units} />.
        </p>
      )}
      {read && best.length === 0 && (
        <p className="said">
          Nothing read yet that tells a pitch: count crests over a length, or the throat with the teeth.
        </p>
      )}
      <ol className="found-list">
        {best.map((one, i) => (
          <li key={nameOf(one)}>
            <span className="found-gear">{nameOf(one)}</span>
            <button
              type="button"
              className={`use-button ${i === 0 && one.against === 0 ? 'is-next' : ''}`}
              aria-label={`Take ${nameOf(one)}`}
              onClick={() => set(takeCandidate(drive, one))}
            >
              Take it
            </button>
            <small className="found-fits">{one.fits.map((fit) => sayFit(fit, units)).join('; ')}</small>
          </li>
        ))}
      </ol>
    </Fold>
  );
}
