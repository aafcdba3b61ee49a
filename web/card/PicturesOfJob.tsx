import { Modal } from 'antd';
import { Pictures } from '../pictures/index.ts';

interface PicturesOfJobProps {
  readonly id: string;
  readonly name: string;
  readonly onClose: () => void;
}

/** All pictures of a job, its stations’ too. */
export function PicturesOfJob({ id, name, onClose }: PicturesOfJobProps) {
  return (
    <Modal open title={name} footer={null} onCancel={onClose} width={720}>
      <Pictures about={`job/${id}`} of={name} />
    </Modal>
  );
}
