import { Fragment, useState } from 'react';
import {
  crankTurnsText,
  errorText,
  MOST_WAYS,
  type Method,
  type MethodAnswer,
  type Way,
} from '../../../core/dividing/index.ts';
import { plural } from '../../../core/units/index.ts';
import { WorkBroke, type Broken } from '../../workers/index.ts';
import { ListTable } from '../../frame/index.ts';

const NAMES: Readonly<Record<Method, string>> = {
  simple: 'Simple',
  direct: 'Direct',
  differential: 'Differential',
  compound: 'Compound',
  handwheel: 'Handwheel',
  stepper: 'Motor',
  table: 'Table',
  approximate: 'Approximate',
};
const FEW = 6;
/** A longer table is read by nobody. */
const MOST_LISTED = 500;

interface MethodsListProps {
  /** Best first; those that are out come last. */
  readonly answers: readonly MethodAnswer[];
  /**
   * Is it not known yet what the longer search finds? Until then nothing is the best, and nothing has to be
   * made.
   */
  readonly searching: boolean;
  /** The search broke off. */
  readonly broken: Broken | null;
  /** Counts that can be had, where this one cannot. */
  readonly nearest: readonly number[];
  readonly inForce: Way | null;
  readonly ratio: string;
  /** Where an error is felt, mm. */
  readonly diameter: number | null;
  readonly onChoose: (way: Way) => void;
  /** Asks for so many ways of each method. */
  readonly onMore: (most: number) => void;
  /** Takes another count; null where the count is not this part’s own to change. */
  readonly onCount: ((count: number) => void) | null;
  /** Opens the plate or ring of this count that can be made; null where none can. */
  readonly onMake: (() => void) | null;
}

/**
 * Every method with its best way and why it stands where it does; the rest of its ways a press away; and why
 * others are out.
 */
export function MethodsList({
  answers,
  searching,
  broken,
  nearest,
  inForce,
  ratio,
  diameter,
  onChoose,
  onMore,
  onCount,
  onMake,
}: MethodsListProps) {
  const [open, setOpen] = useState<Method | null>(null);
  const serves = answers.filter(({ out }) => out === null);
  const outs = answers.filter(({ out }) => out !== null);
  return (
    <section className="methods" aria-label="Ways">
      <p className="soft">Least trouble first.</p>
      {serves.map((answer, i) => (
        <MethodRow
          key={answer.method}
          answer={answer}
          // an exact one is in brass below the drawing already
          isNext={i === 0 && inForce === null && !searching && !isExact(answer)}
          inForce={inForce}
          ratio={ratio}
          diameter={diameter}
          open={open === answer.method}
          onOpen={() => setOpen(open === answer.method ? null : answer.method)}
          onChoose={onChoose}
          onMore={onMore}
        />
      ))}
      {!searching && inForce === null && onMake && !serves.some(isExact) && (
        <div className="method">
          <div className="method-line">
            <span className="method-name">Made</span>
            <span className="method-words">a ring or plate of this count, exact</span>
            <button type="button" className="use-button is-next" onClick={onMake}>
              Make one
            </button>
          </div>
          <div className="method-why">drilled once on a readout or on this head; then one hole a move.</div>
        </div>
      )}
      <WorkBroke what="The search for trains, pairs of circles and near misses" broken={broken} />
      {searching && !broken && <p className="said">Looking for trains, pairs of circles and near misses…</p>}
      {nearest.length > 0 && (
        <p className="said">
          The nearest counts that can be had exactly:{' '}
          {onCount
            ? nearest.map((count) => (
                <Fragment key={count}>
                  <button type="button" className="use-button" onClick={() => onCount(count)}>
                    Take {count} teeth
                  </button>{' '}
                </Fragment>
              ))
            : `${nearest.join(' and ')}.`}
        </p>
      )}
      {outs.length > 0 && (
        <dl className="methods-out">
          {outs.map(({ method, out }) => (
            <div key={method}>
              <dt>{NAMES[method]} is out:</dt> <dd>{out}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

const isExact = ({ ways }: MethodAnswer): boolean => ways.some(({ proof }) => proof.everySpaceTrue);

interface RowProps {
  readonly answer: MethodAnswer;
  /** Nothing is in force yet, and this is the first to take. */
  readonly isNext: boolean;
  readonly inForce: Way | null;
  readonly ratio: string;
  /** Where an error is felt, mm. */
  readonly diameter: number | null;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onChoose: (way: Way) => void;
  readonly onMore: (most: number) => void;
}

function MethodRow(props: RowProps) {
  const { answer, isNext, inForce, diameter, open, onOpen, onChoose } = props;
  const { method, ways, total } = answer;
  // the one in force stands for its method, else the best
  const shown = ways.find(({ key }) => key === inForce?.key) ?? ways[0]!;
  const chosen = shown.key === inForce?.key;
  return (
    <div className={`method ${chosen ? 'is-best' : ''}`}>
      <div className="method-line">
        <span className="method-name">{NAMES[method]}</span>
        <span className="method-words">
          {shown.words}
          <ErrorMark way={shown} diameter={diameter} />
        </span>
        <UseButton way={shown} chosen={chosen} isNext={isNext} onChoose={onChoose} />
      </div>
      <div className="method-why">
        {shown.because}. To change: {shown.change ?? 'nothing'}.
        {ways.length > 1 && (
          <button type="button" className="plain-link" aria-expanded={open} onClick={onOpen}>
            {open ? 'Hide the others' : `All ${plural(total, 'way')}`}
          </button>
        )}
      </div>
      {open && <WaysTable {...props} />}
    </div>
  );
}

/** How far off a way is, where it does not come out exactly. */
function ErrorMark({ way, diameter }: { readonly way: Way; readonly diameter: number | null }) {
  if (way.proof.everySpaceTrue) return null;
  return <span className="method-error"> worst {errorText(way.proof.worst.turns, diameter)}</span>;
}

function UseButton({
  way,
  chosen,
  isNext = false,
  onChoose,
}: {
  readonly way: Way;
  readonly chosen: boolean;
  readonly isNext?: boolean;
  readonly onChoose: (way: Way) => void;
}) {
  return (
    <button
      type="button"
      className={`use-button ${isNext ? 'is-next' : ''}`}
      aria-label={chosen ? undefined : `Use ${way.words}`}
      aria-pressed={chosen}
      // pressed it stays where the focus is: the next key goes on from here
      aria-disabled={chosen}
      onClick={() => !chosen && onChoose(way)}
    >
      {chosen ? 'in use' : 'Use'}
    </button>
  );
}

function WaysTable({
  answer: { ways, total, method },
  inForce,
  ratio,
  diameter,
  onChoose,
  onMore,
}: RowProps) {
  // asked for more than the usual, they are found anew and all shown
  const [all, showAll] = useState(ways.length > MOST_WAYS);
  const geared = method === 'differential';
  // a motor’s move is told in steps already
  const cranked = !geared && method !== 'stepper';
  const most = Math.min(total, MOST_LISTED);
  // another circle of the same multiple is no other way: those are not asked for
  const asked = method !== 'simple' && ways.length < most;
  const more = asked || (!all && ways.length > FEW);
  return (
    <ListTable file="ways-of-dividing" className="ways">
      <caption>
        {plural(total, 'way')}
        {total > ways.length ? `, the best ${ways.length} here` : ''}
        {method === 'simple' &&
          total > 1 &&
          ': all the same part of a turn; a larger circle is only the truer'}
      </caption>
      <thead>
        <tr>
          <th scope="col">Move</th>
          {geared && <th scope="col">as if for</th>}
          {geared && <th scope="col">idlers</th>}
          {cranked && <th scope="col">turns of the crank</th>}
          <th scope="col">to change</th>
          <th scope="col">
            <span className="visually-hidden">choose</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {(all ? ways : ways.slice(0, FEW)).map((way) => {
          const chosen = way.key === inForce?.key;
          // the gears stand in the move already
          const change = way.change?.split('; ').filter((part) => !part.startsWith('gears'));
          return (
            <tr key={way.key} className={chosen ? 'is-best' : ''}>
              <td>
                {way.words}
                {way.proof.everySpaceTrue ? '' : <ErrorMark way={way} diameter={diameter} />}
                {way.geared?.clearsStud === false && <span className="soft"> may foul the stud</span>}
              </td>
              {geared && <td>{way.geared?.near}</td>}
              {geared && <td>{way.geared?.idlers}</td>}
              {cranked && <td>{crankTurnsText(way.choice, ratio)}</td>}
              <td>{change && change.length > 0 ? change.join('; ') : geared ? 'gears only' : 'nothing'}</td>
              <td>
                <UseButton way={way} chosen={chosen} onChoose={onChoose} />
              </td>
            </tr>
          );
        })}
      </tbody>
      {more && (
        <tfoot>
          <tr>
            <td colSpan={5}>
              <button
                type="button"
                className="use-button is-wide"
                onClick={() => {
                  showAll(true);
                  if (asked) onMore(most);
                }}
              >
                {asked && most < total ? 'Show the best' : 'Show all'} {asked ? most : ways.length}
              </button>
            </td>
          </tr>
        </tfoot>
      )}
    </ListTable>
  );
}
