import { Button, Dropdown, Modal } from 'antd';
import { useRef } from 'react';
import { usePreferences } from '../state/index.ts';

interface MoreProps {
  /** Null where the blank is new already. */
  readonly onNew: (() => void) | null;
  readonly onTrouble: () => void;
  readonly onSave: () => void;
  /** @returns why it cannot be opened; null when it is */
  readonly onOpen: (text: string) => string | null;
  readonly projected: boolean;
  readonly onProject: () => void;
}

/** A file longer than that holds no rehearsal, bytes. */
const LONGEST = 5_000_000;

/** What is seldom wanted: what was done as a file, and the view for a room. */
export function More({ onNew, onTrouble, onSave, onOpen, projected, onProject }: MoreProps) {
  const pinHeard = usePreferences((preferences) => preferences.pinHeard);
  const swapPinHeard = usePreferences((preferences) => preferences.swapPinHeard);
  const file = useRef<HTMLInputElement>(null);
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const why = chosen.size > LONGEST ? 'That is no file of a practice bench.' : onOpen(await chosen.text());
    if (why) Modal.warning({ title: 'It cannot be opened here', content: why });
  };
  return (
    <>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'new', label: 'A new blank', disabled: !onNew, onClick: () => onNew?.() },
            { key: 'trouble', label: 'Something looks wrong', onClick: onTrouble },
            {
              key: 'project',
              label: projected ? 'Back to the whole bench' : 'For a projector',
              onClick: onProject,
            },
            {
              key: 'sound',
              label: pinHeard ? 'No sound of the pin' : 'Hear the pin fall',
              onClick: swapPinHeard,
            },
            { key: 'save', label: 'Save what was done', onClick: onSave },
            { key: 'open', label: 'Open what was saved', onClick: () => file.current?.click() },
          ],
        }}
      >
        <Button>More</Button>
      </Dropdown>
      <input
        ref={file}
        type="file"
        accept="application/json,.json"
        hidden
        onChange={({ target }) => {
          void read(target.files?.[0]);
          target.value = '';
        }}
      />
    </>
  );
}
