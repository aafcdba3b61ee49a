import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import {
  idFrom,
  leadFromThreads,
  plainLathe,
  readBox,
  unitsOfSize,
  type ShopLathe,
} from '../../core/shop/index.ts';
import { approx, lengthText, measure, parsePositiveLength, type Measure } from '../../core/units/index.ts';
import { ChoiceField, EitherField, Length, LengthField } from '../fields/index.ts';
import { ok, type Result } from '../../core/findings/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { KeptField } from './KeptField.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readSizeOf, readWhole } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';

const BOX_BY = [
  { value: 'mm', label: 'mm' },
  { value: 'tpi', label: 'per inch' },
  { value: 'turns', label: 'turns' },
] as const;

/** Lathes, as far as the odd threads of worms need them. */
export function Lathes({ equipment, edit, remove }: ShopProps) {
  const { lathes } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const lathe = lathes.find(({ id }) => id === chosen) ?? lathes[0] ?? null;
  const add = (name: string, leadscrew: Measure) => () => {
    const fresh = freshName(lathes, name);
    const id = idFrom(
      fresh,
      lathes.map((other) => other.id),
    );
    edit((now) => ({ ...now, lathes: [...now.lathes, plainLathe(id, fresh, leadscrew)] }));
    setChosen(id);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Lathes"
        things={lathes.map((each) => ({
          id: each.id,
          name: each.name,
          line: `${each.leadscrew.typed} ${each.leadscrew.unit} leadscrew${each.box.settings ? ', with a box' : ''}`,
        }))}
        chosen={lathe?.id ?? null}
        onChoose={setChosen}
        adding={[
          {
            words: 'Add one with a 3 mm leadscrew',
            add: add('Lathe with a 3 mm leadscrew', measure('3', 'mm')),
          },
          {
            words: 'Add one with 8 threads per inch',
            add: add('Lathe with 8 threads per inch', measure('1/8', 'in')),
          },
        ]}
        foot={<CsvTools tables={['lathes']} equipment={equipment} edit={edit} />}
      />
      {lathe ? (
        <LatheEditor
          key={lathe.id}
          lathe={lathe}
          sets={equipment.gearSets}
          keep={(change) => edit((now) => ({ ...now, lathes: changed(now.lathes, lathe.id, change) }))}
          onRemove={() => remove(lathe.name, (now) => ({ ...now, lathes: without(now.lathes, lathe.id) }))}
        />
      ) : (
        <p className="page-say">
          A worm is a thread of an odd pitch. Add the lathe it is cut on: leadscrew, gearbox, and its change
          gears.
        </p>
      )}
      <aside className="shop-drawing on-dye">{lathe && <BoxFigure lathe={lathe} />}</aside>
    </div>
  );
}

/** The settings of a box, checked with the leadscrew as it stands. Issues: box-bad */
const readSettings =
  (lathe: ShopLathe) =>
  (typed: string): Result<string> => {
    const screw = parsePositiveLength(lathe.leadscrew, '');
    if (!screw.ok) return ok(typed.trim());
    const read = readBox({ ...lathe.box, settings: typed }, screw.value);
    return read.ok ? ok(typed.trim().slice(0, 600)) : read;
  };

interface LatheEditorProps {
  readonly lathe: ShopLathe;
  readonly sets: ShopProps['equipment']['gearSets'];
  readonly keep: Keep<ShopLathe>;
  readonly onRemove: () => void;
}

function LatheEditor({ lathe, sets, keep, onRemove }: LatheEditorProps) {
  const [leadscrew, setLeadscrew] = useState(lathe.leadscrew);
  const read = parsePositiveLength(leadscrew, 'The lead of the leadscrew');
  return (
    <section className="shop-editor" aria-label={lathe.name}>
      <div className="fields">
        <KeptField
          label="Name"
          kept={lathe.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <LengthField
          label="Travel for one turn of the leadscrew"
          value={leadscrew}
          onChange={(typed) => {
            const value = leadFromThreads(typed.typed) ?? typed;
            setLeadscrew(value);
            if (parsePositiveLength(value, '').ok) keep((now) => ({ ...now, leadscrew: value }));
          }}
          hint="3 mm, 1/8 in, or 8 tpi."
          issues={read.ok ? [] : read.issues}
          units={leadscrew.unit === 'in' ? 'in' : 'mm'}
        />
        <ChoiceField
          label="Change gears that go on it"
          value={lathe.gearSetId ?? 'none'}
          options={[
            { value: 'none', label: 'none listed' },
            ...sets.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => keep((now) => ({ ...now, gearSetId: id === 'none' ? null : id }))}
          echo="Listed under Change gears."
        />
      </div>
      <Checkbox
        checked={lathe.stud}
        onChange={({ target }) => keep((now) => ({ ...now, stud: target.checked }))}
      >
        Its bracket has a stud for two gears side by side
      </Checkbox>
      <fieldset>
        <legend>Its gearbox, with the gears one to one</legend>
        <div className="fields">
          <EitherField
            label="The plate counts"
            options={BOX_BY}
            value={lathe.box.by}
            onChange={(by) => keep((now) => ({ ...now, box: { ...now.box, by } }))}
          />
          <KeptField
            label="Its settings"
            kept={lathe.box.settings}
            read={readSettings(lathe)}
            onKeep={(settings) => keep((now) => ({ ...now, box: { ...now.box, settings } }))}
            echo="As they stand on its plate: 8 9 10 11½ 12. Empty where it has no box."
          />
        </div>
      </fieldset>
      <fieldset>
        <legend>Its top slide, to step from start to start</legend>
        <div className="fields">
          <KeptField
            label="Travel for one turn of its screw"
            kept={lathe.slideLead.typed === '' ? '' : `${lathe.slideLead.typed} ${lathe.slideLead.unit}`}
            read={readSizeOf('lead', 'The travel', unitsOfSize(lathe.leadscrew, 'mm'))}
            onKeep={(slideLead) => keep((now) => ({ ...now, slideLead }))}
            echo="May be left empty."
          />
          <KeptField
            label="Marks on its dial"
            kept={String(lathe.slideMarks)}
            read={readWhole('The marks', 1, 5000)}
            onKeep={(slideMarks) => keep((now) => ({ ...now, slideMarks }))}
          />
        </div>
      </fieldset>
      <p>
        <Button danger onClick={onRemove}>
          Take {lathe.name} out of the shop
        </Button>
      </p>
    </section>
  );
}

/** What each setting cuts with its gears one to one. */
function BoxFigure({ lathe }: { readonly lathe: ShopLathe }) {
  const screw = parsePositiveLength(lathe.leadscrew, '');
  if (!screw.ok) return null;
  const box = readBox(lathe.box, screw.value);
  const units = lathe.leadscrew.unit === 'in' ? 'in' : 'mm';
  if (!box.ok || box.value.length === 0)
    return (
      <div className="shop-figures">
        <p className="scribe-say">Geared one to one, its leadscrew cuts</p>
        <p className="shop-mark">
          <Length mm={approx(screw.value)} units={units} />
        </p>
      </div>
    );
  return (
    <div className="shop-figures">
      <p className="scribe-say">Its box cuts, the gears one to one</p>
      <ul className="shop-settings">
        {box.value.slice(0, 14).map(({ name, ratio }) => {
          const mm = approx(screw.value.mul(ratio));
          return (
            <li key={name}>
              <b>{name}</b> {lengthText(mm, units, 'fine')},{' '}
              {lengthText(mm, units === 'in' ? 'mm' : 'in', 'fine')}
            </li>
          );
        })}
      </ul>
      {box.value.length > 14 && <p className="scribe-say">and {box.value.length - 14} more</p>}
    </div>
  );
}
