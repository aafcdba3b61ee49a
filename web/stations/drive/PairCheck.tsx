import type { DriveInput } from '../../../core/drive/index.ts';
import { decimalText, dmsText, exact } from '../../../core/units/index.ts';
import { Length, MeasureField } from '../../fields/index.ts';
import { bindTo, type StationProps, type FieldIssues } from '../../panel/index.ts';

interface PairCheckProps extends StationProps<'drive'> {
  readonly set: (change: Partial<DriveInput>) => void;
  readonly at: FieldIssues<DriveInput>;
}

const degrees = (deg: number): string => dmsText(exact(deg.toFixed(4)));

/** How the two run together: ratio, contact, and whether the wheel can turn the worm. */
export function PairCheck({ station, part, units, set, at }: PairCheckProps) {
  const { pair } = station.detail;
  if (!pair) return null;
  const bind = bindTo(part.drive, set, at);
  return (
    <section aria-label="The pair">
      <h3 className="methods-head">The pair</h3>
      <dl className="values">
        <div>
          <dt>Lead angle</dt>
          <dd>{degrees(pair.leadAngleDeg)}</dd>
        </div>
        <div>
          <dt>Angle of friction</dt>
          <dd>{degrees(pair.frictionDeg)}</dd>
        </div>
        <div>
          <dt>The wheel turns the worm</dt>
          <dd>{pair.selfLocking ? 'hardly: likely self-locking' : 'yes: not self-locking'}</dd>
        </div>
        <div>
          <dt>Teeth in contact, middle</dt>
          <dd>{decimalText(pair.contactRatio, 2)}</dd>
        </div>
        <div>
          <dt>The wheel reaches over</dt>
          <dd>
            <Length mm={pair.engaged} units={units} /> of worm
          </dd>
        </div>
        <div>
          <dt>Undercut below</dt>
          <dd>{decimalText(pair.undercutBelow, 1)} teeth</dd>
        </div>
      </dl>
      <div className="fields">
        <MeasureField
          label="Coefficient of friction"
          {...bind('friction')}
          echo={part.drive.friction.typed === '' ? 'Empty: 0.1, greased steel in bronze. Guidance only.' : ''}
          placeholder="0.1"
        />
      </div>
    </section>
  );
}
