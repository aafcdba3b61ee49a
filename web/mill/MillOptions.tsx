import { Modal, Switch } from 'antd';
import { usePreferences } from '../state/index.ts';
import type { WakeLockState } from './useWakeLock.ts';

interface MillOptionsProps {
  readonly open: boolean;
  readonly wake: WakeLockState;
  readonly keeps: boolean;
  readonly onClose: () => void;
}

const WAKE: Readonly<Record<WakeLockState, string>> = {
  on: '✓ The screen stays lit while this page is open.',
  off: '? The screen may go dark. This browser let go of it: touch it now and then, or set its sleep to never.',
  none: '? The screen may go dark: this browser keeps it lit only for secure pages, and this one came over plain HTTP. Set the device’s own sleep to never. Counting does not depend on it.',
};

/** How this screen counts, and what its browser gives. */
export function MillOptions({ open, wake, keeps, onClose }: MillOptionsProps) {
  const { eachStep, largeType, swapEachStep, swapLargeType } = usePreferences();
  return (
    <Modal open={open} title="This screen" onCancel={onClose} footer={null}>
      <label className="mill-option">
        <Switch checked={eachStep} onChange={swapEachStep} />
        <span>
          Ask each step: clear, unlock, move, arms, lock, cut; and now and then the landing hole. For
          learners.
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
    </Modal>
  );
}
