import { Modal, type ModalProps } from 'antd';
import { useEffect, useRef, type ReactNode } from 'react';

interface MillDialogProps extends Pick<ModalProps, 'title' | 'width' | 'afterClose'> {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** How long the dialog library may still move the focus after it has opened, ms. */
const SETTLES_MS = [0, 40, 120, 260];

/**
 * A dialog at the mill: its first field takes the focus and keeps it, with motion on and off, so that what is
 * typed is written and no key counts a space. The close button never has the focus to begin with.
 */
export function MillDialog({ open, onClose, children, ...rest }: MillDialogProps) {
  const inside = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!open) return;
    const takeFocus = () => {
      const box = inside.current;
      // where the hands have gone on to another field they are left there
      if (!box || box.contains(document.activeElement)) return;
      const first = box.querySelector<HTMLElement>('textarea, input, select, button');
      (first ?? box).focus();
    };
    const timers = SETTLES_MS.map((ms) => setTimeout(takeFocus, ms));
    return () => timers.forEach(clearTimeout);
  }, [open]);
  return (
    <Modal {...rest} open={open} onCancel={onClose} footer={null} destroyOnHidden>
      <div ref={inside} tabIndex={-1} className="mill-dialog">
        {children}
      </div>
    </Modal>
  );
}
