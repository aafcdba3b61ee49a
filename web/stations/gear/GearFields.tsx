import { Input, Select } from 'antd';
import { useId } from 'react';
import { TOOTH_SYSTEMS, type GearInput } from '../../../core/gear/index.ts';
import { withHand } from '../../../core/job/index.ts';
import { dividingGround } from '../../../core/plan/index.ts';
import { measure, parseCount, parsePitch } from '../../../core/units/index.ts';
import {
  PITCH_UNITS,
  echoAngle,
  echoLength,
  echoPitch,
  Length,
  LengthField,
  MeasureField,
} from '../../fields/index.ts';
import { NearCounts } from '../../strip/index.ts';
import { bindTo, issuesBelow, type StationProps } from '../../panel/index.ts';
import { HelixFields } from './HelixFields.tsx';
import { MateFields } from './MateFields.tsx';
import { Values } from '../Values.tsx';

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
        <MeasureField
          label="Pressure angle"
          {...bind('pressureAngle')}
          echo={echoAngle(gear.pressureAngle)}
          suffix={<span className="unit">°</span>}
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
      <Values
        values={station.values}
        units={units}
        only={[
          'pitchDiameter',
          'wholeDepth',
          'cutDepth',
          'helix',
          'transverseModule',
          'transverseAngle',
          'lead',
          'addendum',
          'clearance',
          'toothThickness',
          'circularPitch',
          'baseDiameter',
        ]}
      />
      {station.detail.otherDepths.length > 0 && (
        <details className="schools">
          <summary>Whole depth by the other schools</summary>
          <table>
            <tbody>
              {station.detail.otherDepths.map(({ name, mm, source, inForce }) => (
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
        </details>
      )}
    </>
  );
}
