import { Segmented } from 'antd';
import { useState } from 'react';
import type { PairForShafts, ShaftsInput } from '../../core/arrival/index.ts';
import { takePair, withPressureAngle } from '../../core/job/index.ts';
import { decimalText, lengthText, plural, type UnitSystem } from '../../core/units/index.ts';
import { echoAngle, echoPitch, LengthField, MeasureField } from '../fields/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../panel/index.ts';
import { useFace } from './face.ts';

const PITCHES = [
  { value: 'any', label: 'Any pitch' },
  { value: 'module', label: 'Modules' },
  { value: 'dp', label: 'DP' },
  { value: 'this', label: 'This one' },
] as const;
const PITCH_UNITS = [
  { value: 'module', label: 'm' },
  { value: 'dp', label: 'DP' },
] as const;

/**
 * Two shafts that stay where they are: the pairs that land on them, or nearly, and what would put those
 * right.
 */
export function ShaftsPanel({ station, part, units, job, edit, editPart, issuesAt }: StationProps<'gear'>) {
  const { turn } = useFace(job.id, part);
  const [open, setOpen] = useState<string | null>(null);
  const { arrival } = part;
  if (arrival.by !== 'shafts' || station.detail.arrival.by !== 'shafts') return null;
  const { shafts, taken } = arrival;
  const { pairs, total, asked } = station.detail.arrival;
  const set = (change: Partial<ShaftsInput>) =>
    editPart((now) =>
      now.arrival.by === 'shafts'
        ? { ...now, arrival: { ...now.arrival, shafts: { ...now.arrival.shafts, ...change } } }
        : now,
    );
  const at = issuesBelow(issuesAt, 'arrival.shafts');
  const take = (pair: PairForShafts) => {
    edit((now) => takePair(now, part.id, pair));
    turn('gear');
  };
  const bind = bindTo(shafts, set, at);
  return (
    <>
      <div className="fields">
        <LengthField label="Centre distance" {...bind('centre')} units={units} />
        <LengthField label="Measured to ±" {...bind('give')} units={units} />
        <MeasureField
          label="Ratio wanted"
          {...bind('ratio')}
          echo={shafts.ratio.typed === '' ? 'Second gear over first; empty for any.' : ''}
          placeholder="3:1"
        />
        <MeasureField label="It may be off by" {...bind('ratioGive')} suffix="%" />
        <MeasureField
          label="Pressure angle of both"
          value={part.gear.pressureAngle}
          onChange={(pressureAngle) => edit((now) => withPressureAngle(now, part.id, pressureAngle))}
          issues={issuesAt('gear.pressureAngle')}
          echo={echoAngle(part.gear.pressureAngle)}
          suffix="°"
        />
        <MeasureField label="Fewest teeth" {...bind('leastTeeth')} />
        <LengthField
          label="Backlash wanted"
          {...bind('backlash')}
          units={units}
          hint="Empty: 0.04 of the module. None at all binds."
        />
      </div>
      <Segmented
        aria-label="Pitches to look through"
        options={[...PITCHES]}
        value={shafts.pitches}
        onChange={(pitches) => set({ pitches })}
      />
      {shafts.pitches === 'this' && (
        <MeasureField label="Pitch" {...bind('pitch')} units={PITCH_UNITS} echo={echoPitch(shafts.pitch)} />
      )}
      {!asked && shafts.centre.typed.trim() === '' && (
        <p className="said">With the centre distance, the pairs that land on it are listed here.</p>
      )}
      {asked && pairs.length === 0 && (
        <p className="said">
          No pair of standard pitch comes near. Let the ratio be off by more, or take fewer teeth.
        </p>
      )}
      {pairs.length > 0 && (
        <section aria-label="Pairs">
          <p className="said">
            {plural(total, 'pair')} on or near it
            {total > pairs.length ? `, the best ${pairs.length} here` : ''}.
          </p>
          <ol className="found-list">
            {pairs.map((pair, i) => {
              const key = `${pair.pitch} ${pair.teeth.join('/')}`;
              const isTaken =
                taken !== null &&
                taken.pitch.typed === pair.figure &&
                taken.pitch.unit === pair.system &&
                taken.teeth.join('/') === pair.teeth.join('/');
              return (
                <li key={key}>
                  <span className="found-gear">
                    {pair.pitch}, {pair.teeth[0]} and {pair.teeth[1]} teeth{' '}
                    <small>1 : {decimalText(pair.ratio, 4)}</small>
                  </span>
                  <button
                    type="button"
                    className={`use-button ${i === 0 && taken === null ? 'is-next' : ''}`}
                    onClick={() => take(pair)}
                    disabled={isTaken}
                    aria-label={`Take ${key}`}
                  >
                    {isTaken ? 'taken' : 'Take it'}
                  </button>
                  <small className="found-fits">
                    {sayPair(pair, units)}{' '}
                    {needsHelp(pair) && (
                      <button
                        type="button"
                        className="plain-link"
                        aria-expanded={open === key}
                        onClick={() => setOpen(open === key ? null : key)}
                      >
                        {open === key ? 'Hide the remedies' : 'What would put it right'}
                      </button>
                    )}
                    {open === key && <Remedies pair={pair} units={units} />}
                  </small>
                </li>
              );
            })}
          </ol>
        </section>
      )}
    </>
  );
}

const needsHelp = ({ remedies, sits }: PairForShafts): boolean =>
  sits !== 'exact' || remedies.deeper[0] > 0 || remedies.deeper[1] > 0;

/** How a pair sits on the shafts. */
function sayPair(
  { off, backlash, sits, contactRatio, nominalCentre }: PairForShafts,
  units: UnitSystem,
): string {
  const mm = (value: number) => lengthText(value, units, 'fine');
  const nominal = `nominal ${mm(nominalCentre)}`;
  if (backlash === null) return `${nominal}: the shafts are too close for it to roll.`;
  const contact = contactRatio === null ? '' : `, contact ${decimalText(contactRatio, 2)}`;
  if (sits === 'exact') return `lands on it, ${nominal}; backlash ${mm(Math.max(0, backlash))}${contact}.`;
  if (sits === 'loose') return `shafts ${mm(off)} too far; backlash ${mm(backlash)}${contact}.`;
  return `shafts ${mm(-off)} too close; teeth overlap by ${mm(-backlash)}.`;
}

/** What would put a near miss right, with numbers. */
function Remedies({ pair, units }: { readonly pair: PairForShafts; readonly units: UnitSystem }) {
  const mm = (value: number) => lengthText(value, units, 'fine');
  const { spreadTo, deeper, oneFewer } = pair.remedies;
  const way = spreadTo > pair.nominalCentre + pair.off ? 'Spread' : 'Close';
  return (
    <ul className="remedies">
      <li>
        {way} the shafts to {mm(spreadTo)}.
      </li>
      {deeper[0] > 0 && (
        <li>
          Or sink the cutter {mm(deeper[0])} more into the first gear, or {mm(deeper[1])} more into the
          second.
        </li>
      )}
      {oneFewer !== null && (
        <li>
          Or one tooth fewer on the second ({pair.teeth[1] - 1}): backlash {mm(oneFewer)}
          {oneFewer < 0 && ', still too tight'}.
        </li>
      )}
    </ul>
  );
}
