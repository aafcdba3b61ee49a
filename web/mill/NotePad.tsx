import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import type { Cut, RunState } from '../../core/run/index.ts';

interface NotePadProps {
  readonly open: boolean;
  readonly notes: RunState['notes'];
  readonly cuts: readonly Cut[];
  readonly divisions: number;
  readonly onClose: () => void;
  readonly onNote: (text: string) => void;
}

/** Notes taken at the mill, each with the space it was taken at. */
export function NotePad({ open, notes, cuts, divisions, onClose, onNote }: NotePadProps) {
  const [text, setText] = useState('');
  const spaceOf = ({ round, index }: { round: number; index: number }) =>
    cuts[(round - 1) * divisions + index - 1]?.space ?? '?';
  const write = () => {
    const said = text.trim();
    if (!said) return;
    onNote(said);
    setText('');
    onClose();
  };
  return (
    <Modal open={open} title="Note" onCancel={onClose} footer={null} destroyOnHidden>
      <Input.TextArea
        aria-label="Note"
        value={text}
        onChange={(event) => setText(event.target.value)}
        autoFocus
        rows={3}
        maxLength={2000}
        placeholder="What was seen or done at this space"
      />
      <Button
        type="primary"
        size="large"
        block
        onClick={write}
        disabled={!text.trim()}
        style={{ marginTop: 10 }}
      >
        Write it down
      </Button>
      {notes.length > 0 && (
        <ul className="note-list">
          {[...notes].reverse().map((note) => (
            <li key={note.id}>
              <span className="soft">
                at space {spaceOf(note)},{' '}
                {new Date(note.clientTime).toLocaleString([], {
                  day: 'numeric',
                  month: 'short',
                  hour: '2-digit',
                  minute: '2-digit',
                })}
              </span>
              {note.text}
            </li>
          ))}
        </ul>
      )}
    </Modal>
  );
}
