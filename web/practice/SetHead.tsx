import { InputNumber, Select } from 'antd';
import { useId } from 'react';
import {
  circlesOn,
  hasPlate,
  type Action,
  type Drawer,
  type Machine,
  type HeadBench,
} from '../../core/practice/index.ts';
import { plural } from '../../core/units/index.ts';
import { SetGears } from './SetGears.tsx';

interface SetHeadProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
  /** Is something hidden to be found? Then one has to look. */
  readonly secret: boolean;
  readonly drawer: Drawer | null;
  readonly onAct: (action: Action) => void;
}

/** What was set before the first cut, and may be set otherwise: arms, circle, the plate itself, the gears. */
export function SetHead({ bench, machine, secret, drawer, onAct }: SetHeadProps) {
  const id = useId();
  const { arms, circle } = machine;
  if (!hasPlate(bench)) return null;
  const what = bench.gearing ? 'Arms, plate and gears' : 'Arms and plate';
  return (
    <details className="practice-aside practice-set">
      <summary>
        {secret
          ? `${what}, as they are set`
          : `Arms over ${plural(arms.spaces, 'space')}, pin on the circle of ${circle}`}
      </summary>
      <div className="practice-fields">
        <div>
          <label htmlFor={`${id}arms`}>Arms, in spaces</label>
          <InputNumber
            id={`${id}arms`}
            min={1}
            max={circle - 1}
            precision={0}
            value={arms.spaces}
            onChange={(spaces) => spaces !== null && onAct({ do: 'arms-set', spaces })}
          />
        </div>
        <div>
          <label htmlFor={`${id}circle`}>Circle</label>
          <Select
            id={`${id}circle`}
            value={circle}
            options={circlesOn(bench, machine).map((holes) => ({ value: holes, label: `${holes} holes` }))}
            onChange={(chosen) => onAct({ do: 'circle', circle: chosen })}
          />
        </div>
        <PlateOn bench={bench} machine={machine} onAct={onAct} />
      </div>
      <SetGears bench={bench} machine={machine} drawer={drawer} onAct={onAct} />
    </details>
  );
}

/** Which plate is on, and which side of it is in front. */
function PlateOn({ bench, machine, onAct }: Omit<SetHeadProps, 'secret' | 'drawer'>) {
  const id = useId();
  const { mounted } = machine;
  const sides = bench.plates.flatMap(({ id: plateId, name, sides: both }) =>
    both.map(({ circles }, i) => ({
      value: `${plateId} ${i}`,
      plateId,
      side: i === 1 ? (1 as const) : (0 as const),
      label: `${name}${both.length > 1 ? `, side ${i + 1}` : ''}: ${circles.join(' ')}`,
    })),
  );
  if (!mounted || sides.length < 2) return null;
  return (
    <div>
      <label htmlFor={id}>Plate</label>
      <Select
        id={id}
        value={`${mounted.plateId} ${mounted.side}`}
        options={sides}
        popupMatchSelectWidth={false}
        onChange={(chosen) => {
          const one = sides.find(({ value }) => value === chosen);
          if (one) onAct({ do: 'plate', plateId: one.plateId, side: one.side });
        }}
      />
    </div>
  );
}
