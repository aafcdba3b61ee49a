import { Button, Segmented, Select } from 'antd';
import { useId, useState } from 'react';
import { smallAngleText, stepsPerTurn } from '../../core/dividing/index.ts';
import { idFrom, readRatio, type Equipment, type Stepper } from '../../core/shop/index.ts';
import { approx, decimalText, exact } from '../../core/units/index.ts';
import { Notice } from '../frame/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { KeptField } from './KeptField.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readWhole } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';

/** Stepper motors that turn a head. */
export function Motors({ equipment, edit, remove }: ShopProps) {
  const { steppers, heads } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const drive = steppers.find(({ id }) => id === chosen) ?? steppers[0] ?? null;
  const add = () => {
    const name = freshName(steppers, 'Stepper drive');
    const id = idFrom(
      name,
      steppers.map((other) => other.id),
    );
    const headId = heads[0]?.id ?? '';
    edit((now) => ({
      ...now,
      steppers: [
        ...now.steppers,
        { id, name, headId, on: 'crank', stepsPerTurn: 200, microsteps: 8, belt: '1' },
      ],
    }));
    setChosen(id);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Motors"
        things={steppers.map((each) => ({
          id: each.id,
          name: each.name,
          line: heads.find(({ id }) => id === each.headId)?.name ?? '',
        }))}
        chosen={drive?.id ?? null}
        onChoose={setChosen}
        adding={heads.length > 0 ? [{ words: 'Add a stepper drive', add }] : []}
        foot={<CsvTools tables={['steppers']} equipment={equipment} edit={edit} />}
      />
      {drive ? (
        <DriveEditor
          key={drive.id}
          drive={drive}
          equipment={equipment}
          keep={(change) => edit((now) => ({ ...now, steppers: changed(now.steppers, drive.id, change) }))}
          onRemove={() =>
            remove(drive.name, (now) => ({ ...now, steppers: without(now.steppers, drive.id) }))
          }
        />
      ) : (
        <p className="page-say">
          A motor on a head goes by counted steps. None is needed for anything else here.
        </p>
      )}
      <aside className="shop-drawing on-dye">
        {drive && <DriveFigures drive={drive} equipment={equipment} />}
      </aside>
    </div>
  );
}

interface DriveProps {
  readonly drive: Stepper;
  readonly equipment: Equipment;
}

function DriveEditor({
  drive,
  equipment,
  keep,
  onRemove,
}: DriveProps & { readonly keep: Keep<Stepper>; readonly onRemove: () => void }) {
  const id = useId();
  return (
    <section className="shop-editor" aria-label={drive.name}>
      <div className="fields">
        <KeptField
          label="Name"
          kept={drive.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <div className="field">
          <label htmlFor={id}>Turns</label>
          <Select
            id={id}
            value={drive.headId}
            options={equipment.heads.map((head) => ({ value: head.id, label: head.name }))}
            onChange={(headId) => keep((now) => ({ ...now, headId }))}
            style={{ width: '100%' }}
          />
        </div>
        <KeptField
          label="Steps of the motor in one turn"
          kept={String(drive.stepsPerTurn)}
          read={readWhole('The steps', 4, 10_000)}
          onKeep={(steps) => keep((now) => ({ ...now, stepsPerTurn: steps }))}
          echo="usually 200"
        />
        <KeptField
          label="Microsteps"
          kept={String(drive.microsteps)}
          read={readWhole('The microsteps', 1, 1024)}
          onKeep={(microsteps) => keep((now) => ({ ...now, microsteps }))}
        />
        <KeptField
          label="Belt"
          kept={drive.belt}
          read={readRatio}
          onKeep={(belt) => keep((now) => ({ ...now, belt }))}
          echo="turns of the motor for one of the shaft; 1 for a direct coupling"
        />
      </div>
      <Segmented
        aria-label="Which shaft it turns"
        value={drive.on}
        onChange={(on) => keep((now) => ({ ...now, on: on as Stepper['on'] }))}
        options={[
          { value: 'crank', label: 'On the crank shaft' },
          { value: 'spindle', label: 'On the spindle, past the worm' },
        ]}
      />
      {drive.belt === '1' && (
        <Notice tone="query" word="Coupled straight:">
          a motor that is only just strong enough misses steps without a sign. Make the closing check every
          time.
        </Notice>
      )}
      <p>
        <Button danger onClick={onRemove}>
          Take {drive.name} out of the shop
        </Button>
      </p>
    </section>
  );
}

function DriveFigures({ drive, equipment }: DriveProps) {
  const head = equipment.heads.find(({ id }) => id === drive.headId);
  if (!head) return null;
  const steps = stepsPerTurn(drive, head);
  return (
    <div className="shop-figures">
      <p className="scribe-say">One turn of the work is</p>
      <p className="counts-figure">{decimalText(steps, 3)}</p>
      <p className="scribe-say">
        steps; one step is {smallAngleText(approx(exact(1).div(steps)))} of the work
        {steps.d !== 1n && '. It is no whole number, so the schedule goes by counts from the start'}.
      </p>
    </div>
  );
}
