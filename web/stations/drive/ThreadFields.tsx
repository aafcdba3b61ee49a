import type { DriveInput } from '../../../core/drive/index.ts';
import type { Issue } from '../../../core/findings/index.ts';
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
  readonly at: (field: string) => readonly Issue[];
  readonly units: UnitSystem;
}

/** Which school the thread goes by, or its own angle and heights. */
export function ThreadFields({ drive, set, at, units }: ThreadFieldsProps) {
  const { thread } = drive;
  const change = (part: Partial<DriveInput['thread']>) => set({ thread: { ...thread, ...part } });
  return (
    <div className="fields">
      <EitherField
        label="Tool angle of the thread"
        options={SCHOOLS}
        value={thread.school}
        onChange={(school) => change({ school })}
        echo={SAYS[thread.school]}
      />
      {thread.school === 'typed' && (
        <>
          <MeasureField
            label="Both flanks together"
            value={thread.angle}
            onChange={(angle) => change({ angle })}
            issues={at('thread.angle')}
            echo={echoAngle(thread.angle)}
            suffix={<span className="unit">°</span>}
          />
          <LengthField
            label="Addendum, above the pitch line"
            value={thread.addendum}
            onChange={(addendum) => change({ addendum })}
            issues={at('thread.addendum')}
            units={units}
          />
          <LengthField
            label="Whole depth of the thread"
            value={thread.depth}
            onChange={(depth) => change({ depth })}
            issues={at('thread.depth')}
            units={units}
          />
        </>
      )}
    </div>
  );
}
