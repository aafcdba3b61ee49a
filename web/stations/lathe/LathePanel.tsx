import { useState } from 'react';
import { Link } from 'react-router';
import { clearsStud, trainText } from '../../../core/gearing/index.ts';
import { withLathe } from '../../../core/job/index.ts';
import { decimalText, lengthText, plural } from '../../../core/units/index.ts';
import { astrayText, type LatheWay, type StartWay, type ThreadingInput } from '../../../core/worm/index.ts';
import { ChoiceField, Gears, Length, LengthField } from '../../fields/index.ts';
import { Fold, ListTable } from '../../frame/index.ts';
import { bindTo, type StationProps } from '../../panel/index.ts';
import { Values } from '../Values.tsx';
import '../ways.css';

/** The gears and the box setting that cut the worm’s lead, and how its starts are reached. */
export function LathePanel(props: StationProps<'lathe'>) {
  const { station, part, units, shop, job, edit, editPart, issuesAt } = props;
  const { detail } = station;
  const set = (change: Partial<ThreadingInput>) =>
    editPart((now) => ({ ...now, lathe: { ...now.lathe, ...change } }));
  const lathes = [...new Map([...shop.lathes, ...job.equipment.lathes].map((one) => [one.id, one])).values()];
  const bind = bindTo(part.lathe, set, (field) => issuesAt(`lathe.${field}`));
  return (
    <>
      <div className="fields">
        <ChoiceField
          label="Lathe"
          value={detail.lathe?.id ?? null}
          options={lathes.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => edit((now) => withLathe({ job: now, partId: part.id, latheId: id, shop }))}
          echo={
            detail.gearSet
              ? `with ${detail.gearSet.name}`
              : detail.lathe
                ? 'no change gears listed with it'
                : 'none chosen'
          }
        />
        <LengthField
          label="The thread may stray by"
          {...bind('allowed')}
          units={units}
          hint={`Over what the wheel reaches. Empty: ${lengthText(0.02, units, 'fine')}.`}
        />
      </div>
      {shop.lathes.length === 0 && (
        <p>
          <Link to="/shop/lathes">List a lathe in the shop</Link>: its leadscrew, box and change gears.
        </p>
      )}
      <Values
        values={station.values}
        units={units}
        only={['setting', 'train', 'wanted', 'lead', 'engaged', 'astray', 'starts']}
      />
      <Ways detail={detail} set={set} starts={detail.startCount} units={units} />
      <Starts
        detail={detail}
        set={set}
        chosen={part.lathe.startsBy}
        issues={issuesAt('lathe.startsBy').length > 0}
      />
      <StandIns detail={detail} units={units} />
    </>
  );
}

type Detail = StationProps<'lathe'>['station']['detail'];
const FEW = 5;
const keyOf = ({ setting, train }: LatheWay): string => `${setting} ${train ? trainText(train) : ''}`;

interface WaysProps {
  readonly detail: Detail;
  readonly set: (change: Partial<ThreadingInput>) => void;
  readonly starts: number;
  readonly units: StationProps<'lathe'>['units'];
}

/** Ways with other gears, but the same lead, are said once with the plainest. */
function byLead(ways: readonly LatheWay[]): readonly (readonly LatheWay[])[] {
  const groups = new Map<string, LatheWay[]>();
  for (const way of ways) groups.set(way.leadText, [...(groups.get(way.leadText) ?? []), way]);
  return [...groups.values()];
}

/** Setting and gears, the least astray first; each a press away. */
function Ways({ detail, set, starts, units }: WaysProps) {
  const [all, setAll] = useState(false);
  const { ways, inForce } = detail;
  if (ways.length === 0) return null;
  const used = inForce && keyOf(inForce);
  const divides = ({ train }: LatheWay) => starts > 1 && train !== null && train.driver % starts === 0;
  const clears = ({ train }: LatheWay) => train === null || clearsStud(train);
  const best = (group: readonly LatheWay[]) =>
    group.find((way) => keyOf(way) === used) ??
    group.find((way) => divides(way) && clears(way)) ??
    group.find(clears) ??
    group[0]!;
  const groups = byLead(ways);
  const rows = all
    ? ways.map((way) => ({ way, others: 0 }))
    : groups.slice(0, FEW).map((group) => ({ way: best(group), others: group.length - 1 }));
  return (
    <section className="methods" aria-label="Gears and settings">
      <h3 className="methods-head">Gears and box together, the least astray first</h3>
      {rows.map(({ way, others }) => (
        <div key={keyOf(way)} className={`method ${keyOf(way) === used ? 'is-best' : ''}`}>
          <div className="method-line lead-line">
            <span className="method-words">
              {way.setting && `box ${way.setting}, `}
              {way.train ? <Gears train={way.train} /> : 'gears one to one'}
            </span>
            <span className="num">{astrayText(way.overLength)}</span>
            <button
              type="button"
              className="use-button"
              aria-pressed={keyOf(way) === used}
              aria-label={keyOf(way) === used ? undefined : `Use ${keyOf(way)}`}
              disabled={keyOf(way) === used}
              onClick={() => set({ choice: { setting: way.setting, train: way.train } })}
            >
              {keyOf(way) === used ? 'in use' : 'Use'}
            </button>
          </div>
          <div className="method-why lead-why">
            Lead <Length mm={way.lead} units={units} />, {decimalText(way.ppm, 1)} in a million
            {!clears(way) && '; the wheels may foul the stud'}
            {divides(way) && `; its driver divides by ${starts}, for the starts`}
            {others > 0 && `; ${plural(others, 'other')} of the same lead`}
          </div>
        </div>
      ))}
      {ways.length > rows.length || all ? (
        <div className="lead-more">
          <button type="button" className="plain-link" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? 'Fewer' : `All ${ways.length}`}
          </button>
        </div>
      ) : null}
    </section>
  );
}

interface StartsProps {
  readonly detail: Detail;
  readonly set: (change: Partial<ThreadingInput>) => void;
  readonly chosen: StartWay['by'];
  readonly issues: boolean;
}

/** How the next start is reached: each way, and what keeps one out. */
function Starts({ detail, set, chosen, issues }: StartsProps) {
  if (detail.starts.length === 0) return null;
  return (
    <section className="methods" aria-label="Next start">
      <h3 className="methods-head">From one start to the next</h3>
      {issues && (
        <p className="field-issue is-query">
          ? The way in use cannot be gone here: choose another, or other gears.
        </p>
      )}
      {detail.starts.map((way) => (
        <div key={way.by} className={`method ${way.by === chosen ? 'is-best' : ''}`}>
          <div className="method-line lead-line">
            <span className="method-words">{way.name}</span>
            <span className="num">
              {way.off === null ? '' : way.off < 0.05 ? 'exact' : `${decimalText(way.off, 0)} µm off at most`}
            </span>
            <button
              type="button"
              className="use-button"
              aria-pressed={way.by === chosen}
              disabled={way.by === chosen || !way.possible}
              aria-label={`Use ${way.name.replace(/^By/, 'by')}`}
              onClick={() => set({ startsBy: way.by })}
            >
              {way.by === chosen ? 'in use' : way.possible ? 'Use' : 'out'}
            </button>
          </div>
          <div className="method-why lead-why">{way.say}</div>
        </div>
      ))}
    </section>
  );
}

/** What stands for π among whole gears, shown for what it is. */
function StandIns({
  detail,
  units,
}: {
  readonly detail: Detail;
  readonly units: StationProps<'lathe'>['units'];
}) {
  if (detail.standIns.length === 0 || detail.engaged === null) return null;
  return (
    <Fold className="schools" summary="Fractions that stand for π, and what they are off">
      <ListTable file="fractions-for-pi">
        <caption>
          Over the {lengthText(detail.engaged, units)} that the wheel reaches. Any gears that come nearer
          serve as well.
        </caption>
        <thead>
          <tr>
            <th scope="col">For π</th>
            <th scope="col" className="num">
              In a million
            </th>
            <th scope="col" className="num">
              Thread astray
            </th>
          </tr>
        </thead>
        <tbody>
          {detail.standIns.map(({ text, ppm, overLength }) => (
            <tr key={text}>
              <td>{text}</td>
              <td className="num">{decimalText(ppm, 2)}</td>
              <td className="num">{astrayText(overLength)}</td>
            </tr>
          ))}
        </tbody>
      </ListTable>
    </Fold>
  );
}
