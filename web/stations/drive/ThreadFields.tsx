import { bindTo, type FieldIssues } from '../../panel/index.ts';
import type { DriveInput } from '../../../core/drive/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { echoAngle, EitherField, LengthField, MeasureField } from '../../fields/index.ts';

const SCHOOLS = [
  { value: '29', label: '29°' },
  { value: '40', label: '40°' },
  { value: 'typed', label: 'own' },
] as const;

const SAYS = {
  '29': 'By the pitch: 0.6866 deep. Printed for one and two starts.',
  '40': 'By module: 2.2 m deep.',
  typed: 'As on the print or the old worm.',
} as const;

interface ThreadFieldsProps {
  readonly drive: DriveInput;
  readonly set: (change: Partial<DriveInput>) => void;
  readonly at: FieldIssues<DriveInput>;
  readonly units: UnitSystem;
}

/** Which school the thread goes by, or its own angle and heights. */
export function ThreadFields({ drive, set, at, units }: ThreadFieldsProps) {
  const { thread } = drive;
  const change = (part: Partial<DriveInput['thread']>) => set({ thread: { ...thread, ...part } });
  const bind = bindTo(thread, change, (field) => at(`thread.${field}`));
  return (
    <div className="fields">
      <EitherField
        label="Tool angle of the thread"
        options={SCHOOLS}
        {...bind('school')}
        echo={SAYS[thread.school]}
      />
      {thread.school === 'typed' && (
        <>
          <MeasureField
            label="Both flanks together"
            {...bind('angle')}
            echo={echoAngle(thread.angle)}
            suffix="°"
          />
          <LengthField label="Addendum, above the pitch line" {...bind('addendum')} units={units} />
          <LengthField label="Whole depth of the thread" {...bind('depth')} units={units} />
        </>
      )}
    </div>
  );
}
