import { Select } from 'antd';
import { useEffect, useId, useState } from 'react';
import { Link } from 'react-router';
import {
  armsText,
  MOST_WAYS,
  rankMethods,
  type MethodAnswer,
  type Way,
} from '../../../core/dividing/index.ts';
import { withDividing, withHead, withMill, withSpurPart } from '../../../core/job/index.ts';
import { isGear } from '../../../core/kinds/index.ts';
import { dividingGround } from '../../../core/plan/index.ts';
import { measure } from '../../../core/units/index.ts';
import { MeasureField } from '../../fields/index.ts';
import { Fold, Notice } from '../../frame/index.ts';
import { useWays } from '../../workers/index.ts';
import { issuesBelow, useOfferedWay, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';
import { ErrorsRound } from './ErrorsRound.tsx';
import { MakePlate } from './MakePlate.tsx';
import { MethodsList } from './MethodsList.tsx';
import { PreparationList } from './PreparationList.tsx';
import { Proved } from './Proved.tsx';
import '../ways.css';
import './dividing.css';

/** What the answer, the head's name or the gears by position say already. */
const NOT_SHOWN = new Set(['divisions', 'move', 'ratio', 'train']);

/** The ways of dividing on this head, the one in force, its proof, and what to do on the head for it. */
export function DividingPanel(props: StationProps<'dividing'>) {
  const { station, part, units, shop, job, edit, editPart, issuesAt } = props;
  const { aim, line, methods, inForce, preparation, made, lead } = station.detail;
  /** How often the plate to be made was asked for: it opens each time, also where it was closed since. */
  const [making, setMaking] = useState(0);
  /** Ways of each method that are looked at; more once all are asked for. */
  const [most, setMost] = useState(MOST_WAYS);
  const ground = dividingGround(job, shop, part);
  const { head } = ground;
  const { found: searched, broken } = useWays(
    head && aim ? { head, gearSets: ground.gearSets, steppers: ground.steppers, lead } : null,
    aim,
    most,
  );
  const answers = rankMethods([...methods, ...(searched?.methods ?? [])]);
  const offer = useOfferedWay((offered) => offered.offer);
  const best = inForce === null && searched !== null ? bestExact(answers) : null;
  useEffect(() => {
    offer(part.id, best);
    return () => offer(part.id, null);
    // the same way, found anew at each drawing, is no other offer
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [offer, part.id, best?.key]);
  const make = () => setMaking((times) => times + 1);
  const choose = (way: Way) =>
    edit((now) => withDividing(now, part.id, (dividing) => ({ ...dividing, choice: way.choice })));
  const takeTeeth = (teeth: number) =>
    edit((now) =>
      withSpurPart(now, part.id, (own) => ({
        ...own,
        gear: { ...own.gear, teeth: measure(String(teeth), 'count') },
      })),
    );
  const at = issuesBelow(issuesAt, 'dividing');
  const shown = station.values.filter(({ key }) => !NOT_SHOWN.has(key)).map(({ key }) => key);
  return (
    <>
      {inForce && <p className="said">{saidOf(inForce)}</p>}
      {lead && (
        <p className="said">
          {lead.drive === 'worm'
            ? 'A helical gear: the table turns the work through these gears, so the plate turns with it and only the crank’s own pin divides.'
            : 'A helical gear driven past the worm: the crank divides nothing, only a ring between spindle and work.'}
        </p>
      )}
      {line ? <MillField {...props} /> : <HeadField {...props} />}
      <OtherHeads {...props} />
      <Values values={station.values} units={units} only={shown} />
      {inForce && <Proved way={inForce} ratio={head?.ratio ?? ''} aim={aim} />}
      {inForce && (
        <PreparationList
          steps={preparation}
          way={inForce}
          head={line ? null : head}
          lead={lead}
          shopHeads={shop.heads}
        />
      )}
      {aim && (
        <Fold
          className="more"
          summary={waysSaid(answers, searched === null && broken === null)}
          open={inForce === null || !inForce.proof.everySpaceTrue}
        >
          <MethodsList
            answers={answers}
            searching={searched === null}
            broken={broken}
            nearest={searched?.nearest ?? []}
            inForce={inForce}
            ratio={head?.ratio ?? ''}
            diameter={aim.diameter}
            onChoose={choose}
            onMore={setMost}
            onCount={isGear(part) ? takeTeeth : null}
            onMake={aim.full ? make : null}
          />
        </Fold>
      )}
      {inForce && (
        <p>
          <Link className="plain-link" to={`/jobs/${job.id}/${part.id}/table`}>
            The table of every move, to read or to print
          </Link>
        </p>
      )}
      {aim?.full && aim.stride === 1 && head && (
        <p>
          <Link className="plain-link" to={`/chart?job=${job.id}&part=${part.id}&for=${aim.spaces}`}>
            A way from a book: is it good? Use it
          </Link>
        </p>
      )}
      {aim?.full && aim.spaces > 2 && (
        <details className="more">
          <summary>Block order: cut every so many-th one, to spread heat and error</summary>
          <MeasureField
            label="After number 1 comes number 1 +"
            value={part.dividing.stride}
            onChange={(stride) => editPart((now) => ({ ...now, dividing: { ...now.dividing, stride } }))}
            issues={at('stride')}
            echo="1 cuts them in order. Any number that shares no factor with the count meets every one once."
          />
        </details>
      )}
      {inForce && aim && head && <ErrorsRound way={inForce} aim={aim} ratio={head.ratio} units={units} />}
      {aim && head && (
        <MakePlate
          key={making}
          {...props}
          head={head}
          plate={made}
          open={making > 0 || (lead !== null && !inForce)}
          comeIntoSight={making > 0}
        />
      )}
    </>
  );
}

/** The least trouble that comes out exactly. */
const bestExact = (answers: readonly MethodAnswer[]): Way | null =>
  answers.flatMap(({ out, ways }) => (out === null ? ways : [])).find(({ proof }) => proof.everySpaceTrue) ??
  null;

/** How many ways there are, before they are looked at: `The ways on this head: 53`. */
function waysSaid(answers: readonly MethodAnswer[], searching: boolean): string {
  const total = answers.reduce((sum, answer) => sum + (answer.out === null ? answer.total : 0), 0);
  return searching ? `The ways on this head: ${total} so far` : `The ways on this head: ${total}`;
}

function saidOf({ choice, because }: Way): string {
  switch (choice.method) {
    case 'simple':
    case 'differential':
      return choice.spaces === 0
        ? 'Whole turns only: the pin goes back into the hole it came from.'
        : `${choice.turns === 0 ? 'No whole turn. ' : ''}Arms: ${armsText(choice.spaces)}.`;
    default:
      return `${because[0]!.toUpperCase()}${because.slice(1)}.`;
  }
}

/** Which head divides. */
function HeadField({ station, part, shop, job, edit }: StationProps<'dividing'>) {
  const { head } = station.detail;
  const id = useId();
  const own = job.equipment.heads.find((known) => known.id === head?.id);
  const heads = [...shop.heads, ...(own && !shop.heads.some((live) => live.id === own.id) ? [own] : [])];
  return (
    <div className="field head-field">
      <label htmlFor={id}>Head</label>
      <Select
        id={id}
        value={head?.id ?? null}
        options={heads.map(({ id: value, name, ratio }) => ({ value, label: `${name}, ${ratio} : 1` }))}
        onChange={(chosen) => {
          const taken = shop.heads.find((candidate) => candidate.id === chosen);
          if (taken) edit((now) => withHead({ job: now, partId: part.id, head: taken, shop }));
        }}
        style={{ width: '100%' }}
      />
    </div>
  );
}

/** Whose table is moved, for a rack or a scale. */
function MillField({ station, part, shop, edit }: StationProps<'dividing'>) {
  const id = useId();
  return (
    <div className="field head-field">
      <label htmlFor={id}>Mill</label>
      <Select
        id={id}
        value={station.detail.mill?.id ?? null}
        options={shop.mills.map((mill) => ({
          value: mill.id,
          label: `${mill.name}, ${mill.lead.typed} ${mill.lead.unit} a turn, ${mill.marks} marks`,
        }))}
        onChange={(chosen) =>
          chosen && edit((now) => withMill({ job: now, partId: part.id, millId: chosen, shop }))
        }
        style={{ width: '100%' }}
      />
    </div>
  );
}

/** Where this head has no way: those in the shop that do. */
function OtherHeads({ station, part, shop, edit }: StationProps<'dividing'>) {
  const { otherHeads } = station.detail;
  if (otherHeads.length === 0) return null;
  const take = (id: string) => {
    const head = shop.heads.find((candidate) => candidate.id === id);
    if (head) edit((now) => withHead({ job: now, partId: part.id, head, shop }));
  };
  return (
    <Notice tone="good" word="Another head in the shop divides it:">
      {otherHeads.map(({ id, name, move }) => (
        <p key={id} className="other-head">
          {name}: {move}
          <button type="button" className="use-button" onClick={() => take(id)}>
            Use this head
          </button>
        </p>
      ))}
    </Notice>
  );
}
