import { Button } from 'antd';
import {
  idFrom,
  readCircles,
  THREE_PLATES,
  TWO_SIDED_PLATE,
  type Head,
  type Plate,
} from '../../core/shop/index.ts';
import { KeptField } from './KeptField.tsx';
import { readName } from './readings.ts';
import { changed, freshName, without, type Keep, type SetHead } from './shopProps.ts';

interface PlatesEditorProps {
  readonly head: Head;
  readonly set: SetHead;
}

const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';

/** The head's plates with the holes of every circle, and which of them is on it now. */
export function PlatesEditor({ head, set }: PlatesEditorProps) {
  const { plates } = head;
  const add = (more: readonly Plate[]) => {
    set((now) => {
      const all = [...now.plates];
      for (const plate of more) {
        const name = all.some((other) => other.name === plate.name) ? letterFor(all) : plate.name;
        all.push({
          ...plate,
          name,
          id: idFrom(
            `plate ${name}`,
            all.map((other) => other.id),
          ),
        });
      }
      return { plates: all };
    });
  };
  const take = (plate: Plate) =>
    set((now) => ({
      plates: without(now.plates, plate.id),
      mounted: now.mounted?.plateId === plate.id ? null : now.mounted,
    }));
  return (
    <fieldset>
      <legend>Index plates: holes of each circle</legend>
      {plates.map((plate) => (
        <PlateRow
          key={plate.id}
          plate={plate}
          head={head}
          onKeep={(change) => set((now) => ({ plates: changed(now.plates, plate.id, change) }))}
          onMount={(side) => set({ mounted: { plateId: plate.id, side } })}
          onTake={() => take(plate)}
        />
      ))}
      {plates.length === 0 && <p className="soft">No plates yet.</p>}
      <div className="shop-adding is-inline">
        <Button
          onClick={() => add([{ id: '', name: letterFor(plates), sides: [{ circles: [20] }], made: false }])}
        >
          Add a plate
        </Button>
        <Button onClick={() => add(THREE_PLATES)}>Add the usual three plates</Button>
        <Button onClick={() => add(TWO_SIDED_PLATE)}>Add the usual two-sided plate</Button>
      </div>
    </fieldset>
  );
}

const letterFor = (plates: readonly Plate[]): string =>
  [...LETTERS].find((letter) => !plates.some(({ name }) => name === letter)) ?? freshName(plates, 'Plate');

interface PlateRowProps {
  readonly plate: Plate;
  readonly head: Head;
  readonly onKeep: Keep<Plate>;
  readonly onMount: (side: 0 | 1) => void;
  readonly onTake: () => void;
}

function PlateRow({ plate, head, onKeep, onMount, onTake }: PlateRowProps) {
  const { sides } = plate;
  const withSide = (side: number, circles: readonly number[]) =>
    onKeep((now) => ({ ...now, sides: now.sides.map((other, i) => (i === side ? { circles } : other)) }));
  return (
    <div className="plate-row">
      <KeptField
        label="Plate’s letter"
        bare
        kept={plate.name}
        read={readName}
        onKeep={(name) => onKeep((now) => ({ ...now, name }))}
      />
      <div className="plate-sides">
        {sides.map(({ circles }, side) => {
          const isOn = head.mounted?.plateId === plate.id && head.mounted.side === side;
          return (
            <div key={side} className="plate-side">
              <KeptField
                label={`Plate ${plate.name}, circles${sides.length > 1 ? ` of side ${side + 1}` : ''}`}
                bare
                kept={circles.join(' ')}
                read={readCircles}
                onKeep={(read) => withSide(side, read)}
                placeholder="15 16 17 18 19 20"
              />
              <button
                type="button"
                className="use-button"
                aria-pressed={isOn}
                disabled={isOn}
                onClick={() => onMount(side === 1 ? 1 : 0)}
              >
                {isOn ? 'on it now' : 'Put on'}
              </button>
            </div>
          );
        })}
        <div className="plate-row-tools">
          {sides.length === 1 ? (
            <button
              type="button"
              className="plain-link"
              onClick={() => onKeep((now) => ({ ...now, sides: [...now.sides, { circles: [20] }] }))}
            >
              it has a second side
            </button>
          ) : (
            <button
              type="button"
              className="plain-link"
              onClick={() => onKeep((now) => ({ ...now, sides: now.sides.slice(0, 1) }))}
            >
              only one side
            </button>
          )}
          <button
            type="button"
            className="plain-link"
            onClick={() => onKeep((now) => ({ ...now, made: !now.made }))}
            aria-pressed={plate.made}
          >
            {plate.made ? 'made in this shop' : 'came with the head'}
          </button>
          <button type="button" className="plain-link" onClick={onTake}>
            take plate {plate.name} away
          </button>
        </div>
      </div>
    </div>
  );
}
