import { useEffect } from 'react';

interface StepsProps {
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** Back a step and forth again, by button and by the usual keys, in a field as well. */
export function Steps({ canUndo, canRedo, undo, redo }: StepsProps) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const act = key === 'z' ? (event.shiftKey ? redo : undo) : key === 'y' ? redo : null;
      // what is asked in a dialog is no step of the card behind it
      if (!act || document.querySelector('.ant-modal-wrap:not([style*="display: none"]) .ant-modal')) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  return (
    <span className="steps">
      <button type="button" className="plain-button" aria-disabled={!canUndo} onClick={undo} title="Ctrl Z">
        Undo
      </button>
      <button
        type="button"
        className="plain-button"
        aria-disabled={!canRedo}
        onClick={redo}
        title="Ctrl Shift Z"
      >
        Redo
      </button>
    </span>
  );
}
