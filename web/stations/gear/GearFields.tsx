import { Input, Select } from 'antd';
import { useId } from 'react';
import { TOOTH_SYSTEMS, type GearInput } from '../../../core/gear/index.ts';
import { withHand } from '../../../core/job/index.ts';
import { dividingGround } from '../../../core/plan/index.ts';
import { knownLength, lengthText, measure, parseCount, parsePitch } from '../../../core/units/index.ts';
import {
  PITCH_UNITS,
  echoAngle,
  echoLength,
  echoPitch,
  Length,
  LengthField,
  MeasureField,
} from '../../fields/index.ts';
import { Fold } from '../../frame/index.ts';
import { NearCounts } from '../../strip/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { HelixFields } from './HelixFields.tsx';
import { MateFields } from './MateFields.tsx';
import { Values } from '../Values.tsx';

/** What is turned, cut and gauged by. */
const MAIN_SIZES = ['pitchDiameter', 'wholeDepth', 'cutDepth', 'helix', 'lead', 'toothThickness'];
const MORE_SIZES = [
  'transverseModule',
  'transverseAngle',
  'addendum',
  'clearance',
  'circularPitch',
  'baseDiameter',
];

const RULES = [
  ...TOOTH_SYSTEMS.map(({ id, name }) => ({ value: id, label: name })),
  { value: 'typed' as const, label: 'From my book or print' },
];

/** The figures of the gear, from a drawing or as they were taken from what was at hand. */
export function GearFields(props: StationProps<'gear'>) {
  const { station, part, units, job, shop, editPart, issuesAt } = props;
  const { gear } = part;
  const set = (change: Partial<GearInput>) =>
    editPart((now) => ({ ...now, gear: { ...now.gear, ...change } }));
  const setDepth = (change: Partial<GearInput['depth']>) => set({ depth: { ...gear.depth, ...change } });
  const at = issuesBelow(issuesAt, 'gear');
  const pitch = parsePitch(gear.pitch);
  const sampled = part.arrival.by === 'sample' ? part.arrival.sample.hand : null;
  const ruleId = useId();
  const cutter = job.equipment.cutters.find(({ id }) => id === part.cutter.cutterId);
  const stamp = cutter && cutter.stamped.typed !== '' ? cutter : null;
  const { head, gearSets } = dividingGround(job, shop, part);
  const teeth = parseCount({ given: gear.teeth, what: 'The tooth count', least: 4, most: 1000 });
  const bindDepth = bindTo(gear.depth, setDepth, (field) => at(`depth.${field}`));
  const bind = bindTo(gear, set, at);
  return (
    <>
      <div className="fields">
        <MeasureField
          label="Pitch"
          {...bind('pitch')}
          units={PITCH_UNITS}
          unitShown={pitch.ok ? pitch.value.system : gear.pitch.unit}
          echo={echoPitch(gear.pitch)}
          autoFocus={gear.pitch.typed === ''}
          placeholder="1.25 or 14 DP"
        />
        <MeasureField label="Teeth" {...bind('teeth')} placeholder="58" />
      </div>
      <Values values={station.values} units={units} only={MAIN_SIZES} />
      <Fold className="schools" open={isOwn(gear)} summary={usualSaid(props)}>
        <div className="fields">
          <MeasureField
            label="Pressure angle"
            {...bind('pressureAngle')}
            echo={echoAngle(gear.pressureAngle)}
            suffix="°"
          />
          <div className="field">
            <label htmlFor={ruleId}>Depth rule</label>
            <Select
              id={ruleId}
              value={gear.depth.rule}
              options={RULES}
              onChange={(rule) => setDepth({ rule })}
              style={{ width: '100%' }}
            />
            <div className="field-said">
              <div className="field-echo">
                {station.detail.otherDepths.find(({ inForce }) => inForce)?.source}
              </div>
            </div>
          </div>
          {gear.depth.rule === 'typed' && (
            <>
              <LengthField label="Whole depth, typed" {...bindDepth('wholeDepth')} units={units} />
              <LengthField label="Addendum, typed" {...bindDepth('addendum')} units={units} />
              <div className="field">
                <label htmlFor={`${ruleId}-from`}>Read from</label>
                <Input
                  id={`${ruleId}-from`}
                  value={gear.depth.readFrom}
                  maxLength={120}
                  onChange={(event) => setDepth({ readFrom: event.target.value })}
                />
                <div className="field-said" />
              </div>
            </>
          )}
          <LengthField
            label="Depth stamped on cutter"
            {...bindDepth('stamped')}
            units={units}
            hint={
              stamp
                ? `${echoLength(stamp.stamped, units)}, stamped on ${stamp.name}`
                : 'If there is one: it wins over every rule.'
            }
          />
          <LengthField
            label="Thinner teeth, for backlash"
            {...bind('thinning')}
            units={units}
            hint="Along the pitch circle; the cut goes deeper for it."
          />
        </div>
        <OtherDepths depths={station.detail.otherDepths} units={units} />
      </Fold>
      <HelixFields
        gear={gear}
        helical={station.detail.helical}
        set={set}
        at={at}
        units={units}
        sampled={
          sampled && {
            hand: sampled === 'not-looked' ? null : sampled,
            issues: issuesAt('arrival.sample.hand'),
          }
        }
        onHand={(hand) => editPart((now) => withHand(now, hand))}
      />
      <MateFields {...props} gear={gear} set={set} at={at} />
      <NearCounts
        head={head}
        gearSets={gearSets}
        count={teeth.ok ? teeth.value : null}
        leadGeared={station.detail.helical !== null}
        onChoose={(count) => set({ teeth: measure(String(count), 'count') })}
      />
      <Fold className="schools" summary="Every size of it">
        <Values values={station.values} units={units} only={MORE_SIZES} />
      </Fold>
    </>
  );
}

/** Is there anything in it that was not laid so? It lies open then, so that it is seen. */
const isOwn = ({ depth, thinning }: GearInput): boolean =>
  depth.rule === 'typed' || thinning.typed.trim() !== '';

/** What most leave alone, in one line: `20°, ISO 53 profile A, 2.25 m; no stamp, no thinning`. */
function usualSaid({ station, part: { gear }, units }: StationProps<'gear'>): string {
  const { otherDepths } = station.detail;
  const inForce = otherDepths.find(({ inForce }) => inForce);
  const named = RULES.find(({ value }) => value === gear.depth.rule)!.label;
  // no rule is in force: the cutter's own stamp is
  const stamped = !inForce && otherDepths.length > 0 && gear.depth.rule !== 'typed';
  const rule = stamped ? 'as stamped on the cutter' : (inForce?.name ?? named);
  const thinning = knownLength(gear.thinning);
  return [
    gear.pressureAngle.typed.trim() === ''
      ? 'no angle'
      : `${gear.pressureAngle.typed.trim().replace('°', '')}°`,
    `depth: ${rule}`,
    thinning ? `thinner by ${lengthText(thinning, units, 'fine')}` : 'no thinning',
  ].join(' · ');
}

interface OtherDepthsProps {
  readonly depths: StationProps<'gear'>['station']['detail']['otherDepths'];
  readonly units: StationProps<'gear'>['units'];
}

/** What the other schools cut. */
function OtherDepths({ depths, units }: OtherDepthsProps) {
  if (depths.length === 0) return null;
  return (
    <>
      <h3>Whole depth by the other schools</h3>
      <table>
        <tbody>
          {depths.map(({ name, mm, source, inForce }) => (
            <tr key={name} className={inForce ? 'is-in-force' : ''}>
              <td>{name}</td>
              <td className="num">
                <Length mm={mm} units={units} />
              </td>
              <td className="soft">{source}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
