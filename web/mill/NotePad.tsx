import { Button, Checkbox, Input } from 'antd';
import { useState } from 'react';
import { dividedName } from '../../core/cut/index.ts';
import { placeOf, type Run, type RunState } from '../../core/run/index.ts';
import { Pictures } from '../pictures/index.ts';
import { MillDialog } from './MillDialog.tsx';

interface NotePadProps {
  readonly open: boolean;
  readonly notes: RunState['notes'];
  readonly run: Run;
  /** The cut at hand: a picture is put with it. */
  readonly at: { readonly round: number; readonly index: number };
  readonly onClose: () => void;
  readonly onNote: (text: string, reset: boolean) => void;
}

/** Notes taken at the mill, each with the place it was taken at. */
export function NotePad({ open, notes, run, at, onClose, onNote }: NotePadProps) {
  const [text, setText] = useState('');
  const [reset, setReset] = useState(false);
  const nameOf = (at: { round: number; index: number }) => {
    const cut = run.cuts[placeOf(run, at)];
    return cut ? dividedName(run, cut.space) : '?';
  };
  const write = () => {
    const said = text.trim() || (reset ? 'Taken off and set again.' : '');
    if (!said) return;
    onNote(said, reset);
    setText('');
    setReset(false);
    onClose();
  };
  return (
    <MillDialog open={open} title="Note" onClose={onClose}>
      <Input.TextArea
        aria-label="Note"
        value={text}
        onChange={(event) => setText(event.target.value)}
        rows={3}
        maxLength={2000}
        placeholder="What was seen or done here"
      />
      <Checkbox checked={reset} onChange={({ target }) => setReset(target.checked)}>
        The blank was taken off or moved here, and set again
      </Checkbox>
      <Button
        type="primary"
        size="large"
        block
        onClick={write}
        disabled={!text.trim() && !reset}
        style={{ marginTop: 10 }}
      >
        Write it down
      </Button>
      <Pictures about={`run/${run.id}/${at.round}-${at.index}`} of={nameOf(at)} />
      {notes.length > 0 && (
        <ul className="note-list">
          {[...notes].reverse().map((note) => (
            <li key={note.id}>
              <span className="soft">
                at {nameOf(note)},{' '}
                {new Date(note.clientTime).toLocaleString([], {
                  day: 'numeric',
                  month: 'short',
                  hour: '2-digit',
                  minute: '2-digit',
                })}
              </span>
              {note.reset && <b>Set again. </b>}
              {note.text}
            </li>
          ))}
        </ul>
      )}
    </MillDialog>
  );
}
