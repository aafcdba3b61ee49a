import { Button, Checkbox } from 'antd';
import { idFrom, readHoles, type Head, type Ring } from '../../core/shop/index.ts';
import { KeptField } from './KeptField.tsx';
import { freshName, replaced, without } from './shopProps.ts';

interface RingsEditorProps {
  readonly head: Head;
  readonly set: (change: Partial<Head>) => string | null;
}

/** Rings of holes on the spindle itself, for direct indexing. */
export function RingsEditor({ head, set }: RingsEditorProps) {
  const { rings } = head;
  const add = (holes: number) => {
    const name = freshName(rings, `${holes} holes`);
    const ring: Ring = { id: idFrom(`ring ${name}`, rings.map(({ id }) => id)), name, holes, made: false }; // prettier-ignore
    set({ rings: [...rings, ring] });
  };
  return (
    <fieldset>
      <legend>Direct rings on the spindle</legend>
      <div className="ring-rows">
        {rings.map((ring) => (
          <div key={ring.id} className="ring-row">
            <KeptField
              label={`Holes of ring ${ring.name}`}
              bare
              kept={String(ring.holes)}
              read={readHoles}
              onKeep={(holes) =>
                set({
                  rings: replaced(rings, {
                    ...ring,
                    holes,
                    name: ring.name === `${ring.holes} holes` ? `${holes} holes` : ring.name,
                  }),
                })
              }
              suffix={<span className="unit">{ring.made ? 'holes, made' : 'holes'}</span>}
            />
            <Checkbox
              checked={ring.onWork === true}
              onChange={({ target }) => {
                const { onWork: _was, ...bare } = ring;
                set({ rings: replaced(rings, target.checked ? { ...bare, onWork: true } : bare) });
              }}
            >
              between spindle and work
            </Checkbox>
            <button
              type="button"
              className="plain-link"
              onClick={() => set({ rings: without(rings, ring.id) })}
            >
              take away
            </button>
          </div>
        ))}
      </div>
      <div className="shop-adding is-inline">
        {[24, 30, 36]
          .filter((holes) => !rings.some((ring) => ring.holes === holes))
          .map((holes) => (
            <Button key={holes} onClick={() => add(holes)}>
              Add a ring of {holes}
            </Button>
          ))}
        {rings.some(({ holes }) => holes === 24) && <Button onClick={() => add(60)}>Add another ring</Button>}
      </div>
    </fieldset>
  );
}
