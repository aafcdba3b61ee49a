import { useLayoutEffect, useRef } from 'react';
import { usePreferences } from '../state/index.ts';

export type KeyMap = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** Is the person typing, or is a dialog in front? Single keys are off there. */
function busyElsewhere(target: EventTarget | null, key: string): boolean {
  if (
    document.querySelector(
      '.ant-modal-wrap:not([style*="display: none"]) .ant-modal, .ant-select-dropdown:not(.ant-select-dropdown-hidden)',
    )
  )
    return true;
  if (!(target instanceof HTMLElement)) return false;
  // a box that was ticked or a choice that was made keeps the focus, and has use only for these
  if (target.matches('input[type="checkbox"], input[type="radio"], input[type="range"]'))
    return key === ' ' || key === 'Enter' || key.startsWith('Arrow') || key === 'Home' || key === 'End';
  return target.closest('input, textarea, select, [contenteditable="true"]') !== null;
}

/**
 * Single keys of a screen. Keys are named as `KeyboardEvent.key`, letters in lower case. Key repeat does
 * nothing.
 */
export function useKeys(map: KeyMap): void {
  const latest = useRef(map);
  // with the picture, not after it: a key pressed on what has just been drawn means what is drawn
  useLayoutEffect(() => {
    latest.current = map;
  });
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || busyElsewhere(event.target, event.key)) return;
      const isSign = event.key.length === 1;
      // who talks to the machine, or rests a hand on it, types no commands
      if (isSign && !usePreferences.getState().singleKeys) return;
      const key = isSign ? event.key.toLowerCase() : event.key;
      // a key held down on a button would press it again and again
      if (event.repeat && key === 'Enter') event.preventDefault();
      const act = latest.current[key];
      if (!act) return;
      // a button in focus keeps its own Space and Enter
      if (
        (key === ' ' || key === 'Enter') &&
        event.target instanceof HTMLElement &&
        event.target.closest('button, a, summary, [role="radio"]')
      )
        return;
      event.preventDefault();
      if (!event.repeat) act(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
