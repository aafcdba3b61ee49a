import { newId } from '../frame/index.ts';

const KEY = 'vuelta.screen';

interface Claim {
  readonly id: string;
  seq: number;
}

/**
 * This page's own name as a counting screen, and how many events it has made. It lives in the tab and is taken out
 * while the page is open: a tab that was copied finds nothing and gets a name of its own, so two never share one.
 */
function claimScreen(): Claim {
  try {
    const text = sessionStorage.getItem(KEY);
    sessionStorage.removeItem(KEY);
    if (text) return JSON.parse(text) as Claim;
  } catch {
    // no tab storage: a fresh name each time the page opens
  }
  return { id: newId(), seq: 0 };
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

/** Name and next number for an event made here. */
export function nextEventNumber(): { readonly device: string; readonly deviceSeq: number } {
  screen.seq += 1;
  return { device: screen.id, deviceSeq: screen.seq };
}
