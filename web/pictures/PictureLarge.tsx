import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import type { Picture } from '../../core/wire/index.ts';
import { api } from '../state/index.ts';

interface PictureLargeProps {
  readonly picture: Picture;
  /** What it is of, for people. */
  readonly of: string;
  readonly onWords: (words: string) => void;
  readonly onAway: () => void;
  readonly onClose: () => void;
}

/** A picture as large as the screen has room for, with a word to it. */
export function PictureLarge({ picture, of, onWords, onAway, onClose }: PictureLargeProps) {
  const [typed, setTyped] = useState(picture.words);
  const keep = () => typed.trim() !== picture.words && onWords(typed.trim());
  const close = () => {
    keep();
    onClose();
  };
  return (
    <Modal
      open
      title={of}
      width="min(96vw, 1100px)"
      style={{ top: 16 }}
      onCancel={close}
      footer={
        <div className="picture-foot">
          <Input
            aria-label="Words to it"
            placeholder="Words to it"
            value={typed}
            maxLength={200}
            onChange={({ target }) => setTyped(target.value)}
            onPressEnter={close}
          />
          <Button
            onClick={() => {
              keep();
              onAway();
            }}
          >
            Take it away
          </Button>
          <Button type="primary" onClick={close}>
            Close
          </Button>
        </div>
      }
    >
      <img
        className="picture-large"
        src={api.pictureAddress(picture.id)}
        width={picture.width}
        height={picture.height}
        alt={picture.words || `Picture of ${of}`}
      />
    </Modal>
  );
}
