import type { DriveInput } from '../../../core/drive/index.ts';
import { agreeOnDrive, drivesDiffer, partnerOf, withDrive } from '../../../core/job/index.ts';
import { leadFromThreads } from '../../../core/shop/index.ts';
import { parsePitch } from '../../../core/units/index.ts';
import { HANDS, PITCH_UNITS, echoPitch, EitherField, LengthField, MeasureField } from '../../fields/index.ts';
import { Notice } from '../../frame/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';
import { DriveSampleFields } from './DriveSampleFields.tsx';
import { PairCheck } from './PairCheck.tsx';
import { ThreadFields } from './ThreadFields.tsx';

const PITCH_BY = [
  { value: 'pitch', label: 'module, DP' },
  { value: 'axial', label: 'axial pitch' },
] as const;
const PLANES = [
  { value: 'axial', label: 'axial' },
  { value: 'normal', label: 'normal' },
] as const;
const SIZES = [
  { value: 'worm', label: 'the worm' },
  { value: 'centre', label: 'the distance' },
] as const;

/** What worm and wheel have in common; a change here stands on both cards. */
export function DrivePanel(props: StationProps<'drive'>) {
  const { station, part, units, job, edit, issuesAt } = props;
  const { drive } = part;
  const set = (change: Partial<DriveInput>) =>
    edit((now) => withDrive(now, part.id, (was) => ({ ...was, ...change })));
  const at = issuesBelow(issuesAt, 'drive');
  const partner = partnerOf(job, part.id);
  const pitch = parsePitch(drive.pitch);
  const { shape } = station.detail;
  const sample = <DriveSampleFields {...props} set={set} at={at} />;
  // while only the old ones are known, what was read off them comes first
  const readingsFirst = shape === null && station.detail.sample.read;
  const bind = bindTo(drive, set, at);
  return (
    <>
      {partner && drivesDiffer(job, part.id) && (
        <Notice
          tone="query"
          word="The two cards stand apart."
          actions={
            <button
              type="button"
              className="use-button is-wide"
              onClick={() => edit((now) => agreeOnDrive(now, part.id))}
            >
              Put these figures on the {partner.kind} too
            </button>
          }
        >
          A change here does not reach the {partner.kind} until they agree again.
        </Notice>
      )}
      {readingsFirst && sample}
      <div className="fields">
        <EitherField label="The pitch is given as" options={PITCH_BY} {...bind('pitchBy')} />
        {drive.pitchBy === 'pitch' ? (
          <MeasureField
            label="Pitch"
            {...bind('pitch')}
            units={PITCH_UNITS}
            unitShown={pitch.ok ? pitch.value.system : drive.pitch.unit}
            echo={echoPitch(drive.pitch)}
          />
        ) : (
          <LengthField
            label="Axial pitch"
            value={drive.axialPitch}
            onChange={(typed) => set({ axialPitch: leadFromThreads(typed.typed) ?? typed })}
            issues={at('axialPitch')}
            units={units}
            hint="Thread to thread, also of several starts. Or 4 tpi."
          />
        )}
        {drive.pitchBy === 'pitch' && (
          <EitherField
            label="That pitch is meant"
            options={PLANES}
            {...bind('plane')}
            echo={
              drive.plane === 'normal'
                ? 'As a stock cutter has it.'
                : 'A stock cutter has the normal one, a little finer.'
            }
          />
        )}
        <MeasureField label="Starts of the worm" {...bind('starts')} />
        <MeasureField
          label="Teeth of the wheel"
          {...bind('teeth')}
          placeholder="40"
          echo={
            shape && drive.teeth.typed.includes(':')
              ? `${shape.teeth} teeth`
              : drive.teeth.typed === ''
                ? 'Or the ratio: 40:1.'
                : ''
          }
        />
        <EitherField label="Fixed first" options={SIZES} {...bind('sizeBy')} />
        {drive.sizeBy === 'worm' ? (
          <LengthField
            label="Pitch diameter of the worm"
            {...bind('wormDiameter')}
            units={units}
            hint="Yours to choose: thicker is stiffer, and flatter."
          />
        ) : (
          <LengthField
            label="Centre distance"
            {...bind('centre')}
            units={units}
            hint="The worm is what the wheel leaves of it."
          />
        )}
        <EitherField label="Hand of both" options={HANDS} {...bind('hand')} />
      </div>
      <ThreadFields drive={drive} set={set} at={at} units={units} />
      <Values
        values={station.values}
        units={units}
        only={['lead', 'leadAngle', 'wormDiameter', 'wheelDiameter', 'centre', 'usual']}
      />
      <PairCheck {...props} set={set} at={at} />
      {!readingsFirst && sample}
    </>
  );
}
