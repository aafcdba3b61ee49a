import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import { Asker, type Helper } from './asker.ts';
import type { Desk } from './core.worker.ts';
import type { Work } from './work.ts';

function hireWorker(): Helper {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  const desk = wrap<Desk>(worker);
  return {
    ask: ({ work, asked }) => desk.ask(work as keyof Work, asked),
    onFault: (listener) => {
      worker.addEventListener('error', ({ message }) => listener(new Error(message || 'it did not start')));
      worker.addEventListener('messageerror', () => listener(new Error('its answer could not be read')));
    },
    dismiss: () => worker.terminate(),
  };
}

/** What may take seconds has a helper of its own, so that it does not hold up what is quick. */
const LONG = new Set<keyof Work>(['searchMethods', 'searchLeads', 'searchBends']);
const long = new Asker(hireWorker);
const quick = new Asker(hireWorker);

/** Work that broke off. */
export interface Broken {
  readonly words: string;
  readonly again: () => void;
}

export interface Answered<Answer> {
  /** Null while it is being worked out, when it broke off, and while nothing is asked. */
  readonly found: Answer | null;
  readonly broken: Broken | null;
}

type AnswerOf<Name extends keyof Work> = ReturnType<Work[Name]>;
interface Heard<Answer> {
  readonly question: string;
  readonly answer?: Answer;
  readonly fault?: string;
}

/**
 * Asks a worker, off the thread that draws. The latest question wins: one still being worked on is dropped.
 * @param name which work
 * @param asked its arguments, plain data; null asks nothing
 */
export function useAnswer<Name extends keyof Work>(
  name: Name,
  asked: Parameters<Work[Name]> | null,
): Answered<AnswerOf<Name>> {
  const question = asked && JSON.stringify(asked);
  const [heard, setHeard] = useState<Heard<AnswerOf<Name>> | null>(null);
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    if (question === null) return;
    const { answer, drop } = (LONG.has(name) ? long : quick).ask({
      work: name,
      asked: JSON.parse(question) as unknown[],
    });
    let wanted = true;
    answer.then(
      (found) => wanted && setHeard({ question, answer: found as AnswerOf<Name> }),
      (fault: Error) => wanted && setHeard({ question, fault: fault.message }),
    );
    return () => {
      wanted = false;
      drop();
    };
  }, [name, question, turn]);
  const now = heard?.question === question ? heard : null;
  const again = () => {
    setHeard(null);
    setTurn((count) => count + 1);
  };
  return {
    found: now?.answer ?? null,
    broken: now?.fault === undefined ? null : { words: now.fault, again },
  };
}
