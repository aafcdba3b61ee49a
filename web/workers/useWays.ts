import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { WaysFound } from '../../core/dividing/index.ts';
import type { GearSet, Head } from '../../core/shop/index.ts';
import type { WaysWork } from './ways.worker.ts';

/**
 * The longer search for ways of dividing, off the thread that draws. The latest question wins: one still being worked
 * on is dropped with its worker.
 * @returns null while searching, or while there is nothing to search for
 */
export function useWays(
  head: Head | null,
  gearSets: readonly GearSet[],
  divisions: number | null,
): WaysFound | null {
  const [found, setFound] = useState<{ readonly question: string; readonly ways: WaysFound } | null>(null);
  const question = head && divisions !== null ? JSON.stringify([head, gearSets, divisions]) : null;
  useEffect(() => {
    if (question === null) return;
    const [askedHead, askedSets, asked] = JSON.parse(question) as [Head, GearSet[], number];
    const worker = new Worker(new URL('./ways.worker.ts', import.meta.url), { type: 'module' });
    const remote: Remote<WaysWork> = wrap<WaysWork>(worker);
    let wanted = true;
    void remote.searchWays(askedHead, askedSets, asked).then((ways) => {
      if (wanted) setFound({ question, ways });
    });
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [question]);
  return found && found.question === question ? found.ways : null;
}
