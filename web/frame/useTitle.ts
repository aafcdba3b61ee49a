import { useEffect } from 'react';

const NAME = 'Vuelta';

/**
 * What stands on the tab: what the page shows first, the application after it. Empty: the application alone.
 */
export const pageTitle = (shows: string): string => (shows === '' ? NAME : `${shows} · ${NAME}`);

/** Each page has a title of its own. */
export function useTitle(shows: string): void {
  useEffect(() => {
    document.title = pageTitle(shows);
  }, [shows]);
}
