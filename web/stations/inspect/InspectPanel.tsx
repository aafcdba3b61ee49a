import { Checkbox } from 'antd';
import { MEASURING_TOOLS, type MeasuringTool } from '../../../core/shop/index.ts';
import { editShop } from '../../edits/index.ts';
import { KeepReadings } from './KeepReadings.tsx';
import { PutBack } from './PutBack.tsx';
import { ReadingsRound } from './ReadingsRound.tsx';
import { goodFor, type Check, type InspectDetail, type InspectInput } from '../../../core/inspect/index.ts';
import { lengthText, type UnitSystem } from '../../../core/units/index.ts';
import { Length, LengthField } from '../../fields/index.ts';
import { Fold } from '../../frame/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import './inspect.css';

const TOOL_NAMES: Readonly<Record<MeasuringTool, string>> = {
  caliper: 'Caliper',
  'depth-gauge': 'Depth gauge',
  'gear-caliper': 'Gear-tooth caliper',
  'disk-micrometer': 'Disk micrometer',
  pins: 'Pins or balls, and a micrometer',
  indicator: 'Indicator',
};

/** What the gear should measure, what it does, and what that asks for while it is still on the head. */
export function InspectPanel(props: StationProps<'inspect'>) {
  const { station, part, units, shop, editPart, issuesAt } = props;
  const { checks, verdict, runout } = station.detail;
  const { inspect } = part;
  const lacking = checks.filter(({ owned, reading }) => !owned && reading === null);
  const set = (change: Partial<InspectInput>) =>
    editPart((now) => ({ ...now, inspect: { ...now.inspect, ...change } }));
  const at = issuesBelow(issuesAt, 'inspect');
  const mm = (value: number) => lengthText(Math.abs(value), units, 'fine');
  const bind = bindTo(inspect, set, at);
  return (
    <>
      {verdict?.agreed && (
        <p className="said" aria-live="polite">
          {verdict.thick > verdict.tolerance ? (
            <>
              Still on the head? Sink <b>{mm(verdict.sink)}</b> more, all the way round
              {verdict.dial !== mm(verdict.sink) && (
                <>
                  : <b>{verdict.dial}</b> of the dial
                </>
              )}
              . Off it: the pair has {mm(verdict.thick)} less backlash than planned.
            </>
          ) : verdict.thick < -verdict.tolerance ? (
            <>
              Undersize by {mm(verdict.thick)}: backlash will be that much more than planned. For a drive that
              turns one way it may serve.
            </>
          ) : (
            <>Within {mm(verdict.tolerance)} of what it should be.</>
          )}{' '}
          {besides(checks, verdict)}
        </p>
      )}
      <ul className="inspect-checks" aria-label="Measurements">
        {checks
          .filter(({ owned, reading }) => owned || reading !== null)
          .map((check) => (
            <li key={check.id}>
              <Should check={check} units={units} />
              {check.out ? (
                <p className="soft inspect-out">Not here: {check.out}.</p>
              ) : (
                <LengthField
                  label={`${check.name}, as read`}
                  value={inspect[check.id]}
                  onChange={(value) => set({ [check.id]: value })}
                  issues={at(check.id)}
                  units={units}
                  hint={thickText(check, units)}
                />
              )}
              {!check.out && check.thick !== null && at(check.id).length === 0 && (
                <p className="inspect-says">{thickText(check, units)}</p>
              )}
            </li>
          ))}
      </ul>
      <div className="fields">
        <LengthField
          label="Runout, least to most all round"
          {...bind('runout')}
          units={units}
          hint="Indicator on the blank, or on a pin in each tooth space."
        />
        {inspect.sunk.typed !== '' && (
          <LengthField
            label="Sunk deeper since, in all"
            {...bind('sunk')}
            units={units}
            hint="The depth is judged against it."
          />
        )}
        <LengthField
          label="A tooth may be off by"
          {...bind('tolerance')}
          units={units}
          hint={`Empty: ${lengthText(0.03, units, 'fine')}.`}
        />
        <LengthField
          label="Diameter of the pins"
          {...bind('pin')}
          units={units}
          hint={
            station.detail.pin === null
              ? ''
              : `Empty: ${lengthText(station.detail.pin, units, 'fine')}, as usual.`
          }
        />
      </div>
      {lacking.length > 0 && (
        <p className="soft">
          Not with the tools here: {lacking.map(({ name }) => name.toLowerCase()).join(', ')}.
        </p>
      )}
      <ReadingsRound {...props} />
      {runout && (
        <p className="said">
          The work runs {mm(runout.eccentric)} off its axis: depth varies by {mm(runout.depth)} either way,
          tooth thickness by {mm(runout.thickness)}, pitch by up to {mm(runout.pitch)} once round. In all:{' '}
          {goodFor(runout.reading)}.
        </p>
      )}
      <KeepReadings {...props} />
      <Fold className="schools" summary="When it is off the head">
        <ol className="inspect-after">
          <li>Brush off, then deburr both faces; a light chamfer on the tips for looks and handling.</li>
          <li>
            Cut from a bar: part off beyond the face, with the kerf and something to face allowed for.
            Stacked: take the blanks apart and keep their order.
          </li>
          <li>Count the teeth once more, by marks of ten.</li>
          <li>Try it in place with its mate, a full turn of the larger, before anything is hardened.</li>
        </ol>
      </Fold>
      <PutBack {...props} />
      <Fold className="schools" summary="What there is to measure with">
        <div className="inspect-tools">
          {MEASURING_TOOLS.map((tool) => (
            <Checkbox
              key={tool}
              checked={shop.tools.includes(tool)}
              onChange={({ target }) =>
                editShop((now) => ({
                  ...now,
                  tools: MEASURING_TOOLS.filter((each) =>
                    each === tool ? target.checked : now.tools.includes(each),
                  ),
                }))
              }
            >
              {TOOL_NAMES[tool]}
            </Checkbox>
          ))}
        </div>
      </Fold>
    </>
  );
}

function thickText({ thick }: Check, units: UnitSystem): string {
  if (thick === null) return '';
  if (Math.abs(thick) < 0.0005) return 'as it should be';
  return `teeth ${lengthText(Math.abs(thick), units, 'fine')} too ${thick > 0 ? 'thick' : 'thin'} by it`;
}

function Should({ check, units }: { readonly check: Check; readonly units: UnitSystem }) {
  const { name, set, out, should, within } = check;
  return (
    <dl className="inspect-should">
      <dt>
        {name}
        <small className="soft">
          {set}
          {within !== null && `, ± ${lengthText(within, units, 'fine')}`}
        </small>
      </dt>
      <dd>{out ? '' : <Length mm={should} units={units} />}</dd>
    </dl>
  );
}

/** Which of several readings that agree is gone by, and why. */
function besides(checks: readonly Check[], verdict: NonNullable<InspectDetail['verdict']>): string {
  const told = checks.filter(({ thick }) => thick !== null);
  const best = told.find(({ id }) => id === verdict.by);
  const others = told.filter((check) => check !== best).map(({ name }) => name.toLowerCase());
  if (!best || others.length === 0) return '';
  return `Said by ${best.name.toLowerCase()}, which feels the teeth most; ${others.join(' and ')} ${others.length === 1 ? 'agrees' : 'agree'}.`;
}
