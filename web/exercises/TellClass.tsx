import { useEffect } from 'react';
import { standsAt, type Session } from '../../core/practice/index.ts';
import { api } from '../state/index.ts';
import { useLearning } from './kept.ts';

interface TellClassProps {
  readonly session: Session;
  /** Of what is hidden in the blank; null for nothing. */
  readonly seed: number | null;
  readonly found: boolean;
}

/** Hands rest so long before it is told. */
const TOLD_AFTER_MS = 1500;
/** The part a class is given of a job. */
const PART = 'p1';

/** Tells the teacher how far one is with the class’s job; nothing of any other job. Draws nothing. */
export function TellClass({ session, seed, found }: TellClassProps) {
  const classroom = useLearning((learning) => learning.classroom);
  const { jobId, partId } = session.bench.run;
  const token = classroom?.given.jobId === jobId && partId === PART ? classroom.token : null;
  useEffect(() => {
    if (token === null || (session.log.length === 0 && seed === null)) return;
    const timer = setTimeout(() => {
      const { made, of, harms } = standsAt(session);
      const hidden = seed === null ? null : { seed, found };
      // while the server is away it is told with what is done next
      api.tellBench(token, { jobId, made, of, harms, hidden }).catch(() => undefined);
    }, TOLD_AFTER_MS);
    return () => clearTimeout(timer);
  }, [token, jobId, session, seed, found]);
  return null;
}
