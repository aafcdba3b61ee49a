import { Button, Checkbox } from 'antd';
import { idFrom, readHoles, type Head, type Ring } from '../../core/shop/index.ts';
import { KeptField } from './KeptField.tsx';
import { changed, freshName, without, type SetHead } from './shopProps.ts';

interface RingsEditorProps {
  readonly head: Head;
  readonly set: SetHead;
}

/** Rings of holes on the spindle itself, for direct indexing. */
export function RingsEditor({ head, set }: RingsEditorProps) {
  const { rings } = head;
  const change = (id: string, how: (ring: Ring) => Ring) =>
    set((now) => ({ rings: changed(now.rings, id, how) }));
  const add = (holes: number) => {
    const name = freshName(rings, `${holes} holes`);
    const ring: Ring = {
      id: idFrom(
        `ring ${name}`,
        rings.map(({ id }) => id),
      ),
      name,
      holes,
      made: false,
    };
    set((now) => ({ rings: [...now.rings, ring] }));
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
                change(ring.id, (own) => ({
                  ...own,
                  holes,
                  name: own.name === `${own.holes} holes` ? `${holes} holes` : own.name,
                }))
              }
              suffix={<span className="unit">{ring.made ? 'holes, made' : 'holes'}</span>}
            />
            <Checkbox
              checked={ring.onWork === true}
              onChange={({ target }) => {
                change(ring.id, ({ onWork: _was, ...bare }) =>
                  target.checked ? { ...bare, onWork: true } : bare,
                );
              }}
            >
              between spindle and work
            </Checkbox>
            <button
              type="button"
              className="plain-link"
              onClick={() => set((now) => ({ rings: without(now.rings, ring.id) }))}
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
