import { InputNumber, Select } from 'antd';
import { useId } from 'react';
import { hasPlate, type Action, type Machine, type PracticeBench } from '../../core/practice/index.ts';
import { plural } from '../../core/units/index.ts';

interface SetHeadProps {
  readonly bench: PracticeBench;
  readonly machine: Machine;
  /** Is something hidden to be found? Then one has to look. */
  readonly secret: boolean;
  readonly onAct: (action: Action) => void;
}

/** What was set before the first cut, and may be set otherwise: how wide the arms stand, which circle. */
export function SetHead({ bench, machine, secret, onAct }: SetHeadProps) {
  const id = useId();
  const { arms, circle } = machine;
  if (!hasPlate(bench)) return null;
  return (
    <details className="practice-aside practice-set">
      <summary>
        {secret
          ? '▸ Arms and circle, as they are set'
          : `▸ Arms over ${plural(arms.spaces, 'space')}, pin on the circle of ${circle}`}
      </summary>
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
        <label htmlFor={`${id}circle`}>Circle</label>
        <Select
          id={`${id}circle`}
          value={circle}
          options={bench.circles.map((holes) => ({ value: holes, label: `${holes} holes` }))}
          onChange={(chosen) => onAct({ do: 'circle', circle: chosen })}
        />
      </div>
    </details>
  );
}
