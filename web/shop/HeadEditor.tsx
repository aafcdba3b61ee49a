import { Button, Checkbox, Segmented, Select } from 'antd';
import { useId } from 'react';
import { lengthCellText, readRatio, unitsOfSize, type Equipment, type Head } from '../../core/shop/index.ts';
import { decimalText, dmsText, exact } from '../../core/units/index.ts';
import { usePreferences } from '../state/index.ts';
import { KeptField } from './KeptField.tsx';
import { PlatesEditor } from './PlatesEditor.tsx';
import { readName, readSizeOf, readWhole } from './readings.ts';
import { RingsEditor } from './RingsEditor.tsx';
import { changed, type SetHead, type ShopProps } from './shopProps.ts';

interface HeadEditorProps extends Pick<ShopProps, 'edit'> {
  readonly head: Head;
  readonly equipment: Equipment;
  readonly onRemove: () => void;
}

/** One head: its worm, what can be geared, its wheel, its plates and rings. */
export function HeadEditor({ head, equipment, edit, onRemove }: HeadEditorProps) {
  const units = usePreferences((preferences) => preferences.units);
  const set: SetHead = (change) =>
    edit((now) => ({
      ...now,
      heads: changed(now.heads, head.id, (own) => ({
        ...own,
        ...(typeof change === 'function' ? change(own) : change),
      })),
    }));
  return (
    <section className="shop-editor" aria-label={head.name}>
      <div className="fields">
        <KeptField label="Name" kept={head.name} read={readName} onKeep={(name) => set({ name })} />
        <KeptField
          label="Worm ratio"
          kept={head.ratio}
          read={readRatio}
          onKeep={(ratio) => set({ ratio })}
          echo={`${decimalText(exact(head.ratio))} turns of the crank for one of the spindle; one turn is ${dmsText(exact(360).div(head.ratio))}`}
        />
        <KeptField
          label="Table to the middle of its spindle"
          kept={lengthCellText(head.centreHeight)}
          read={readSizeOf('centreHeight', 'The height of its centre', unitsOfSize(head.centreHeight, units))}
          suffix={<span className="unit">{unitsOfSize(head.centreHeight, units)}</span>}
          onKeep={(centreHeight) => set({ centreHeight })}
          echo="For the set-up. May be left empty."
        />
      </div>
      <Segmented
        aria-label="Kind"
        value={head.kind}
        onChange={(kind) => set({ kind: kind as Head['kind'] })}
        options={[
          { value: 'head', label: 'Dividing head' },
          { value: 'rotary', label: 'Rotary table' },
        ]}
      />
      <PlatesEditor head={head} set={set} />
      <RingsEditor head={head} set={set} />
      <WheelEditor head={head} set={set} />
      <GearingEditor head={head} set={set} equipment={equipment} />
      <p>
        <Button danger onClick={onRemove}>
          Take {head.name} out of the shop
        </Button>
      </p>
    </section>
  );
}

interface PartProps {
  readonly head: Head;
  readonly set: SetHead;
}

const withWheel =
  (change: Partial<NonNullable<Head['handwheel']>>) =>
  ({ handwheel }: Head): Partial<Head> => ({ handwheel: handwheel && { ...handwheel, ...change } });

const withGearing =
  (change: Partial<NonNullable<Head['differential']>>) =>
  ({ differential }: Head): Partial<Head> => ({
    differential: differential && { ...differential, ...change },
  });

/** The graduated wheel on the crank shaft. */
function WheelEditor({ head, set }: PartProps) {
  const wheel = head.handwheel;
  const turn = exact(360).div(head.ratio);
  return (
    <fieldset>
      <legend>Handwheel</legend>
      <Checkbox
        checked={wheel !== null}
        onChange={(event) =>
          set({ handwheel: event.target.checked ? { marks: 240, vernier: 1, reads: 'angle' } : null })
        }
      >
        It has a graduated handwheel
      </Checkbox>
      {wheel && (
        <div className="fields">
          <KeptField
            label="Marks on one turn"
            kept={String(wheel.marks)}
            read={readWhole('The marks', 1, 5000)}
            onKeep={(marks) => set(withWheel({ marks }))}
            echo={`one mark is ${dmsText(turn.div(wheel.marks))}`}
          />
          <KeptField
            label="Parts on the vernier"
            kept={String(wheel.vernier)}
            read={readWhole('The vernier', 1, 100)}
            onKeep={(vernier) => set(withWheel({ vernier }))}
            echo="1 where there is none"
          />
          <div className="field is-wide">
            <Segmented
              aria-label="What the wheel reads"
              value={wheel.reads}
              onChange={(reads) => set(withWheel({ reads: reads as 'angle' | 'numbers' }))}
              options={[
                { value: 'angle', label: 'Reads degrees and minutes' },
                { value: 'numbers', label: 'Marks are just numbered' },
              ]}
            />
          </div>
        </div>
      )}
    </fieldset>
  );
}

/** Whether the plate can be geared to the spindle, and what goes on the bracket. */
function GearingEditor({ head, set, equipment }: PartProps & { readonly equipment: Equipment }) {
  const id = useId();
  const { differential } = head;
  return (
    <fieldset>
      <legend>Gearing the plate to the spindle</legend>
      <Checkbox checked={head.plateLock} onChange={(event) => set({ plateLock: event.target.checked })}>
        The plate has a lock pin and can be set free
      </Checkbox>
      <div className="field">
        <label htmlFor={id}>Change gears that go on it</label>
        <Select
          id={id}
          value={differential?.gearSetId ?? ''}
          options={[
            { value: '', label: 'none: a plain head' },
            ...equipment.gearSets.map((gears) => ({ value: gears.id, label: gears.name })),
          ]}
          onChange={(gearSetId) =>
            set({ differential: gearSetId ? { gearSetId, stud: true, idlers: 2 } : null })
          }
          style={{ width: '100%' }}
        />
      </div>
      {differential && (
        <>
          <Checkbox
            checked={differential.stud}
            onChange={(event) => set(withGearing({ stud: event.target.checked }))}
          >
            The bracket has a stud for two gears side by side
          </Checkbox>
          <div className="field-line">
            <span id={`${id}-idlers`}>Idlers it has room for</span>
            <Segmented
              aria-labelledby={`${id}-idlers`}
              value={differential.idlers}
              onChange={(idlers) => set(withGearing({ idlers: Number(idlers) }))}
              options={[0, 1, 2, 3]}
            />
          </div>
        </>
      )}
    </fieldset>
  );
}
