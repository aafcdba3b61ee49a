import { useShallow } from 'zustand/react/shallow';
import { Switch } from 'antd';
import { usePreferences } from '../state/index.ts';
import { MillDialog } from './MillDialog.tsx';
import type { WakeLockState } from './useWakeLock.ts';

interface MillOptionsProps {
  readonly open: boolean;
  readonly wake: WakeLockState;
  readonly keeps: boolean;
  readonly onClose: () => void;
  /** Null once the run is at its end. */
  readonly onEnd: (() => void) | null;
}

const WAKE: Readonly<Record<WakeLockState, string>> = {
  on: '✓ The screen stays lit while this page is open.',
  off: '? The screen may go dark. This browser let go of it: touch it now and then, or set its sleep to never.',
  none: '? The screen may go dark: this browser keeps it lit only for secure pages, and this one came over plain HTTP. Set the device’s own sleep to never. Counting does not depend on it.',
};

/** How this screen counts, and what its browser gives. */
export function MillOptions({ open, wake, keeps, onClose, onEnd }: MillOptionsProps) {
  const { eachStep, largeType, swapEachStep, swapLargeType } = usePreferences(
    useShallow(({ eachStep, largeType, swapEachStep, swapLargeType }) => ({
      eachStep,
      largeType,
      swapEachStep,
      swapLargeType,
    })),
  );
  return (
    <MillDialog open={open} title="This screen" onClose={onClose}>
      <label className="mill-option">
        <Switch checked={eachStep} onChange={swapEachStep} />
        <span>
          Ask each step by itself, one after another; and now and then the landing hole. For learners.
        </span>
      </label>
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
