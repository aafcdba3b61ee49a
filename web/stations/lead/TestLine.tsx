import { layOrder } from '../../../core/lead/index.ts';
import { dmsText, exact, lengthText } from '../../../core/units/index.ts';
import type { StationProps } from '../../panel/index.ts';

/** What one scribed line must show before anything is cut, and how far the cutter reaches along the work. */
export function TestLine({ station, units }: StationProps<'lead'>) {
  const { detail } = station;
  const { test, faceWidth, table } = detail;
  const order = layOrder(table?.by ?? 'table');
  if (!test || faceWidth === null) return null;
  return (
    <section aria-label="Test line">
      <h3 className="methods-head">Before cutting, in this order</h3>
      <ol className="lead-steps">
        <li>{order.centre}.</li>
        <li>{order.swing}, as above; clamp it.</li>
        <li>
          {order.scribe}. A pointer in place of the cutter, just touching; work the table along the face once.
        </li>
        <li>
          Over {lengthText(faceWidth, units)} the work must turn{' '}
          <b>{dmsText(exact(test.spindleDeg.toFixed(6)))}</b>, and the line go{' '}
          <b>{lengthText(test.round, units)}</b> round the outside.
        </li>
        <li>
          Seen from above it {test.leans === 'towards' ? 'comes towards you' : 'goes away from you'} as it
          runs to the right. If it leans the other way: one idler more or less.
        </li>
        <li>Draw the pointer clear before running back: the gears have slack.</li>
      </ol>
      {detail.approach !== null && (
        <p className="soft">
          The cutter touches {lengthText(detail.approach, units)} before it is at depth, measured along the
          work; it is clear that far beyond the other end.
        </p>
      )}
    </section>
  );
}
