import type { CountFromStock } from '../../core/arrival/index.ts';
import { takeCount } from '../../core/job/index.ts';
import { dividingGround } from '../../core/plan/index.ts';
import { parsePitch, type Measure, type UnitSystem } from '../../core/units/index.ts';
import { REACHES, type Reach } from '../../core/dividing/index.ts';
import { PITCH_UNITS, echoPitch, Length, LengthField, MeasureField } from '../fields/index.ts';
import { CountStrip } from '../strip/index.ts';
import { useReach, WorkBroke } from '../workers/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../panel/index.ts';
import { useFace } from './face.ts';
import { ListTable } from '../frame/index.ts';

/** Said in a narrow column, where no plate and no ring has it. */
const BESIDES: Readonly<Record<Reach, string>> = {
  direct: 'direct',
  simple: 'simple',
  differential: 'with gears',
  compound: 'with two pins',
  handwheel: 'by the wheel',
  none: 'not exactly',
};
const WITH: Readonly<Record<CountFromStock['indexes'], string>> = {
  ring: 'directly, on the head’s own ring',
  mounted: 'simply, on the plate that is on the head',
  plate: 'simply, with a plate change',
  no: '',
};
const INDEXES: Readonly<Record<CountFromStock['indexes'], string>> = {
  ring: 'direct, its ring',
  mounted: 'simple, plate on',
  plate: 'simple, other plate',
  no: '',
};

/** A bar end or a disc: what gears it has room for, from the largest down. */
export function StockPanel({
  station,
  part,
  units,
  job,
  shop,
  edit,
  editPart,
  issuesAt,
}: StationProps<'gear'>) {
  const { turn } = useFace(job.id, part);
  const { arrival, gear } = part;
  const { head, gearSets } = dividingGround(job, shop, part);
  const answer = station.detail.arrival.by === 'blank' ? station.detail.arrival.answer : null;
  const { found: reach, broken } = useReach(answer && head ? [head] : [], { gearSets, to: 1000 });
  if (arrival.by !== 'blank') return null;
  const { stock, taken } = arrival;
  const set = (change: Partial<Record<'diameter' | 'cleanUp', Measure>>) =>
    editPart((now) =>
      now.arrival.by === 'blank'
        ? { ...now, arrival: { ...now.arrival, stock: { ...now.arrival.stock, ...change } } }
        : now,
    );
  const pitch = parsePitch(gear.pitch);
  const at = issuesBelow(issuesAt, 'arrival.stock');
  const take = (teeth: number) => {
    edit((now) => takeCount(now, part.id, teeth));
    turn('gear');
  };
  const best = answer && answer.recommended !== null ? answer.counts[answer.recommended]! : null;
  const how = (one: CountFromStock) => {
    if (one.indexes !== 'no') return INDEXES[one.indexes];
    const place = reach?.[one.teeth - 2];
    return place === undefined ? '…' : BESIDES[REACHES[place]!];
  };
  const bind = bindTo(stock, set, at);
  return (
    <>
      <div className="fields">
        <LengthField label="Diameter of the piece" {...bind('diameter')} units={units} />
        <LengthField
          label="Off the outside to clean it up"
          {...bind('cleanUp')}
          units={units}
          hint="In all, on the diameter."
        />
        <MeasureField
          label="Pitch wanted"
          value={gear.pitch}
          onChange={(value) => editPart((now) => ({ ...now, gear: { ...now.gear, pitch: value } }))}
          units={PITCH_UNITS}
          unitShown={pitch.ok ? pitch.value.system : gear.pitch.unit}
          issues={issuesAt('gear.pitch')}
          echo={echoPitch(gear.pitch)}
        />
      </div>
      {!answer && (
        <p className="said">With the diameter and a pitch, every gear it can become is listed here.</p>
      )}
      {answer && best && (
        <>
          <p className="said">{reasonFor(best, answer.largest)}</p>
          <WorkBroke what="Working out the counts" broken={broken} />
          <CountStrip
            reach={reach}
            to={answer.largest}
            chosen={taken ?? best.teeth}
            onChoose={take}
            near={8}
          />
          {head && <p className="soft">How each indexes on {head.name}; another is picked at Dividing.</p>}
          <StockTable
            counts={answer.counts}
            best={best}
            taken={taken}
            how={how}
            units={units}
            onTake={take}
          />
        </>
      )}
    </>
  );
}

/** Why the one at the top is recommended. */
function reasonFor(best: CountFromStock, largest: number): string {
  if (best.indexes === 'no')
    return `${best.teeth} is the largest the piece has room for. Nothing near it indexes without gears on this head.`;
  if (best.teeth === largest)
    return `${largest} is the largest the piece has room for, and it indexes ${WITH[best.indexes]}.`;
  return `${largest} is the largest the piece has room for; ${best.teeth} is recommended: the first that indexes ${WITH[best.indexes]}, and it leaves more to clean up.`;
}

interface StockTableProps {
  readonly counts: readonly CountFromStock[];
  readonly best: CountFromStock;
  readonly taken: number | null;
  readonly how: (one: CountFromStock) => string;
  readonly units: UnitSystem;
  readonly onTake: (teeth: number) => void;
}

function StockTable({ counts, best, taken, how, units, onTake }: StockTableProps) {
  const rows = [best, ...counts.filter((one) => one !== best)];
  return (
    <ListTable file="gears-from-the-piece" className="is-stacked">
      <thead>
        <tr>
          <th scope="col" className="num">
            Teeth
          </th>
          <th scope="col" className="num">
            Turn to
          </th>
          <th scope="col" className="num">
            Comes off
          </th>
          <th scope="col">Indexes</th>
          <th scope="col">
            <span className="visually-hidden">Take</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((one) => (
          <tr key={one.teeth} className={one === best ? 'is-best' : ''}>
            <td className="num">{one.teeth}</td>
            <td className="num">
              <Length mm={one.tipDiameter} units={units} finish="shop" />
            </td>
            <td className="num">
              <Length mm={one.remove} units={units} finish="shop" />
            </td>
            <td>{how(one)}</td>
            <td>
              <button
                type="button"
                className={`use-button ${one === best && taken === null ? 'is-next' : ''}`}
                disabled={one.teeth === taken}
                onClick={() => onTake(one.teeth)}
                aria-label={`Take ${one.teeth} teeth`}
              >
                {one.teeth === taken ? 'taken' : 'Take it'}
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </ListTable>
  );
}
