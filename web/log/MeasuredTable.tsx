import type { MeasuredRecord } from '../../core/inspect/index.ts';
import { lengthText, type UnitSystem } from '../../core/units/index.ts';
import { ListTable } from '../frame/index.ts';

interface MeasuredTableProps {
  readonly title: string;
  readonly record: MeasuredRecord;
  readonly units: UnitSystem;
}

/** What was read on a piece at one time, beside what it should have been. */
export function MeasuredTable({ title, record, units }: MeasuredTableProps) {
  const mm = (value: number) => lengthText(value, units, 'fine');
  return (
    <>
      <h3>{title}</h3>
      <ListTable file="measured">
        <tbody>
          {record.readings.map(({ name, read, should, by }) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="num">{mm(read)}</td>
              <td>{should !== null && `should be ${mm(should)}`}</td>
              <td>{by && `by ${by}`}</td>
            </tr>
          ))}
          {record.verdict !== '' && (
            <tr>
              <td>Teeth</td>
              <td colSpan={3}>{record.verdict}</td>
            </tr>
          )}
        </tbody>
      </ListTable>
    </>
  );
}
