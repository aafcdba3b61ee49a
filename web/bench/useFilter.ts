import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { JobFilter } from '../state/index.ts';

/** What a filter stands under in the address, so that it can be sent to someone and comes back by Back. */
const NAMES = {
  archived: 'away',
  words: 'find',
  kind: 'kind',
  standing: 'standing',
  material: 'material',
  person: 'for',
  tag: 'tag',
  order: 'order',
} as const;
type Name = keyof typeof NAMES;

/** What jobs are looked for by, as it stands in the address. */
export function useFilter() {
  const [query, setQuery] = useSearchParams();
  const filter = useMemo((): JobFilter => {
    const read = Object.entries(NAMES).flatMap(([name, key]) => {
      const value = query.get(key);
      return value === null || value === '' ? [] : [[name, value]];
    });
    // what the server does not know it refuses in words
    return Object.fromEntries(read) as JobFilter;
  }, [query]);
  const set = useCallback(
    (change: JobFilter) =>
      setQuery(
        (now) => {
          const next = new URLSearchParams(now);
          for (const [name, value] of Object.entries(change) as [Name, string | undefined][])
            if (value) next.set(NAMES[name], value);
            else next.delete(NAMES[name]);
          return next;
        },
        { replace: true },
      ),
    [setQuery],
  );
  /** Looks for nothing any more; stays where it is, on the bench or among what was put away. */
  const clear = useCallback(
    ({ archived = filter.archived }: Pick<JobFilter, 'archived'> = {}) =>
      setQuery(archived === 'true' ? { [NAMES.archived]: 'true' } : {}, { replace: true }),
    [filter.archived, setQuery],
  );
  const isAny = Object.keys(filter).every((name) => name === 'archived' || name === 'order');
  return { filter, set, clear, isAny };
}
