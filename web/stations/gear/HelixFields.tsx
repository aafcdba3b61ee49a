import { bindTo, type FieldIssues } from '../../panel/index.ts';
import type { Issue } from '../../../core/findings/index.ts';
import type { GearDetail, GearInput, HelixSource } from '../../../core/gear/index.ts';
import { decimalText, dmsText, exact, parsePitch, type UnitSystem } from '../../../core/units/index.ts';
import {
  HANDS,
  HandAsk,
  PITCH_UNITS,
  ChoiceField,
  echoAngle,
  echoPitch,
  EitherField,
  LengthField,
  MeasureField,
} from '../../fields/index.ts';
import { Fold } from '../../frame/index.ts';

const SOURCES: readonly { readonly value: HelixSource; readonly label: string }[] = [
  { value: 'angle', label: 'Its angle, as typed' },
  { value: 'pitches', label: 'Both pitches, normal and transverse' },
  { value: 'centre', label: 'A centre distance to keep' },
  { value: 'lead', label: 'The lead, measured by turning' },
  { value: 'print', label: 'A print rubbed off the tips' },
];

const PLANES = [
  { value: 'normal', label: 'normal' },
  { value: 'transverse', label: 'transverse' },
] as const;

const HOW: Readonly<Record<HelixSource, string>> = {
  angle: '',
  pitches: 'Along the normal the teeth stand closer: the cosine of the angle is one pitch over the other.',
  centre: 'Give the teeth of the mate and the centre distance further down; the angle follows.',
  lead: 'Turn the gear on its arbor against a pointer: travel along the face for one whole turn.',
  print:
    'Ink the tips, roll the gear on paper against a straight edge, measure the angle. The tips lean more than the pitch cylinder; that is allowed for.',
};

interface HelixFieldsProps {
  readonly gear: GearInput;
  readonly helical: GearDetail['helical'];
  readonly set: (change: Partial<GearInput>) => void;
  readonly at: FieldIssues<GearInput>;
  readonly units: UnitSystem;
  /** What a sample's teeth were seen to lean; null where the gear did not come by a sample. */
  readonly sampled: { readonly hand: 'right' | 'left' | null; readonly issues: readonly Issue[] } | null;
  readonly onHand: (hand: 'right' | 'left') => void;
}

/** Is there anything of a helix in what was typed? */
const leans = ({ helix, helixFrom, pitchPlane, otherPitch }: GearInput): boolean =>
  helix.typed.trim() !== '' ||
  helixFrom !== 'angle' ||
  pitchPlane !== 'normal' ||
  otherPitch.typed.trim() !== '';

/** The helix: what fixes its angle, which way it leans, and the pitch of the other plane. */
export function HelixFields({ gear, helical, set, at, units, sampled, onHand }: HelixFieldsProps) {
  const { helixFrom } = gear;
  const angleTyped = helixFrom === 'angle' || helixFrom === 'print';
  const other = gear.pitchPlane === 'normal' ? 'Transverse' : 'Normal';
  const otherRead = parsePitch(gear.otherPitch);
  const bind = bindTo(gear, set, at);
  return (
    <Fold
      className="schools"
      open={leans(gear)}
      summary={
        helical
          ? `Helical, ${dmsText(exact(helical.helixDeg.toFixed(6)))} ${helical.hand}-hand`
          : 'Helical teeth'
      }
    >
      <div className="fields">
        <ChoiceField
          label="The angle comes from"
          options={SOURCES}
          value={helixFrom}
          onChange={(from) => set({ helixFrom: from })}
          issues={at('helixFrom')}
          echo={HOW[helixFrom]}
        />
        {angleTyped && (
          <MeasureField
            label={helixFrom === 'print' ? 'Angle of the print, at the tips' : 'Helix angle (empty for spur)'}
            {...bind('helix')}
            echo={
              helixFrom === 'print' && helical
                ? `${dmsText(exact(helical.helixDeg.toFixed(6)))} at the pitch cylinder`
                : echoAngle(gear.helix)
            }
            suffix="°"
          />
        )}
        {helixFrom === 'lead' && (
          <LengthField label="Lead, for one whole turn" {...bind('lead')} units={units} />
        )}
        {sampled && helical ? (
          <HandAsk value={sampled.hand} onChange={onHand} issues={sampled.issues} />
        ) : (
          <EitherField
            label="Hand"
            options={HANDS}
            value={gear.hand}
            onChange={onHand}
            echo={`Standing on its face, the teeth lean to the ${gear.hand}.`}
          />
        )}
        <EitherField
          label="The pitch above is"
          options={PLANES}
          {...bind('pitchPlane')}
          echo={
            gear.pitchPlane === 'transverse'
              ? 'The cutter has the normal pitch, which is finer.'
              : 'The cutter’s own.'
          }
        />
        <MeasureField
          label={`${other} pitch${helixFrom === 'pitches' ? '' : ', if given'}`}
          {...bind('otherPitch')}
          units={PITCH_UNITS}
          unitShown={otherRead.ok ? otherRead.value.system : gear.otherPitch.unit}
          echo={
            gear.otherPitch.typed === '' && helical && gear.pitchPlane === 'normal'
              ? `it comes to module ${decimalText(helical.transverseModule, 4)}`
              : gear.otherPitch.typed === ''
                ? ''
                : echoPitch(gear.otherPitch)
          }
        />
      </div>
    </Fold>
  );
}
