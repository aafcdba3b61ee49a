import { useShallow } from 'zustand/react/shallow';
import { Radio, Switch } from 'antd';
import type { HolesAsked } from '../../core/prompts/index.ts';
import { usePreferences } from '../state/index.ts';
import { MillDialog } from './MillDialog.tsx';
import type { WakeLockState } from './useWakeLock.ts';

interface MillOptionsProps {
  readonly open: boolean;
  readonly runId: string;
  readonly wake: WakeLockState;
  readonly keeps: boolean;
  readonly onClose: () => void;
  /** Null once the run is at its end. */
  readonly onEnd: (() => void) | null;
}

const HOLES: { value: HolesAsked; label: string }[] = [
  { value: 'always', label: 'every time' },
  { value: 'sometimes', label: 'now and then' },
  { value: 'never', label: 'never' },
];

const WAKE: Readonly<Record<WakeLockState, string>> = {
  on: '✓ The screen stays lit while this page is open.',
  off: '? The screen may go dark. This browser let go of it: touch it now and then, or set its sleep to never.',
  none: '? The screen may go dark: this browser keeps it lit only for secure pages, and this one came over plain HTTP. Set the device’s own sleep to never. Counting does not depend on it.',
};

/** How this screen counts, and what its browser gives. */
export function MillOptions({ open, runId, wake, keeps, onClose, onEnd }: MillOptionsProps) {
  const { eachStep, holesAsked, largeType, swapEachStep, setHolesAsked, swapLargeType } = usePreferences(
    useShallow(({ eachStepOf, holesAsked, largeType, swapEachStep, setHolesAsked, swapLargeType }) => ({
      eachStep: eachStepOf.includes(runId),
      holesAsked,
      largeType,
      swapEachStep,
      setHolesAsked,
      swapLargeType,
    })),
  );
  return (
    <MillDialog open={open} title="This screen" onClose={onClose}>
      <label className="mill-option">
        <Switch checked={eachStep} onChange={() => swapEachStep(runId)} />
        <span>Ask each step of this run by itself, one after another. For learners.</span>
      </label>
      {eachStep && (
        <fieldset className="mill-option is-below">
          <legend>The hole the pin landed in is asked</legend>
          <Radio.Group
            value={holesAsked}
            onChange={({ target }) => setHolesAsked(target.value as HolesAsked)}
            options={HOLES}
          />
        </fieldset>
      )}
      <label className="mill-option">
        <Switch checked={largeType} onChange={swapLargeType} />
        <span>Larger figures, without the drawing.</span>
      </label>
      <p>{WAKE[wake]}</p>
      <p>
        {keeps
          ? '✓ Counts rest in this browser until the server has them; a reload, a closed lid or a lost connection loses none.'
          : '? This browser keeps nothing: a count shows once the server has it.'}
      </p>
      {onEnd && (
        <button type="button" className="use-button is-wide" onClick={onEnd}>
          End, scrap or start this run again… <small className="key-hint">E</small>
        </button>
      )}
    </MillDialog>
  );
}
