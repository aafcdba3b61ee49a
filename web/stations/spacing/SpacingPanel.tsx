import { Segmented, Select } from 'antd';
import { useId } from 'react';
import { Link } from 'react-router';
import { dividingGround } from '../../../core/plan/index.ts';
import type { SpacingInput } from '../../../core/spacing/index.ts';
import { measure, parseCount } from '../../../core/units/index.ts';
import { PITCH_UNITS, echoAngle, echoPitch, LengthField, MeasureField } from '../../fields/index.ts';
import { NearCounts } from '../../strip/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';

const BY: readonly { readonly value: SpacingInput['by']; readonly label: string }[] = [
  { value: 'count', label: 'So many round' },
  { value: 'angle', label: 'By an angle' },
  { value: 'pitch', label: 'A rack' },
  { value: 'length', label: 'Along a line' },
];
const WHAT = ['holes', 'slots', 'flats', 'splines', 'marks', 'teeth', 'spaces'].map((value) => ({
  value,
  // by the name they go by at the mill
  label: value === 'spaces' ? 'places' : value,
}));

/** What is to be divided where there is no gear. */
export function SpacingPanel({
  station,
  part,
  units,
  job,
  shop,
  editPart,
  issuesAt,
}: StationProps<'spacing'>) {
  const { spacing } = part;
  const whatId = useId();
  const { head, gearSets } = dividingGround(job, shop, part);
  const count = parseCount({ given: spacing.count, what: 'The count', least: 2, most: 1000 });
  const set = (change: Partial<SpacingInput>) =>
    editPart((now) => ({ ...now, spacing: { ...now.spacing, ...change } }));
  const at = issuesBelow(issuesAt, 'spacing');
  const round = spacing.by === 'count' || spacing.by === 'angle';
  const bind = bindTo(spacing, set, at);
  return (
    <>
      <Segmented
        aria-label="How they are spaced"
        value={spacing.by}
        onChange={(by) => set({ by })}
        options={[...BY]}
      />
      <div className="fields">
        <MeasureField
          label="How many"
          {...bind('count')}
          autoFocus={spacing.count.typed === ''}
          placeholder="7"
        />
        <div className="field">
          <label htmlFor={whatId}>Of what</label>
          <Select
            id={whatId}
            value={spacing.what}
            options={WHAT}
            onChange={(what) => set({ what: what })}
            style={{ width: '100%' }}
          />
          <div className="field-said" />
        </div>
        {spacing.by === 'angle' && (
          <MeasureField
            label="Angle from one to the next"
            {...bind('angle')}
            echo={echoAngle(spacing.angle)}
            suffix="°"
            placeholder="17° 30′"
          />
        )}
        {spacing.by === 'pitch' && (
          <MeasureField
            label="Pitch of the rack"
            {...bind('pitch')}
            units={PITCH_UNITS}
            echo={echoPitch(spacing.pitch)}
            placeholder="1.5 or 16 DP"
          />
        )}
        {spacing.by === 'length' && (
          <LengthField label="From one to the next" {...bind('length')} units={units} />
        )}
        {round && (
          <LengthField
            label="On a diameter of"
            {...bind('diameter')}
            units={units}
            hint={
              spacing.what === 'flats'
                ? 'The stock the flats are cut on.'
                : 'May be left empty; shows what an error comes to there.'
            }
          />
        )}
        {spacing.by === 'count' && spacing.what === 'flats' && (
          <LengthField
            label="Across flats"
            {...bind('acrossFlats')}
            units={units}
            hint="The depth of each flat follows from it."
          />
        )}
        <LengthField label="Depth" {...bind('depth')} units={units} hint="May be left empty." />
      </div>
      {spacing.by === 'count' && (
        <NearCounts
          head={head}
          gearSets={gearSets}
          count={count.ok ? count.value : null}
          onChoose={(chosen) => set({ count: measure(String(chosen), 'count') })}
        />
      )}
      <Values values={station.values} units={units} />
      {station.complete && (
        <p>
          <Link className="plain-link" to={`/jobs/${job.id}/${part.id}/table`}>
            Cut list: every one in order
          </Link>
        </p>
      )}
    </>
  );
}
