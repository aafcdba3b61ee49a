import { withMill } from '../../../core/job/index.ts';
import { isSpaced } from '../../../core/kinds/index.ts';
import { CLEAR_BY, surfaceSpeedText, timeText, type SetupInput } from '../../../core/setup/index.ts';
import { decimalText, lengthText, measure, plural, type UnitSystem } from '../../../core/units/index.ts';
import { ChoiceField, Length, LengthField, MeasureField } from '../../fields/index.ts';
import { Fold, ListTable } from '../../frame/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { Along } from './Along.tsx';
import { CentreIt } from './CentreIt.tsx';
import { Holding } from './Holding.tsx';
import { KeywayFields } from './KeywayFields.tsx';
import { RoomList } from './RoomList.tsx';
import { RoundReadings } from './RoundReadings.tsx';
import type { SetupPieceProps } from './pieceProps.ts';
import './setup.css';

/**
 * How the work is held, brought under the cutter and run past it: figures for this machine, each piece with
 * its reason.
 */
export function SetupPanel(props: StationProps<'setup'>) {
  const { station, units, editPart, issuesAt } = props;
  const set = (change: Partial<SetupInput>) =>
    editPart((now) => ({ ...now, setup: { ...now.setup, ...change } }));
  const piece: SetupPieceProps = {
    ...props,
    set,
    at: issuesBelow(issuesAt, 'setup'),
  };
  const { fits, round, along } = station.detail;
  return (
    <>
      <Chosen {...piece} />
      <Fold
        className="more"
        summary={holdingSaid(props)}
        open={station.detail.reasons.some(({ against }) => against)}
      >
        <Holding {...piece} />
      </Fold>
      <Fold className="more" summary={`Bring the cutter to the middle${centringSaid(station.detail, units)}`}>
        <CentreIt {...piece} />
      </Fold>
      <Running {...piece} />
      <Fold
        className="more"
        summary={`Will it fit?${fitSay(fits)}`}
        open={fits.some((fit) => fit.fits === false)}
      >
        <RoomList {...piece} />
      </Fold>
      <ClearAt {...piece} />
      <Fold
        className="more"
        summary={`Indicated round the blank${round ? `: ${lengthText(round.runout, units, 'fine')} of runout` : ''}`}
      >
        <RoundReadings {...piece} />
      </Fold>
      <Fold className="more" summary={`Indicated along the travel${along ? ', entered' : ''}`}>
        <Along {...piece} />
      </Fold>
      <Fold className="more" summary="A keyway in it">
        <KeywayFields {...piece} />
      </Fold>
    </>
  );
}

const HELD = {
  mandrel: 'on a mandrel between centres',
  stub: 'on a stub in the head',
  chuck: 'in a chuck',
  bar: 'as one long bar',
} as const;

/** How the work is held and which way all goes, in one line. */
function holdingSaid({ part: { setup }, station: { detail } }: StationProps<'setup'>): string {
  const ways = [
    HELD[setup.holding],
    `head at the ${setup.headAt}`,
    `cutter ${setup.spin === 'clockwise' ? '↻' : '↺'}`,
    ...(detail.mill?.upright ? [setup.side === 'front' ? 'in front' : 'behind'] : []),
    `table to the ${setup.feed}`,
  ];
  return `Held ${ways.join(', ')}`;
}

/** The move to the middle by the school chosen, where it is known. */
function centringSaid(
  { centrings, centring }: StationProps<'setup'>['station']['detail'],
  units: UnitSystem,
): string {
  const chosen = centrings.find(({ by }) => by === centring);
  if (!chosen || chosen.move === null) return '';
  return `: ${chosen.dial ?? lengthText(chosen.move, units, 'fine')}`;
}

function fitSay(fits: StationProps<'setup'>['station']['detail']['fits']): string {
  const short = fits.filter((fit) => fit.fits === false).length;
  if (short > 0) return ` ✕ ${short} too short`;
  return fits.some((fit) => fit.fits) ? ' ✓ what is known does' : '';
}

/** Material, machine and cutter. */
function Chosen({ station, part, units, shop, edit, set, at }: SetupPieceProps) {
  const { mill, material, cutter } = station.detail;
  const { setup } = part;
  // nobody draws the blank of what is only divided
  const needsFace = isSpaced(part);
  const bind = bindTo(setup, set, at);
  return (
    <>
      <div className="fields">
        <ChoiceField
          label="Material"
          {...bind('materialId')}
          // the owner's own figures before those to start from
          options={[...shop.materials]
            .sort((a, b) => Number(a.starting) - Number(b.starting))
            .map(({ id, name, speed }) => ({ value: id, label: `${name}, ${speed}` }))}
          echo={
            material === null
              ? 'Speed and feed follow from it.'
              : material.starting
                ? 'A figure to start from. Write your own over it in the shop.'
                : ''
          }
        />
        <ChoiceField
          label="Mill"
          value={mill?.id ?? null}
          options={shop.mills.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => edit((now) => withMill({ job: now, partId: part.id, millId: id, shop }))}
          echo={mill && (mill.upright ? 'upright spindle' : 'arbor across the table')}
        />
        {needsFace && <LengthField label="Length that is cut" {...bind('face')} units={units} />}
        {needsFace && <LengthField label="Outside of the work" {...bind('outside')} units={units} />}
      </div>
      <Fold className="more" summary={cutterSaid(cutter, units)} open={!cutterKnown(cutter)}>
        <div className="fields">
          <LengthField
            label="Cutter diameter"
            {...bind('cutterDiameter')}
            units={units}
            hint={
              cutter.diameter !== null
                ? `Empty: ${lengthText(cutter.diameter, units)}, the cutter’s own.`
                : 'Measure it over its teeth.'
            }
          />
          <LengthField
            label="Cutter width"
            {...bind('cutterWidth')}
            units={units}
            hint={cutter.width !== null ? `Empty: ${lengthText(cutter.width, units)}, the cutter’s own.` : ''}
          />
          <MeasureField
            label="Teeth of the cutter"
            {...bind('cutterTeeth')}
            echo={cutter.teeth === null ? '1 for a fly cutter.' : `${cutter.teeth}`}
          />
        </div>
      </Fold>
    </>
  );
}

/** What the cutter is run at, and how long all takes. */
function Running({ station, part, units, set, at }: SetupPieceProps) {
  const { data, minutes } = station.detail;
  const bind = bindTo(part.setup, set, at);
  return (
    <>
      {data && (
        <dl className="values">
          <div>
            <dt>Spindle</dt>
            <dd>
              {decimalText(data.rpm, 1)} <span className="unit">rpm</span>{' '}
              <span className="other-unit">{decimalText(data.rpmWanted, 1)} wanted</span>
            </dd>
          </div>
          {data.beside.length > 0 && (
            <div>
              <dt>Either step</dt>
              <dd className="setup-steps-beside">
                {data.beside.map(({ rpm, speed }) => (
                  <button
                    key={rpm}
                    type="button"
                    className="unit-button"
                    aria-pressed={rpm === data.rpm}
                    onClick={() => set({ speedSet: measure(String(rpm), 'count') })}
                  >
                    {decimalText(rpm, 1)} rpm: {surfaceSpeedText(speed, units)}
                  </button>
                ))}
              </dd>
            </div>
          )}
          {data.feed !== null && (
            <div>
              <dt>Feed</dt>
              <dd>
                {decimalText(units === 'mm' ? data.feed : data.feed / 25.4, units === 'mm' ? 1 : 2)}{' '}
                <span className="unit">{units}/min</span>{' '}
                <span className="other-unit">
                  {data.chip !== null && `${lengthText(data.chip, units, 'fine')} a tooth`}
                </span>
              </dd>
            </div>
          )}
          {minutes !== null && (
            <div>
              <dt>For the whole job</dt>
              <dd>about {timeText(minutes)}</dd>
            </div>
          )}
        </dl>
      )}
      <Fold className="more" summary="Set speed, feed and time by hand">
        <div className="fields">
          <MeasureField
            label="Spindle speed, rpm"
            {...bind('speedSet')}
            echo="Empty: the step at or below what is wanted."
          />
          <LengthField
            label="Feed a minute"
            {...bind('feedSet')}
            units={units}
            hint="Empty: the step at or below what is wanted."
          />
          <MeasureField label="Seconds to run back" {...bind('returnSeconds')} echo="Empty: 15." />
          <MeasureField label="Seconds to index" {...bind('indexSeconds')} echo="Empty: 30." />
        </div>
      </Fold>
    </>
  );
}

type CutterSizes = StationProps<'setup'>['station']['detail']['cutter'];

const cutterKnown = ({ diameter, width, teeth }: CutterSizes): boolean =>
  diameter !== null && width !== null && teeth !== null;

/** The cutter's sizes in one line, wherever they are known from. */
function cutterSaid({ diameter, width, teeth }: CutterSizes, units: UnitSystem): string {
  const sizes = [
    diameter === null ? 'diameter not known' : `Ø ${lengthText(diameter, units)}`,
    width === null ? 'width not known' : `${lengthText(width, units)} wide`,
    teeth === null ? 'teeth not known' : plural(teeth, 'tooth', 'teeth'),
  ];
  return `The cutter: ${sizes.join(', ')}`;
}

/** Where the table is clear, from the first touch. */
function ClearAt({ station, part, units, set }: SetupPieceProps) {
  const { stroke, sink, tableDial, firstTouch, travels } = station.detail;
  if (sink)
    return (
      <section aria-label="Where it is clear to index">
        <h3>Where it is clear to index</h3>
        <p className="said">
          The cutter is sunk where it stands. Spindle stopped, set the dial of the depth to 0 where it just
          touches; at the bottom it reads <b>{sink.dial}</b>. Index only past 0 again,{' '}
          {lengthText(CLEAR_BY, units)} and more.
        </p>
      </section>
    );
  if (!stroke || !tableDial) return null;
  const entry = part.setup.indexAt === 'entry';
  const rows = [
    {
      key: 'set',
      what: `First cut, first touch: set the ${travels} to`,
      mm: firstTouch !== null && firstTouch >= 0.005 ? firstTouch : 0,
      dial: tableDial.firstTouch,
      brass: false,
    },
    {
      key: 'zero',
      what: entry ? 'Clear: index before this' : 'First touch, at full depth',
      mm: 0,
      dial: '',
      brass: entry,
    },
    {
      key: 'face',
      what: 'Cutter’s middle over the face',
      mm: stroke.approach,
      dial: tableDial.approach,
      brass: false,
    },
    {
      key: 'through',
      what: 'Through: the whole face is at depth',
      mm: stroke.through,
      dial: tableDial.through,
      brass: false,
    },
    {
      key: 'after',
      what: entry ? 'Clear on the far side' : 'Clear: index after this',
      mm: stroke.clearAfter,
      dial: tableDial.clearAfter,
      brass: !entry,
    },
  ];
  return (
    <section aria-label="Where it is clear to index">
      <div className="setup-head">
        <h3>Where it is clear to index</h3>
        <span className="setup-ends">
          {(['entry', 'exit'] as const).map((end) => (
            <button
              key={end}
              type="button"
              className="use-button"
              aria-pressed={part.setup.indexAt === end}
              onClick={() => set({ indexAt: end })}
            >
              {end === 'entry' ? 'Index where it enters' : 'Index where it leaves'}
            </button>
          ))}
        </span>
      </div>
      <ListTable file="where-it-is-clear" className="setup-clear">
        <tbody>
          {rows.map(({ key, what, mm, dial, brass }) => (
            <tr key={key} className={brass ? 'is-brass' : ''}>
              <td>{what}</td>
              <td className="num">
                <Length mm={mm} units={units} finish="shop" />
              </td>
              <td className="soft">{dial}</td>
            </tr>
          ))}
        </tbody>
      </ListTable>
      <p className="soft">
        0 is the touch at full depth; a shallower cut touches later. Leave {lengthText(CLEAR_BY, units)}{' '}
        beside it. Each cut takes {lengthText(stroke.travel[part.setup.indexAt], units)} of travel.
      </p>
    </section>
  );
}
