import { useState } from 'react';
import { idFrom, plainHead, STOCK_HEADS, STOCK_ROTARY, type Head } from '../../core/shop/index.ts';
import { plural } from '../../core/units/index.ts';
import { PlateView } from '../scribe/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { HeadEditor } from './HeadEditor.tsx';
import { ListOf } from './ListOf.tsx';
import { freshName, without, type ShopProps } from './shopProps.ts';

const lineOf = ({ kind, ratio, plates, rings }: Head): string =>
  [
    kind === 'rotary' ? 'rotary table' : 'head',
    `${ratio} : 1`,
    plates.length > 0 ? plural(plates.length, 'plate') : 'no plates',
    ...(rings.length > 0 ? [plural(rings.length, 'ring')] : []),
  ].join(', ');

/** Dividing heads and rotary tables, with their plates and rings. */
export function Heads({ equipment, edit, remove }: ShopProps) {
  const { heads } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const head = heads.find(({ id }) => id === chosen) ?? heads[0] ?? null;
  const add = (base: Head) => () => {
    const name = freshName(heads, base.name);
    const id = idFrom(
      name,
      heads.map((other) => other.id),
    );
    const sets = equipment.gearSets.map((set) => set.id);
    const geared = base.differential && sets.includes(base.differential.gearSetId) ? base.differential : null;
    edit((now) => ({ ...now, heads: [...now.heads, { ...base, id, name, differential: geared }] }));
    setChosen(id);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Heads"
        things={heads.map((each) => ({ id: each.id, name: each.name, line: lineOf(each) }))}
        chosen={head?.id ?? null}
        onChoose={setChosen}
        adding={[
          { words: 'Add a plain head', add: add(plainHead('', 'Head')) },
          { words: 'Add one with three plates', add: add(STOCK_HEADS[0]!) },
          { words: 'Add one with a two-sided plate', add: add(STOCK_HEADS[1]!) },
          { words: 'Add a rotary table', add: add(STOCK_ROTARY) },
        ]}
        foot={<CsvTools tables={['heads', 'plates', 'rings']} equipment={equipment} edit={edit} />}
      />
      {head ? (
        <HeadEditor
          key={head.id}
          head={head}
          equipment={equipment}
          edit={edit}
          onRemove={() =>
            remove(head.name, (now) => ({
              ...now,
              heads: without(now.heads, head.id),
              steppers: now.steppers.filter(({ headId }) => headId !== head.id),
            }))
          }
        />
      ) : (
        <p className="page-say">Add the head you have, then its plates with the holes of each circle.</p>
      )}
      <aside className="shop-drawing on-dye">{head && <HeadDrawing head={head} />}</aside>
    </div>
  );
}

function HeadDrawing({ head }: { readonly head: Head }) {
  const on = head.mounted ?? { plateId: head.plates[0]?.id, side: 0 };
  const plate = head.plates.find(({ id }) => id === on.plateId);
  const circles = plate?.sides[on.side]?.circles;
  if (!plate || !circles) return <p className="scribe-empty">The plate that is on the head is drawn here.</p>;
  return (
    <>
      <div className="scribe-caption">
        <span>
          Plate {plate.name}
          {plate.sides.length > 1 && `, side ${on.side + 1}`}
        </span>
        <span>{head.mounted ? 'on the head now' : 'nothing is on the head'}</span>
      </div>
      <PlateView circles={circles} move={null} label={`Plate ${plate.name}: circles ${circles.join(', ')}`} />
      <p className="plate-caption">
        {circles.map((holes) => (
          <span key={holes}>{holes}</span>
        ))}
      </p>
    </>
  );
}
