import type { StationProps } from '../panel.ts';
import { Values } from '../Values.tsx';

/** The cutter's number in both schools. */
export function CutterPanel({ station, units }: StationProps<'cutter'>) {
  const { set } = station.detail;
  return (
    <>
      <Values values={station.values} units={units} />
      <table className="list">
        <caption>The set of eight, each made for the lowest count of its range</caption>
        <thead>
          <tr>
            <th scope="col">Cuts</th>
            <th scope="col">Inch school</th>
            <th scope="col">Metric school</th>
          </tr>
        </thead>
        <tbody>
          {set.map(({ inch, metric, range, covers }) => (
            <tr key={inch} className={covers ? 'is-best' : ''}>
              <td>
                {range}
                {covers && <span className="visually-hidden"> (covers this count)</span>}
              </td>
              <td>No. {inch}</td>
              <td>No. {metric}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
