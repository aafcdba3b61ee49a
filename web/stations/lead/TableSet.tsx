import { smallAngleText } from '../../../core/dividing/index.ts';
import type { LeadInput } from '../../../core/lead/index.ts';
import { lengthText } from '../../../core/units/index.ts';
import { LayCutter } from '../LayCutter.tsx';
import type { StationProps } from '../../panel/index.ts';

interface TableSetProps extends StationProps<'lead'> {
  readonly set: (change: Partial<LeadInput>) => void;
}

/** Which way table or head goes for this hand, and how far on the machine’s own scale. */
export function TableSet({ station, part, units, set }: TableSetProps) {
  const { table, hand } = station.detail;
  if (!table) return null;
  const wider =
    table.wider === null
      ? ''
      : `; a tooth space may get ${lengthText(table.wider, units, 'fine')} wider at its mouth`;
  return (
    <LayCutter
      heading="Lay the cutter along the tooth"
      setting={table}
      how={part.lead}
      set={set}
      rest={`${smallAngleText(table.off / 360)} ${table.off > 0 ? 'over' : 'under'}${wider}`}
      hand={`${hand === 'right' ? 'Right' : 'Left'}-hand teeth.`}
    >
      {table.arborAlong && (
        <p className="said">
          Over 45° the table cannot be swung so far: an attachment carries the arbor lengthwise, and the table
          goes the other way by what is left of 90°.
        </p>
      )}
      {table.by === 'head' && (
        <p className="said">
          The table stays straight. Lock the head, and set the cutter to the height of the work’s middle, not
          to its top.
        </p>
      )}
      {table.reach !== null && (
        <p className="soft">
          Swung, a corner of the table reaches {lengthText(table.reach, units)} towards the column.
        </p>
      )}
    </LayCutter>
  );
}
