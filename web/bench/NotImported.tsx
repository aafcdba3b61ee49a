import { Modal } from 'antd';
import { Notice } from '../frame/index.ts';

interface NotImportedProps {
  readonly file: string;
  readonly reasons: readonly string[];
  readonly onClose: () => void;
}

/** Why a job file was not taken. */
export function NotImported({ file, reasons, onClose }: NotImportedProps) {
  return (
    <Modal open title={`${file} was not imported`} footer={null} onCancel={onClose}>
      <Notice tone="wrong">
        {reasons.slice(0, 8).map((reason) => (
          <p key={reason}>{reason}</p>
        ))}
      </Notice>
      <p className="soft">Nothing stored was changed.</p>
    </Modal>
  );
}
