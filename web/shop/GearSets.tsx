import { Button } from 'antd';
import { useState } from 'react';
import { ok, type Result } from '../../core/findings/index.ts';
import { idFrom, STOCK_GEARS, type GearSet } from '../../core/shop/index.ts';
import { plural } from '../../core/units/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { KeptField } from './KeptField.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readWhole } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';

const wheels = ({ gears }: GearSet): number => gears.reduce((sum, { count }) => sum + count, 0);
const readNote = (typed: string): Result<string> => ok(typed.slice(0, 40));
const OWNED = readWhole('How many are owned', 1, 99);
const TEETH = readWhole('A wheel', 2, 1000);

/** Sets of change gears: teeth, and how many of each. */
export function GearSets({ equipment, edit, remove }: ShopProps) {
  const { gearSets } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const set = gearSets.find(({ id }) => id === chosen) ?? gearSets[0] ?? null;
  const add = (base: Omit<GearSet, 'id'>) => () => {
    const name = freshName(gearSets, base.name);
    const id = idFrom(
      name,
      gearSets.map((other) => other.id),
    );
    edit((now) => ({ ...now, gearSets: [...now.gearSets, { ...base, id, name }] }));
    setChosen(id);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Sets of change gears"
        things={gearSets.map((each) => ({
          id: each.id,
          name: each.name,
          line: plural(wheels(each), 'wheel'),
        }))}
        chosen={set?.id ?? null}
        onChoose={setChosen}
        adding={[
          { words: 'Add an empty set', add: add({ name: 'Change gears', bore: '', pitch: '', gears: [] }) },
          { words: 'Add the usual twelve', add: add(STOCK_GEARS) },
        ]}
        foot={<CsvTools tables={['gears']} equipment={equipment} edit={edit} />}
      />
      {set ? (
        <SetEditor
          key={set.id}
          set={set}
          keep={(change) => edit((now) => ({ ...now, gearSets: changed(now.gearSets, set.id, change) }))}
          onRemove={() => remove(set.name, (now) => ({ ...now, gearSets: without(now.gearSets, set.id) }))}
        />
      ) : (
        <p className="page-say">Add a set, then its wheels: teeth, and how many of each.</p>
      )}
      <aside className="shop-drawing on-dye">{set && <WheelsDrawing set={set} />}</aside>
    </div>
  );
}

interface SetEditorProps {
  readonly set: GearSet;
  readonly keep: Keep<GearSet>;
  readonly onRemove: () => void;
}

function SetEditor({ set, keep, onRemove }: SetEditorProps) {
  const { gears } = set;
  const sorted = (all: GearSet['gears']) => [...all].sort((a, b) => a.teeth - b.teeth);
  return (
    <section className="shop-editor" aria-label={set.name}>
      <div className="fields">
        <KeptField
          label="Name"
          kept={set.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <KeptField
          label="Bore, if it matters"
          kept={set.bore}
          read={readNote}
          onKeep={(bore) => keep((now) => ({ ...now, bore }))}
        />
        <KeptField
          label="Pitch, if it matters"
          kept={set.pitch}
          read={readNote}
          onKeep={(pitch) => keep((now) => ({ ...now, pitch }))}
        />
      </div>
      <fieldset>
        <legend>Wheels: teeth, and how many of each</legend>
        <div className="wheel-rows">
          {gears.map(({ teeth, count }) => (
            <div key={teeth} className="wheel-row">
              <span className="wheel-teeth">{teeth}</span>
              <KeptField
                label={`How many of ${teeth} teeth`}
                bare
                kept={String(count)}
                read={OWNED}
                onKeep={(owned) =>
                  keep((now) => ({
                    ...now,
                    gears: now.gears.map((gear) => (gear.teeth === teeth ? { teeth, count: owned } : gear)),
                  }))
                }
                suffix={<span className="unit">×</span>}
              />
              <button
                type="button"
                className="plain-link"
                onClick={() =>
                  keep((now) => ({ ...now, gears: now.gears.filter((gear) => gear.teeth !== teeth) }))
                }
                aria-label={`Take away ${teeth} teeth`}
              >
                take away
              </button>
            </div>
          ))}
        </div>
        <AddWheel
          onAdd={(teeth) =>
            keep((now) => {
              const has = now.gears.find((gear) => gear.teeth === teeth);
              const others = now.gears.filter((gear) => gear.teeth !== teeth);
              return { ...now, gears: sorted([...others, { teeth, count: (has?.count ?? 0) + 1 }]) };
            })
          }
        />
      </fieldset>
      <p>
        <Button danger onClick={onRemove}>
          Take {set.name} out of the shop
        </Button>
      </p>
    </section>
  );
}

/** Type the teeth of a wheel, press Enter; again for a second one of it. */
function AddWheel({ onAdd }: { readonly onAdd: (teeth: number) => string | null }) {
  const [round, setRound] = useState(0);
  const [read, setRead] = useState<number | null>(null);
  const add = () => {
    if (read === null || onAdd(read) !== null) return;
    setRead(null);
    setRound((n) => n + 1);
  };
  return (
    <form
      className="add-wheel"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <KeptField
        key={round}
        label="Teeth of another wheel"
        kept=""
        read={(typed) => {
          const teeth = TEETH(typed);
          setRead(teeth.ok ? teeth.value : null);
          return teeth;
        }}
        onKeep={() => null}
        placeholder="127"
      />
      <Button htmlType="submit" disabled={read === null}>
        Add the wheel
      </Button>
    </form>
  );
}

/** The wheels on the wall, to one scale. */
function WheelsDrawing({ set }: { readonly set: GearSet }) {
  const all = set.gears.flatMap(({ teeth, count }) =>
    Array.from({ length: Math.min(count, 6) }, () => teeth),
  );
  const most = Math.max(20, ...all);
  const scale = Math.min(1.1, 110 / most);
  return (
    <>
      <div className="scribe-caption">
        <span>On the wall, to one scale</span>
        <span>{plural(all.length, 'wheel')}</span>
      </div>
      <div className="wheels-wall">
        {all.map((teeth, i) => {
          const size = Math.max(22, teeth * scale + 8);
          return (
            <svg
              key={i}
              width={size}
              height={size}
              viewBox={`${-size / 2} ${-size / 2} ${size} ${size}`}
              role="img"
              aria-label={`${teeth} teeth`}
            >
              <circle r={size / 2 - 2} className="scribe-lit" />
              <text textAnchor="middle" y="4.5">
                {teeth}
              </text>
            </svg>
          );
        })}
      </div>
    </>
  );
}
