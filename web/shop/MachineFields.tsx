import { Checkbox } from 'antd';
import { ok } from '../../core/findings/index.ts';
import {
  lengthCellText,
  readFeeds,
  readSpeeds,
  unitsOfSize,
  type Mill,
  type Screw,
} from '../../core/shop/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { EitherField } from '../fields/index.ts';
import { KeptField } from './KeptField.tsx';
import type { Keep } from './shopProps.ts';
import { readSizeOf, readWhole } from './readings.ts';

interface MachineFieldsProps {
  readonly mill: Mill;
  readonly keep: Keep<Mill>;
}

const AXES = [
  { value: 'horizontal', label: 'arbor across' },
  { value: 'vertical', label: 'upright' },
] as const;
const FEED_UNITS = [
  { value: 'mm', label: 'mm/min' },
  { value: 'in', label: 'in/min' },
] as const;
const SCREWS = [
  { which: 'cross', name: 'Cross slide' },
  { which: 'knee', name: 'Knee or quill' },
] as const;

/**
 * What a set-up asks of a mill: its other two screws, speeds, feeds, and what room there is. All of it may be
 * left empty.
 */
export function MachineFields({ mill, keep }: MachineFieldsProps) {
  const units = unitsOfSize(mill.lead, 'mm');
  const lengthOf = (field: 'room' | 'collar', label: string, echo: string) => (
    <KeptField
      label={label}
      kept={lengthCellText(mill[field])}
      read={readSizeOf(field, label, units)}
      suffix={<span className="unit">{units}</span>}
      onKeep={(length) => keep((now) => ({ ...now, [field]: length }))}
      echo={echo}
    />
  );
  return (
    <fieldset>
      <legend>For setting up: screws, speeds, room</legend>
      <div className="fields">
        <EitherField
          label="Its spindle stands"
          value={mill.axis}
          options={AXES}
          onChange={(axis) => keep((now) => ({ ...now, axis }))}
        />
        <KeptField
          label="Spindle speeds, rpm"
          kept={mill.speeds}
          read={(typed) => {
            const read = readSpeeds(typed);
            return read.ok ? ok(typed.trim().slice(0, 400)) : read;
          }}
          onKeep={(speeds) => keep((now) => ({ ...now, speeds }))}
          echo="As on its plate: 45 63 90 125. Empty: without steps."
        />
        <KeptField
          label="Table feeds"
          kept={mill.feeds.settings}
          read={(typed) => {
            const read = readFeeds({ ...mill.feeds, settings: typed });
            return read.ok ? ok(typed.trim().slice(0, 400)) : read;
          }}
          onKeep={(settings) => keep((now) => ({ ...now, feeds: { ...now.feeds, settings } }))}
          echo="Empty: fed by hand."
        />
        <EitherField
          label="Feeds are in"
          value={mill.feeds.by}
          options={FEED_UNITS}
          onChange={(by) => keep((now) => ({ ...now, feeds: { ...now.feeds, by } }))}
        />
        {SCREWS.map(({ which, name }) => (
          <ScrewFields
            key={which}
            units={units}
            name={name}
            screw={mill[which]}
            keep={(change) => keep((now) => ({ ...now, [which]: change(now[which]) }))}
          />
        ))}
        {lengthOf(
          'room',
          'Table to the arbor, at its lowest',
          mill.axis === 'vertical' ? 'To the end of the spindle.' : 'To the middle of the arbor.',
        )}
        {lengthOf('collar', 'Arbor collars across', 'They must clear the work.')}
      </div>
      <Checkbox
        checked={mill.readout}
        onChange={({ target }) => keep((now) => ({ ...now, readout: target.checked }))}
      >
        It has a readout: moves are given as lengths, not as marks
      </Checkbox>
    </fieldset>
  );
}

interface ScrewFieldsProps {
  readonly name: string;
  readonly screw: Screw;
  /** Of the mill, where the screw's own are not known. */
  readonly units: UnitSystem;
  readonly keep: Keep<Screw>;
}

function ScrewFields({ name, screw, units: ofMill, keep }: ScrewFieldsProps) {
  const units = unitsOfSize(screw.lead, ofMill);
  return (
    <>
      <KeptField
        label={`${name}: one turn moves`}
        kept={lengthCellText(screw.lead)}
        read={readSizeOf('lead', name, units)}
        suffix={<span className="unit">{units}</span>}
        onKeep={(lead) => keep((now) => ({ ...now, lead }))}
        echo="5 mm, 1/10 in or 5 tpi."
      />
      <KeptField
        label={`${name}: marks on its dial`}
        kept={String(screw.marks)}
        read={readWhole('The marks', 1, 5000)}
        onKeep={(marks) => keep((now) => ({ ...now, marks }))}
      />
      <KeptField
        label={`${name}: travel`}
        kept={lengthCellText(screw.travel)}
        read={readSizeOf('travel', `${name} travel`, units)}
        suffix={<span className="unit">{units}</span>}
        onKeep={(travel) => keep((now) => ({ ...now, travel }))}
      />
    </>
  );
}
