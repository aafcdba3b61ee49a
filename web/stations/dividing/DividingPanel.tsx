import { Select } from 'antd';
import { useId } from 'react';
import { crankTurnsText, moveText, type Way } from '../../../core/dividing/index.ts';
import { withHead } from '../../../core/job/index.ts';
import { Notice } from '../../frame/index.ts';
import type { StationProps } from '../panel.ts';
import { Values } from '../Values.tsx';
import { useWays } from '../../workers/index.ts';
import { Differential } from './Differential.tsx';
import { Proved } from './Proved.tsx';

const SHOWN = [
  'plate',
  'arms',
  'onSpindle',
  'firstOnStud',
  'secondOnStud',
  'onPlateShaft',
  'idlers',
  'plateTurns',
  'spindleAngle',
  'crankAngle',
  'direction',
];

/** The ways of dividing on this head, the one in force, and its proof. */
export function DividingPanel({
  station,
  part,
  units,
  shop,
  equipment,
  edit,
  editPart,
}: StationProps<'dividing'>) {
  const { head, ways, inForce, otherHeads } = station.detail;
  const headId = useId();
  const ground = [...equipment.heads, ...shop.heads].find(({ id }) => id === head?.id) ?? null;
  const found = useWays(ground, [...equipment.gearSets, ...shop.gearSets], station.detail.divisions);
  const heads = [...shop.heads, ...(head && !shop.heads.some(({ id }) => id === head.id) ? [head] : [])];
  const choose = (way: Way) =>
    editPart((now) => ({ ...now, dividing: { ...now.dividing, choice: way.choice } }));
  const takeHead = (id: string) => {
    const chosen = shop.heads.find((candidate) => candidate.id === id);
    if (chosen) edit((job) => withHead(job, part.id, chosen, shop));
  };
  return (
    <>
      {inForce && (
        <p className="said">
          {inForce.move.spaces === 0
            ? 'Whole turns only: the pin goes back into the hole it came from.'
            : `${inForce.move.turns === 0 ? 'No whole turn. ' : ''}Arms span ${inForce.armsHoles} holes; the pin’s own hole is not counted.`}
        </p>
      )}
      <div className="field head-field">
        <label htmlFor={headId}>Head</label>
        <Select
          id={headId}
          value={head?.id ?? null}
          options={heads.map(({ id, name, ratio }) => ({ value: id, label: `${name}, ${ratio} : 1` }))}
          onChange={(id) => id && takeHead(id)}
          style={{ width: '100%' }}
        />
      </div>
      {otherHeads.length > 0 && <OtherHeads heads={otherHeads} onTake={takeHead} />}
      <Values values={station.values} units={units} only={SHOWN} />
      {inForce && <Proved way={inForce} ratio={head?.ratio ?? ''} />}
      {ways.length > 0 && <WaysTable ways={ways} inForce={inForce} onChoose={choose} />}
      {station.detail.divisions !== null && (
        <Differential found={found} inForce={inForce} onChoose={choose} />
      )}
    </>
  );
}

/** Where this head has no way: those in the shop that do. */
function OtherHeads({
  heads,
  onTake,
}: {
  readonly heads: StationProps<'dividing'>['station']['detail']['otherHeads'];
  readonly onTake: (id: string) => void;
}) {
  return (
    <Notice tone="good" word="Another head in the shop divides it:">
      {heads.map(({ id, name, move }) => (
        <p key={id} className="other-head">
          {name}: {move}
          <button type="button" className="use-button" onClick={() => onTake(id)}>
            Use this head
          </button>
        </p>
      ))}
    </Notice>
  );
}

function WaysTable({
  ways,
  inForce,
  onChoose,
}: {
  readonly ways: readonly Way[];
  readonly inForce: Way | null;
  readonly onChoose: (way: Way) => void;
}) {
  return (
    <table className="list ways">
      <caption>
        {ways.length === 1 ? 'The only way on this head' : `All ${ways.length} ways on this head, best first`}
      </caption>
      <thead>
        <tr>
          <th scope="col">Simple indexing</th>
          <th scope="col" className="num">
            turns
          </th>
          <th scope="col">to change</th>
          <th scope="col">
            <span className="visually-hidden">choose</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way) => {
          const chosen = way.key === inForce?.key;
          const words = moveText({ ...way.move, circle: way.move.circle.holes });
          return (
            <tr key={way.key} className={chosen ? 'is-best' : ''}>
              <td>{way.move.spaces === 0 ? `${words}, ${way.move.circle.holes} circle` : words}</td>
              <td className="num">{crankTurnsText(way.move)}</td>
              <td>{way.change ?? 'nothing'}</td>
              <td>
                <button
                  type="button"
                  className="use-button"
                  aria-pressed={chosen}
                  onClick={() => onChoose(way)}
                  disabled={chosen}
                >
                  {chosen ? 'in use' : 'Use'}
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
