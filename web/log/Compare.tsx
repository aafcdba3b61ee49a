import { Button } from 'antd';
import { useState } from 'react';
import { compareRuns } from '../../core/logbook/index.ts';
import type { LogEntry } from '../../core/wire/index.ts';
import { dayText, ListTable } from '../frame/index.ts';

interface CompareProps {
  readonly a: LogEntry;
  readonly b: LogEntry;
  readonly onClose: () => void;
}

/** Two runs side by side; what differs stands out. */
export function Compare({ a, b, onClose }: CompareProps) {
  const [onlyOther, setOnlyOther] = useState(false);
  const lines = compareRuns(a, b).filter(({ differs }) => differs || !onlyOther);
  return (
    <article className="run-page">
      <div className="log-beside">
        <h2>Side by side</h2>
        <Button onClick={() => setOnlyOther(!onlyOther)}>
          {onlyOther ? 'Show everything' : 'Only what differs'}
        </Button>
        <Button onClick={onClose}>Back to the one run</Button>
      </div>
      <ListTable file="runs-compared" className="log-compare">
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">{dayText(a.startedAt)}</th>
            <th scope="col">{dayText(b.startedAt)}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ label, a: one, b: two, differs }) => (
            <tr key={label} className={differs ? 'differs' : ''}>
              <th scope="row">
                {differs ? '≠ ' : ''}
                {label}
              </th>
              <td>{one}</td>
              <td>{two}</td>
            </tr>
          ))}
        </tbody>
      </ListTable>
    </article>
  );
}
