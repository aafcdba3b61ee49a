import { useState } from 'react';
import { choiceText, moveText, trainText, type Way, type WaysFound } from '../../../core/dividing/index.ts';

interface DifferentialProps {
  /** Null while the search is under way. */
  readonly found: WaysFound | null;
  readonly inForce: Way | null;
  readonly onChoose: (way: Way) => void;
}

const FEW = 6;

/** Ways with the plate geared to the spindle, or why there are none. */
export function Differential({ found, inForce, onChoose }: DifferentialProps) {
  const [all, showAll] = useState(false);
  if (!found) return <p className="said">Looking for differential ways…</p>;
  const { ways, total, out, nearest } = found;
  if (out) return <p className="said">Differential indexing is out: {out}</p>;
  if (total === 0) {
    return (
      <p className="said">
        No differential train of these gears reaches this count.
        {nearest.length > 0 && ` The nearest counts that can be had: ${nearest.join(' and ')}.`}
      </p>
    );
  }
  return (
    <table className="list ways">
      <caption>
        By differential indexing, the plate geared to the spindle: {total} {total === 1 ? 'way' : 'ways'}
        {total > ways.length ? `, the best ${ways.length} here` : ''}
      </caption>
      <thead>
        <tr>
          <th scope="col">Move</th>
          <th scope="col">gears</th>
          <th scope="col">idlers</th>
          <th scope="col">to change</th>
          <th scope="col">
            <span className="visually-hidden">choose</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {(all ? ways : ways.slice(0, FEW)).map((way) => (
          <DifferentialRow key={way.key} way={way} chosen={way.key === inForce?.key} onChoose={onChoose} />
        ))}
      </tbody>
      {!all && ways.length > FEW && (
        <tfoot>
          <tr>
            <td colSpan={5}>
              <button type="button" className="use-button" onClick={() => showAll(true)}>
                Show all {ways.length}
              </button>
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}

interface RowProps {
  readonly way: Way;
  readonly chosen: boolean;
  readonly onChoose: (way: Way) => void;
}

function DifferentialRow({ way, chosen, onChoose }: RowProps) {
  const { move, geared, change } = way;
  if (!geared) return null;
  // the gears have a column of their own
  const plate = change?.split('; ').find((part) => !part.startsWith('gears'));
  return (
    <tr className={chosen ? 'is-best' : ''}>
      <td className="whole">{moveText({ ...move, circle: move.circle.holes })}</td>
      <td>
        {trainText(geared.train)}
        {!geared.clearsStud && <span className="soft"> may foul the stud</span>}
      </td>
      <td>{geared.idlers}</td>
      <td>{plate ?? 'no plate'}</td>
      <td>
        <button
          type="button"
          className="use-button"
          aria-label={chosen ? undefined : `Use ${choiceText(way.choice)}`}
          aria-pressed={chosen}
          onClick={() => onChoose(way)}
          disabled={chosen}
        >
          {chosen ? 'in use' : 'Use'}
        </button>
      </td>
    </tr>
  );
}
