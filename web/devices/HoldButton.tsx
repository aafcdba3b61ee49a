import { useEffect, useRef, type ReactNode } from 'react';

interface HoldButtonProps {
  readonly hold: 'press' | 'arm';
  readonly turning: boolean;
  readonly disabled: boolean;
  readonly onBegin: () => void;
  readonly onStop: () => void;
  readonly className: string;
  readonly children: ReactNode;
}

/**
 * Turns while it is held, by finger, mouse, Space or Enter; or where the owner set it so from one press to
 * the next. While it turns any key stops it.
 */
export function HoldButton(props: HoldButtonProps) {
  const { hold, turning, disabled, onBegin, onStop, className, children } = props;
  const held = useRef(false);
  const press = () => {
    if (turning) return onStop();
    if (disabled) return;
    held.current = true;
    onBegin();
  };
  const letGo = () => {
    if (hold === 'press' && held.current) onStop();
    held.current = false;
  };
  useEffect(() => {
    if (!turning) return;
    const onKey = (event: KeyboardEvent) => {
      // the key that holds the button repeats, and goes on holding it
      if (event.repeat) return;
      event.preventDefault();
      event.stopPropagation();
      onStop();
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [turning, onStop]);
  return (
    <button
      type="button"
      className={className}
      disabled={disabled && !turning}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        press();
      }}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onContextMenu={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key !== ' ' && event.key !== 'Enter') return;
        event.preventDefault();
        event.stopPropagation();
        if (!event.repeat) press();
      }}
      onKeyUp={(event) => {
        if (event.key === ' ' || event.key === 'Enter') letGo();
      }}
    >
      {children}
    </button>
  );
}
