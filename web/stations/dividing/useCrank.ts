import { useCallback, useEffect, useRef, useState } from 'react';
import {
  plateRatioOf,
  type DividingChoice,
  type Geared,
  type HeadMotion,
} from '../../../core/dividing/index.ts';
import { approx, exact } from '../../../core/units/index.ts';

export interface Crank {
  /** Moves made; a part of one while it is being made. */
  readonly at: number;
  readonly most: number;
  readonly turn: (moves: number) => void;
  readonly set: (moves: number) => void;
}

const MOVE_MS = 1400;

/** The crank on the screen: turned a move at a time, and seen turning unless the person wants no motion. */
export function useCrank(most: number): Crank {
  const [at, setAt] = useState(0);
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const set = useCallback(
    (moves: number) => {
      cancelAnimationFrame(frame.current);
      setAt(Math.max(0, Math.min(most, moves)));
    },
    [most],
  );
  const turn = useCallback(
    (moves: number) => {
      cancelAnimationFrame(frame.current);
      const from = Math.round(at);
      const to = Math.max(0, Math.min(most, from + moves));
      if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) {
        setAt(to);
        return;
      }
      const started = performance.now();
      const step = (now: number) => {
        const part = Math.min(1, (now - started) / MOVE_MS);
        setAt(from + (to - from) * part);
        if (part < 1) frame.current = requestAnimationFrame(step);
      };
      frame.current = requestAnimationFrame(step);
    },
    [at, most],
  );
  return { at, most, turn, set };
}

/**
 * How far the plate has turned and where the pin stands over it, degrees; null where there is no plate or
 * ring.
 */
export function liveOf({
  choice,
  geared,
  at,
  headMotion: { states },
  ratio,
}: {
  readonly choice: DividingChoice;
  readonly geared: Geared | null;
  readonly at: number;
  readonly headMotion: HeadMotion;
  readonly ratio: string;
}): { readonly plate: number; readonly pin: number } | null {
  const done = Math.floor(at + 1e-9);
  const part = at - done;
  const angle = (spaces: number, circle: number) => (360 * spaces) / circle;
  switch (choice.method) {
    case 'simple':
    case 'differential': {
      const { turns, spaces, circle } = choice;
      const pin = angle((turns * circle + spaces) * at, circle);
      const spindle = pin / 360 / (approx(exact(ratio)) - approx(plateRatioOf(choice)));
      return { plate: geared ? 360 * spindle * approx(plateRatioOf(choice)) : 0, pin };
    }
    case 'compound': {
      // the first half of a move is the pin's, the second the plate's
      const { turns, spaces, circle, back } = choice;
      const pinPart = done + Math.min(1, part * 2);
      const platePart = done + Math.max(0, part * 2 - 1);
      return {
        plate: angle(back.spaces * platePart, back.circle),
        pin: angle((turns * circle + spaces) * pinPart, circle),
      };
    }
    case 'direct':
      return { plate: 0, pin: angle(choice.spaces * at, choice.holes) };
    case 'nearest-hole': {
      const [from, to] = [states[done]!.hole, states[Math.min(done + 1, states.length - 1)]!.hole];
      return { plate: 0, pin: angle(from + (to - from) * part, choice.circle) };
    }
    default:
      return null;
  }
}
