import { useRef, type ReactNode } from 'react';
import { saveTable } from './saveTable.ts';

interface ListTableProps {
  /** Of the file it is saved as, without ending. */
  readonly file: string;
  readonly className?: string;
  readonly children: ReactNode;
}

const plain = ({ innerText, textContent }: HTMLElement): string =>
  (innerText ?? textContent ?? '').replace(/\s+/g, ' ').trim();

/** What a cell says, as it is read; what is only there to be pressed says nothing on paper. */
const cellText = (cell: HTMLElement): string => {
  const buttons = [...cell.querySelectorAll<HTMLElement>('button')].map(plain).join(' ').trim();
  const text = plain(cell);
  return text === buttons ? '' : text;
};

/** Rows that say nothing are left out, and columns that say nothing below their heading. */
function withoutEmpty(rows: readonly (readonly string[])[]): string[][] {
  const said = new Set(rows.slice(1).flatMap((row) => row.flatMap((cell, i) => (cell === '' ? [] : [i]))));
  return rows.map((row) => row.filter((_, i) => said.has(i))).filter((row) => row.some(Boolean));
}

/** A list of rows, which can be had as CSV just as it is shown. */
export function ListTable({ file, className = '', children }: ListTableProps) {
  const table = useRef<HTMLTableElement>(null);
  const save = () => {
    const rows = [...(table.current?.rows ?? [])].map((row) => [...row.cells].map(cellText));
    void saveTable(`${file}.csv`, withoutEmpty(rows));
  };
  return (
    <>
      <table ref={table} className={`list ${className}`.trim()}>
        {children}
      </table>
      <p className="table-out">
        <button type="button" className="plain-link" onClick={save}>
          save as CSV
        </button>
      </p>
    </>
  );
}
