import { Segmented } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { sayIssue } from '../../../core/messages/index.ts';
import { withCutter } from '../../../core/job/index.ts';
import { rangeText, type JudgedCutter } from '../../../core/cutter/index.ts';
import { decimalText, degreesOf } from '../../../core/units/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';
import { FormErrors } from './FormErrors.tsx';
import { MakeCutter } from './MakeCutter.tsx';
import { WhichTool } from './WhichTool.tsx';
import { ListTable } from '../../frame/index.ts';

const COUNT_BY = [
  { value: 'disk', label: 'by the round cutter' },
  { value: 'book', label: 'by the book' },
] as const;
const VERDICT = { fits: '✓ fits', unsure: '? ask first', out: 'out' } as const;

/**
 * Which of the owned cutters serves, what it leaves on the flank, and the tool that could be ground instead.
 */
export function CutterPanel(props: StationProps<'cutter'>) {
  const { station, part, units, shop, edit, editPart } = props;
  const { set, owned, inForce, virtual, ground } = station.detail;
  const [comparing, setComparing] = useState(false);
  const take = (id: string | null) =>
    edit((now) => withCutter({ job: now, partId: part.id, cutterId: id, shop }));
  return (
    <>
      <Values values={station.values} units={units} />
      {virtual && (
        <div className="other-head">
          <span>
            Cut as {decimalText(virtual.book, 1)} teeth by the book
            {virtual.disk !== null && `, ${decimalText(virtual.disk, 1)} by the cutter’s own roundness`}
          </span>
          <Segmented
            aria-label="Which rule counts"
            options={[...COUNT_BY]}
            value={part.cutter.countBy}
            onChange={(countBy) => editPart((now) => ({ ...now, cutter: { ...now.cutter, countBy } }))}
          />
        </div>
      )}
      <Owned owned={owned} inForce={inForce} onTake={take} none={shop.cutters.length === 0} />
      {ground && <FormErrors ground={ground} angleDeg={degreesOf(ground.form.pressureAngle)} />}
      {ground && (
        <details className="schools" onToggle={({ currentTarget }) => setComparing(currentTarget.open)}>
          <summary>Which tool: bought, ground, turned with buttons, or a hob</summary>
          {comparing && <WhichTool {...props} ground={ground} />}
        </details>
      )}
      <MakeCutter {...props} />
      <details className="schools">
        <summary>The set of eight in both schools</summary>
        <ListTable file="cutter-set">
          <caption>Each made for the lowest count of its range</caption>
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
        </ListTable>
      </details>
    </>
  );
}

const OUT_SHOWN = 3;

/** Why it serves or does not: a wrong pitch says enough. */
function why({ reasons }: JudgedCutter): string {
  const pitch = reasons.find(({ code }) => code === 'cutter-pitch');
  return (pitch ? [pitch] : reasons).map(sayIssue).join(' ') || 'Pitch, angle and range are right.';
}

interface OwnedProps {
  readonly owned: readonly JudgedCutter[];
  readonly inForce: JudgedCutter | null;
  readonly onTake: (id: string | null) => void;
  readonly none: boolean;
}

/** The owner’s cutters, the best for this gear first, each with why it serves or does not. */
function Owned({ owned, inForce, onTake, none }: OwnedProps) {
  const [all, setAll] = useState(false);
  if (none)
    return (
      <p className="said">
        No form cutters are listed yet. <Link to="/shop/cutters">List yours in the shop</Link>, and this
        station says which of them serves.
      </p>
    );
  if (owned.length === 0) return null;
  const fits = owned.filter(({ verdict }) => verdict !== 'out');
  // those of the right form come first; of the others a few say enough
  const outs = owned.filter(({ verdict }) => verdict === 'out');
  const few = fits.length > 0 ? 0 : OUT_SHOWN;
  const shown = [...fits, ...(all ? outs : outs.slice(0, few))];
  const [nearest] = owned.filter(({ sameForm }) => sameForm);
  return (
    <section aria-label="Cutters in the shop">
      <h3 className="methods-head">Of the cutters in the shop</h3>
      {fits.length === 0 && (
        <p className="said">
          None of the {owned.length} serves.{' '}
          {nearest
            ? `The nearest of this pitch and angle is ${nearest.name}; its curve below shows what it would leave.`
            : 'None is of this pitch and angle.'}
        </p>
      )}
      <ol className="found-list">
        {shown.map((one) => {
          const chosen = one.id === inForce?.id;
          return (
            <li key={one.id}>
              <span className="found-gear">
                {one.name} <small>{one.range ? rangeText(one.range) : 'range not known'}</small>
              </span>
              <span className="cutter-take">
                <span className={`cutter-verdict is-${one.verdict}`}>{VERDICT[one.verdict]}</span>
                <button
                  type="button"
                  className={one.verdict === 'out' && !chosen ? 'plain-link' : 'use-button'}
                  onClick={() => onTake(chosen ? null : one.id)}
                  aria-label={chosen ? `Put ${one.name} back` : `Use ${one.name}`}
                >
                  {chosen ? 'put it back' : one.verdict === 'out' ? 'all the same' : 'Use it'}
                </button>
              </span>
              <small className="found-fits">{why(one)}</small>
            </li>
          );
        })}
      </ol>
      {outs.length > few && (
        <button type="button" className="plain-link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `${outs.length - few} ${few > 0 ? 'more ' : ''}are out: show why`}
        </button>
      )}
    </section>
  );
}
