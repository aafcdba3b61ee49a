import { Button } from 'antd';
import { useState } from 'react';
import {
  idFrom,
  lengthCellText,
  readCuttingSpeed,
  unitsOfSize,
  type Material,
} from '../../core/shop/index.ts';
import { approx, decimalText, measure } from '../../core/units/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { usePreferences } from '../state/index.ts';
import { KeptField } from './KeptField.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readSizeOf, readSpeedText } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';

/** What is cut, and how fast. The stock figures are to start from. */
export function Materials({ equipment, edit, remove }: ShopProps) {
  const { materials } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const material = materials.find(({ id }) => id === chosen) ?? materials[0] ?? null;
  const add = () => {
    const name = freshName(materials, 'Material');
    const id = idFrom(
      name,
      materials.map((other) => other.id),
    );
    const fresh: Material = { id, name, speed: '20 m/min', chipLoad: measure('.03', 'mm'), starting: false };
    edit((now) => ({ ...now, materials: [...now.materials, fresh] }));
    setChosen(id);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Materials"
        things={materials.map(({ id, name, speed, starting }) => ({
          id,
          name,
          line: `${speed}${starting ? ', to start from' : ''}`,
        }))}
        chosen={material?.id ?? null}
        onChoose={setChosen}
        adding={[{ words: 'Add a material', add }]}
        foot={<CsvTools tables={['materials']} equipment={equipment} edit={edit} />}
      />
      {material ? (
        <MaterialEditor
          key={material.id}
          material={material}
          keep={(change) =>
            edit((now) => ({ ...now, materials: changed(now.materials, material.id, change) }))
          }
          onRemove={() =>
            remove(material.name, (now) => ({ ...now, materials: without(now.materials, material.id) }))
          }
        />
      ) : (
        <p className="page-say">Speed and feed are worked out from what is cut. Add a material.</p>
      )}
      <aside className="shop-drawing on-dye">{material && <SpeedFigures material={material} />}</aside>
    </div>
  );
}

interface MaterialEditorProps {
  readonly material: Material;
  readonly keep: Keep<Material>;
  readonly onRemove: () => void;
}

function MaterialEditor({ material, keep, onRemove }: MaterialEditorProps) {
  const units = usePreferences((preferences) => preferences.units);
  // what the owner writes is the owner's own figure
  const own = (change: Partial<Material>) => keep((now) => ({ ...now, ...change, starting: false }));
  return (
    <section className="shop-editor" aria-label={material.name}>
      <div className="fields">
        <KeptField
          label="Name"
          kept={material.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <KeptField
          label="Cutting speed, form cutter of high-speed steel"
          kept={material.speed}
          read={readSpeedText}
          onKeep={(speed) => own({ speed })}
          echo="24 m/min, or 80 ft/min."
        />
        <KeptField
          label="Feed for each tooth of the cutter"
          kept={lengthCellText(material.chipLoad)}
          read={readSizeOf('chipLoad', 'The feed for each tooth', unitsOfSize(material.chipLoad, units))}
          onKeep={(chipLoad) => own({ chipLoad })}
          echo="Empty: fed by feel."
        />
      </div>
      {material.starting && (
        <p className="soft">
          A figure to start from, kept light. Once you have cut with it, write your own over it.
        </p>
      )}
      <p>
        <Button danger onClick={onRemove}>
          Take {material.name} out of the shop
        </Button>
      </p>
    </section>
  );
}

const DIAMETERS = [40, 50, 60, 75, 100];

function SpeedFigures({ material }: { readonly material: Material }) {
  const speed = readCuttingSpeed(material.speed);
  if (!speed.ok) return null;
  const v = approx(speed.value);
  return (
    <div className="shop-figures">
      <p className="scribe-say">
        {decimalText(v, 1)} m a minute, {decimalText(v / 0.3048, 0)} ft a minute
      </p>
      <ul className="shop-settings">
        {DIAMETERS.map((diameter) => (
          <li key={diameter}>
            <b>Ø {diameter} mm</b> {decimalText((1000 * v) / (Math.PI * diameter), 0)} rpm
          </li>
        ))}
      </ul>
    </div>
  );
}
