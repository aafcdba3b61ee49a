import { useRef, type KeyboardEvent, type PointerEvent } from 'react';

interface Turned {
  /** Into how many parts a turn is told. */
  readonly parts: number;
  /** Of these a key turns by so many; with Shift by one. */
  readonly key: number;
  /** Parts clockwise, < 0 back. */
  readonly onTurn: (parts: number) => void;
}

/** What is turned by a finger that goes round it, or by keys: a whole turn by the page keys. */
export function useTurnedByHand({ parts, key, onTurn }: Turned) {
  const sheet = useRef<SVGSVGElement>(null);
  const held = useRef<number | null>(null);
  /** Where a finger is, part of a turn. */
  const angleOf = (event: PointerEvent): number => {
    const box = sheet.current!.getBoundingClientRect();
    const [x, y] = [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2];
    return Math.atan2(x, -y) / (2 * Math.PI);
  };
  const letGo = () => {
    held.current = null;
  };
  const handlers = {
    onKeyDown: (event: KeyboardEvent) => {
      const ways: Readonly<Record<string, number>> = {
        ...{ ArrowRight: key, ArrowUp: key, ArrowLeft: -key, ArrowDown: -key },
        ...{ PageUp: parts, PageDown: -parts },
      };
      const by = ways[event.key];
      if (by === undefined) return;
      event.preventDefault();
      onTurn(event.shiftKey ? Math.sign(by) : by);
    },
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      held.current = angleOf(event);
    },
    onPointerMove: (event: PointerEvent) => {
      if (held.current === null) return;
      const by = angleOf(event) - held.current;
      const nearest = by - Math.round(by);
      const gone = Math.trunc(nearest * parts);
      if (gone === 0) return;
      held.current += gone / parts;
      onTurn(gone);
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
  };
  return { sheet, handlers };
}
