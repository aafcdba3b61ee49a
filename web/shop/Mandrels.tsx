import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { idFrom, lengthCellText, plainMandrel, unitsOfSize, type Mandrel } from '../../core/shop/index.ts';
import { ChoiceField } from '../fields/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { usePreferences } from '../state/index.ts';
import { KeptField } from './KeptField.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readSizeOf } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';

const KINDS = [
  { value: 'taper', label: 'slow taper, pressed in' },
  { value: 'nut', label: 'straight, with a nut' },
  { value: 'stub', label: 'stub, in the head’s taper' },
] as const;

/** What blanks are held on. */
export function Mandrels({ equipment, edit, remove }: ShopProps) {
  const { mandrels } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const mandrel = mandrels.find(({ id }) => id === chosen) ?? mandrels[0] ?? null;
  const add = (kind: Mandrel['kind'], base: string) => () => {
    const name = freshName(mandrels, base);
    const id = idFrom(
      name,
      mandrels.map((other) => other.id),
    );
    edit((now) => ({ ...now, mandrels: [...now.mandrels, plainMandrel(id, name, kind)] }));
    setChosen(id);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Mandrels"
        things={mandrels.map(({ id, name, small, large }) => ({
          id,
          name,
          line: [lengthCellText(small), lengthCellText(large)].filter((size) => size !== '').join(' to '),
        }))}
        chosen={mandrel?.id ?? null}
        onChoose={setChosen}
        adding={[
          { words: 'Add a taper mandrel', add: add('taper', 'Taper mandrel') },
          { words: 'Add one with a nut', add: add('nut', 'Mandrel with nut') },
        ]}
        foot={<CsvTools tables={['mandrels']} equipment={equipment} edit={edit} />}
      />
      {mandrel ? (
        <section className="shop-editor" aria-label={mandrel.name} key={mandrel.id}>
          <MandrelFields
            mandrel={mandrel}
            keep={(change) =>
              edit((now) => ({ ...now, mandrels: changed(now.mandrels, mandrel.id, change) }))
            }
          />
          <p>
            <Button
              danger
              onClick={() =>
                remove(mandrel.name, (now) => ({ ...now, mandrels: without(now.mandrels, mandrel.id) }))
              }
            >
              Take {mandrel.name} out of the shop
            </Button>
          </p>
        </section>
      ) : (
        <p className="page-say">
          With the mandrels listed, the set-up says which of them takes a blank, and which way its thick end
          goes.
        </p>
      )}
      <aside className="shop-drawing on-dye" />
    </div>
  );
}

function MandrelFields({ mandrel, keep }: { readonly mandrel: Mandrel; readonly keep: Keep<Mandrel> }) {
  const units = usePreferences((preferences) => preferences.units);
  const own = unitsOfSize(mandrel.small, units);
  const sizes = [
    ['small', mandrel.kind === 'taper' ? 'Small end' : 'Diameter', ''],
    ...(mandrel.kind === 'taper' ? ([['large', 'Thick end', '']] as const) : []),
    ['length', 'Length for blanks', 'May be left empty.'],
  ] as const;
  return (
    <>
      <div className="fields">
        <KeptField
          label="Name"
          kept={mandrel.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <ChoiceField
          label="Kind"
          value={mandrel.kind}
          options={KINDS}
          onChange={(kind) => keep((now) => ({ ...now, kind }))}
        />
        {sizes.map(([field, label, echo]) => (
          <KeptField
            key={field}
            label={label}
            kept={lengthCellText(mandrel[field])}
            read={readSizeOf(field === 'length' ? 'mandrelLength' : 'seat', label, own)}
            suffix={<span className="unit">{own}</span>}
            onKeep={(size) => keep((now) => ({ ...now, [field]: size }))}
            echo={echo}
          />
        ))}
      </div>
      <Checkbox
        checked={mandrel.key}
        onChange={({ target }) => keep((now) => ({ ...now, key: target.checked }))}
      >
        It has a key, or a hole for a pin
      </Checkbox>
    </>
  );
}
