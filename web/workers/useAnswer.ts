import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { CoreWork } from './core.worker.ts';

/**
 * Asks a worker, off the thread that draws. The latest question wins: one still being worked on is dropped with its
 * worker.
 * @param question as text, so that equal questions are one; null asks nothing
 * @param ask what to have worked out
 * @returns null while it is being worked out, or while there is nothing to ask
 */
export function useAnswer<Answer>(
  question: string | null,
  ask: (remote: Remote<CoreWork>, question: string) => Promise<Answer>,
): Answer | null {
  const [found, setFound] = useState<{ readonly question: string; readonly answer: Answer } | null>(null);
  useEffect(() => {
    if (question === null) return;
    const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
    let wanted = true;
    void ask(wrap<CoreWork>(worker), question).then((answer) => {
      if (wanted) setFound({ question, answer });
      worker.terminate();
    });
    return () => {
      wanted = false;
      worker.terminate();
    };
    // what is asked follows from the question alone
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [question]);
  return found && found.question === question ? found.answer : null;
}
