import { useEffect } from 'react';
import { api, ProblemError } from '../state/index.ts';
import { useLearning } from './kept.ts';

const AGAIN_MS = 5000;

/** One flight at a time, however many pages are open on it. */
let flying = false;

/** Sends what waits, in order. What the server refuses is let go; while it is away, it waits. */
async function sendAll(): Promise<void> {
  const { classroom, outbox, sent, leave } = useLearning.getState();
  const [first] = outbox;
  if (!classroom || !first) return;
  try {
    await api.addTry(classroom.token, { ...first, answers: { ...first.answers } });
  } catch (error) {
    if (!(error instanceof ProblemError)) return;
    // taken out of the class, or the class has ended
    if (error.status === 404) return leave();
    if (error.status >= 500 || error.status === 401) return;
  }
  sent(first.id);
  return sendAll();
}

async function fly(): Promise<void> {
  if (flying) return;
  flying = true;
  try {
    await sendAll();
  } finally {
    flying = false;
  }
}

/** Keeps a learner and the class together: what is tried goes there, what is given comes from there. */
export function useClass(): void {
  const token = useLearning(({ classroom }) => classroom?.token ?? null);
  const waiting = useLearning(({ outbox }) => outbox.length);
  useEffect(() => {
    if (token === null) return;
    void (async () => {
      await fly();
      const stands = await api.readLearner(token).catch((error: unknown) => error);
      const { join, leave, classroom } = useLearning.getState();
      if (classroom?.token !== token) return;
      if (stands instanceof ProblemError && stands.status === 404) leave();
      else if (!(stands instanceof Error)) join(stands as Awaited<ReturnType<typeof api.readLearner>>);
    })();
  }, [token]);
  useEffect(() => {
    if (token === null || waiting === 0) return;
    void fly();
    const again = setInterval(() => void fly(), AGAIN_MS);
    return () => clearInterval(again);
  }, [token, waiting]);
}
