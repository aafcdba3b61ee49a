import { useCallback, useEffect, useRef, useState } from 'react';
import type { Outcome } from '../../core/devices/index.ts';
import type { TurnBody } from '../../core/wire/index.ts';
import { api, newId } from '../state/index.ts';
import { SCREEN, useLive } from './live.ts';

/** So often the page says that it is there and the button held, ms. */
const BEAT_MS = 120;

/** A move that the server does not know any more and tells no end of, as after a fresh start of it, ms. */
const FORGOTTEN_MS = 2000;

export interface Turning {
  /** Is a move of this screen under way? */
  readonly turning: boolean;
  /** Why it was not sent; null where it was. */
  readonly refused: string | null;
  readonly begin: (to: TurnBody['to']) => void;
  readonly stop: () => void;
}

/**
 * A move of a motor by this screen: sent once, held while it goes on, its end told once.
 * @param onEnd called with what came of it
 */
export function useTurn(
  id: string,
  onEnd: (outcome: Outcome, to: TurnBody['to'], steps: number | null) => void,
): Turning {
  const [move, setMove] = useState<{ id: string; to: TurnBody['to'] } | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const steps = useRef<number | null>(null);
  const ended = useRef(onEnd);
  useEffect(() => {
    ended.current = onEnd;
  });
  /** Let go: from then on nothing holds it any more, whatever order the questions come in. */
  const letGo = useRef(false);
  const stop = useCallback(() => {
    letGo.current = true;
    void api.stopMotor(id).catch(() => null);
  }, [id]);
  const begin = useCallback(
    (to: TurnBody['to']) => {
      const body = { move: newId(), screen: SCREEN, to, free: true as const };
      setRefused(null);
      letGo.current = false;
      setMove({ id: body.move, to });
      api.turnMotor(id, body).then(
        (answer) => {
          steps.current = answer.steps;
          // a stop that was quicker than the move stopped nothing
          const held = { move: body.move, screen: SCREEN };
          void (letGo.current ? api.stopMotor(id) : api.holdMotor(id, held)).catch(() => null);
        },
        (error: Error) => {
          setMove(null);
          setRefused(error.message);
        },
      );
    },
    [id],
  );
  const under = move?.id;
  useEffect(() => {
    if (under === undefined) return;
    const timer = setInterval(() => {
      if (letGo.current) return;
      api.holdMotor(id, { move: under, screen: SCREEN }).then(
        ({ held }) =>
          held || setTimeout(() => setMove((now) => (now?.id === under ? null : now)), FORGOTTEN_MS),
        () => null,
      );
    }, BEAT_MS);
    return () => clearInterval(timer);
  }, [id, under]);
  useEffect(() => {
    if (!move) return;
    return useLive.subscribe(({ devices }) => {
      const motor = devices.find((device) => device.id === id)?.motor;
      const outcome = motor?.ended.find((each) => each.id === move.id);
      if (!outcome) return;
      ended.current(outcome, move.to, steps.current);
      setMove(null);
    });
  }, [id, move]);
  // a page that goes away does not leave the table turning
  useEffect(() => {
    if (under === undefined) return;
    const gone = () => document.hidden && stop();
    document.addEventListener('visibilitychange', gone);
    window.addEventListener('pagehide', stop);
    window.addEventListener('blur', stop);
    return () => {
      document.removeEventListener('visibilitychange', gone);
      window.removeEventListener('pagehide', stop);
      window.removeEventListener('blur', stop);
    };
  }, [under, stop]);
  return { turning: move !== null, refused, begin, stop };
}
