import { smallAngleText } from '../../../core/dividing/index.ts';
import type { LeadInput } from '../../../core/lead/index.ts';
import { dmsText, exact, lengthText } from '../../../core/units/index.ts';
import { EitherField } from '../../fields/index.ts';
import type { StationProps } from '../panel.ts';

const SET_UPS = [
  { value: 'table', label: 'swing table' },
  { value: 'head', label: 'tilt head' },
] as const;
const SIDES = [
  { value: 'near', label: 'near side' },
  { value: 'far', label: 'far side' },
] as const;

const angle = (degrees: number): string => dmsText(exact(Math.abs(degrees).toFixed(6)));

interface TableSetProps extends StationProps<'lead'> {
  readonly set: (change: Partial<LeadInput>) => void;
}

/** Which way table or head goes for this hand, and how far on the machine’s own scale. */
export function TableSet({ station, part, units, set }: TableSetProps) {
  const { table, hand } = station.detail;
  if (!table) return null;
  const byHead = table.by === 'head';
  const way = byHead
    ? `Tilt the head: its top to the ${table.way}`
    : table.way === 'away'
      ? 'Push the table’s right end away from you'
      : 'Pull the table’s right end towards you';
  return (
    <section aria-label="Table">
      <h3 className="methods-head">Lay the cutter along the tooth</h3>
      <div className="fields">
        <EitherField label="How" options={SET_UPS} value={part.lead.setUp} onChange={(setUp) => set({ setUp })} />
        {byHead && (
          <EitherField
            label="Stub arbor, cutter on the"
            options={SIDES}
            value={part.lead.side}
            onChange={(side) => set({ side })}
          />
        )}
      </div>
      <p className="said">
        {way}, to <b>{angle(table.scale)}</b> on the scale
        {Math.abs(table.off) * 60 >= 0.5
          ? `: the nearest mark, ${smallAngleText(table.off / 360)} ${table.off > 0 ? 'over' : 'under'}${table.wider === null ? '' : `; a space may get ${lengthText(table.wider, units, 'fine')} wider at its mouth`}`
          : ''}
        . {hand === 'right' ? 'Right' : 'Left'}-hand teeth.
      </p>
      {table.arborAlong && (
        <p className="said">
          Over 45° the table cannot be swung so far: an attachment carries the arbor lengthwise, and the table goes the
          other way by what is left of 90°.
        </p>
      )}
      {byHead && (
        <p className="said">
          The table stays straight. Lock the head, and set the cutter to the height of the work’s middle, not to its top.
        </p>
      )}
      {table.reach !== null && (
        <p className="soft">Swung, a corner of the table reaches {lengthText(table.reach, units)} towards the column.</p>
      )}
    </section>
  );
} // prettier-ignore
