import { newId } from '../state/index.ts';

const KEY = 'vuelta.screen';

interface Claim {
  readonly id: string;
  /**
   * How many events of each run were made here: a run sees every number of its own, or knows that one is
   * missing.
   */
  readonly made: Record<string, number>;
}

/**
 * This page's own name as a counting screen, and how many events of each run it has made. It lives in the tab
 * and is taken out while the page is open: a tab that was copied finds nothing and gets a name of its own, so
 * two never share one.
 */
function claimScreen(): Claim {
  try {
    const text = sessionStorage.getItem(KEY);
    sessionStorage.removeItem(KEY);
    const claim = text ? (JSON.parse(text) as Partial<Claim>) : null;
    if (claim?.id && claim.made) return { id: claim.id, made: claim.made };
  } catch {
    // no tab storage: a fresh name each time the page opens
  }
  return { id: newId(), made: {} };
}

const screen = claimScreen();
window.addEventListener('pagehide', () => {
  try {
    sessionStorage.setItem(KEY, JSON.stringify(screen));
  } catch {
    // the next page takes a fresh name
  }
});
window.addEventListener('pageshow', (event) => {
  // back from the browser's page cache: it is open again
  if (event.persisted) sessionStorage.removeItem(KEY);
});

export interface EventNumber {
  readonly device: string;
  readonly deviceSeq: number;
}

/** Name and next number for an event of this run made here. */
export function nextEventNumber(runId: string): EventNumber {
  const deviceSeq = (screen.made[runId] ?? 0) + 1;
  screen.made[runId] = deviceSeq;
  return { device: screen.id, deviceSeq };
}
