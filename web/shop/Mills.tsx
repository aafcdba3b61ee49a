import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import { fail, ok, type Result } from '../../core/findings/index.ts';
import {
  idFrom,
  leadFromThreads,
  lengthCellText,
  READY_MILLS,
  STOCK_MILL,
  unitsOfSize,
  type Mill,
} from '../../core/shop/index.ts';
import {
  approx,
  measure,
  parseAngleDeg,
  parseLength,
  parsePositiveLength,
  type Measure,
} from '../../core/units/index.ts';
import { Length, LengthField } from '../fields/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { KeptField } from './KeptField.tsx';
import { MachineFields } from './MachineFields.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readSizeOf, readWhole } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';

/** Mills: their screws and dials, how the table swings, speeds, feeds and room. */
export function Mills({ equipment, edit, remove }: ShopProps) {
  const { mills } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const mill = mills.find(({ id }) => id === chosen) ?? mills[0] ?? null;
  const add = (base: Mill) => () => {
    const name = freshName(mills, base.name);
    const id = idFrom(
      name,
      mills.map((other) => other.id),
    );
    edit((now) => ({ ...now, mills: [...now.mills, { ...base, id, name }] }));
    setChosen(id);
  };
  const inch: Mill = {
    ...STOCK_MILL,
    name: 'Mill with a 1/4 in screw',
    lead: measure('1/4', 'in'),
    marks: 250,
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Mills"
        things={mills.map((each) => ({
          id: each.id,
          name: each.name,
          line: `${each.lead.typed} ${each.lead.unit} a turn, ${each.marks} marks`,
        }))}
        chosen={mill?.id ?? null}
        onChoose={setChosen}
        adding={[
          { words: 'Add one with a 5 mm screw', add: add(STOCK_MILL) },
          { words: 'Add one with a 1/4 in screw', add: add(inch) },
        ]}
        foot={
          <>
            <Select<string>
              aria-label="Add a mill in common use"
              placeholder="Add one in common use, then trim it"
              value={null}
              options={READY_MILLS.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(id) => add(READY_MILLS.find((ready) => ready.id === id)!)()}
              popupMatchSelectWidth={false}
              style={{ width: '100%' }}
            />
            <CsvTools tables={['mills']} equipment={equipment} edit={edit} />
          </>
        }
      />
      {mill ? (
        <MillEditor
          key={mill.id}
          mill={mill}
          keep={(change) => edit((now) => ({ ...now, mills: changed(now.mills, mill.id, change) }))}
          onRemove={() => remove(mill.name, (now) => ({ ...now, mills: without(now.mills, mill.id) }))}
        />
      ) : (
        <p className="page-say">
          A rack is divided, and a helix is driven, by the table’s own screw. Add the mill they are cut on.
        </p>
      )}
      <aside className="shop-drawing on-dye">{mill && <MarkFigure mill={mill} />}</aside>
    </div>
  );
}

const TABLE_LENGTHS = [
  ['tableLength', 'Length of the table', 'May be left empty.'],
  ['tableWidth', 'Width of the table', 'May be left empty.'],
  ['toColumn', 'Middle of the table to the column', 'As it stands in use; swung, a corner comes nearer.'],
] as const;

/** Issues: those of the parser; out-of-range */
function readSwing(typed: string): Result<Measure> {
  const swing = measure(typed.trim().replace(/°$/, ''), 'deg');
  if (swing.typed === '') return ok(swing);
  const angle = parseAngleDeg(swing);
  if (!angle.ok) return angle;
  if (angle.value.gte(0) && angle.value.lte(90)) return ok(swing);
  return fail({
    code: 'out-of-range',
    path: '',
    severity: 'wrong',
    given: typed,
    allowed: 'A table swings from 0° to 90°, mostly to 45°',
    detail: { what: 'The swing' },
  });
}

interface MillEditorProps {
  readonly mill: Mill;
  readonly keep: Keep<Mill>;
  readonly onRemove: () => void;
}

function MillEditor({ mill, keep, onRemove }: MillEditorProps) {
  const [lead, setLead] = useState(mill.lead);
  const [travel, setTravel] = useState(mill.travel);
  const readLead = parsePositiveLength(lead, 'The lead');
  const readTravel = travel.typed === '' ? ok(null) : parseLength(travel);
  return (
    <section className="shop-editor" aria-label={mill.name}>
      <div className="fields">
        <KeptField
          label="Name"
          kept={mill.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <LengthField
          label="Travel for one turn of the table screw"
          value={lead}
          onChange={(typed) => {
            const value = leadFromThreads(typed.typed) ?? typed;
            setLead(value);
            if (parsePositiveLength(value, 'The lead').ok) keep((now) => ({ ...now, lead: value }));
          }}
          hint="5 mm, 1/4 in, or 4 tpi."
          issues={readLead.ok ? [] : readLead.issues}
          units={lead.unit === 'in' ? 'in' : 'mm'}
        />
        <KeptField
          label="Marks on its dial"
          kept={String(mill.marks)}
          read={readWhole('The marks', 1, 5000)}
          onKeep={(marks) => keep((now) => ({ ...now, marks }))}
        />
        <LengthField
          label="Longest travel of the table"
          value={travel}
          onChange={(value) => {
            setTravel(value);
            if (value.typed === '' || parseLength(value).ok) keep((now) => ({ ...now, travel: value }));
          }}
          issues={readTravel.ok ? [] : readTravel.issues}
          units={travel.unit === 'in' ? 'in' : 'mm'}
          hint="May be left empty."
        />
      </div>
      <fieldset>
        <legend>For helical gears: how the table swings</legend>
        <div className="fields">
          <KeptField
            label="It swings either way by"
            kept={mill.swing.typed}
            read={readSwing}
            onKeep={(swing) => keep((now) => ({ ...now, swing }))}
            suffix={<span className="unit">°</span>}
            echo="0 where it does not swing; empty: not known"
          />
          <KeptField
            label="Its scale can be set to"
            kept={String(mill.scaleMinutes)}
            read={readWhole('The minutes', 1, 60)}
            onKeep={(scaleMinutes) => keep((now) => ({ ...now, scaleMinutes }))}
            suffix={<span className="unit">minutes</span>}
          />
          {TABLE_LENGTHS.map(([field, label, echo]) => (
            <KeptField
              key={field}
              label={label}
              kept={lengthCellText(mill[field])}
              read={readSizeOf(field, label, unitsOfSize(mill.lead, 'mm'))}
              suffix={<span className="unit">{unitsOfSize(mill.lead, 'mm')}</span>}
              onKeep={(length) => keep((now) => ({ ...now, [field]: length }))}
              echo={echo}
            />
          ))}
        </div>
        <Checkbox
          checked={mill.headTilts}
          onChange={({ target }) => keep((now) => ({ ...now, headTilts: target.checked }))}
        >
          Its head tilts sideways, to take a stub arbor along a helix
        </Checkbox>
      </fieldset>
      <MachineFields mill={mill} keep={keep} />
      <p>
        <Button danger onClick={onRemove}>
          Take {mill.name} out of the shop
        </Button>
      </p>
    </section>
  );
}

function MarkFigure({ mill }: { readonly mill: Mill }) {
  const lead = parsePositiveLength(mill.lead, '');
  if (!lead.ok) return null;
  return (
    <div className="shop-figures">
      <p className="scribe-say">One mark of the dial is</p>
      <p className="shop-mark">
        <Length mm={approx(lead.value) / mill.marks} units={mill.lead.unit === 'in' ? 'in' : 'mm'} />
      </p>
      <p className="scribe-say">of the table. A rack is read from its first tooth, so no rounding adds up.</p>
    </div>
  );
}
