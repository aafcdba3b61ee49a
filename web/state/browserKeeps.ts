/**
 * What this browser keeps of cards: under the first those typed and not stored yet, under the second those
 * that cannot be read any more.
 */
export const DRAFT_PREFIX = 'vuelta.draft.';
export const ASIDE_PREFIX = 'vuelta.aside.';

/** A pause between keys: writing a whole card at each of them is felt. */
const PAUSE_MS = 250;

/** What is kept when the keys pause, or the page is hidden. */
let waiting: { readonly name: string; readonly text: () => string } | null = null;
let pause: ReturnType<typeof setTimeout> | undefined;

/** Keeps at once what waits for a pause. */
export function keepNow(): void {
  clearTimeout(pause);
  if (!waiting) return;
  const { name, text } = waiting;
  waiting = null;
  try {
    localStorage.setItem(name, text());
  } catch {
    // a full or closed store only means that what is not stored will not outlive the page
  }
}

/** Keeps a text in this browser in a moment, with what follows at once, and before the page goes. */
export function keepSoon(name: string, text: () => string): void {
  if (waiting?.name !== name) keepNow();
  waiting = { name, text };
  clearTimeout(pause);
  pause = setTimeout(keepNow, PAUSE_MS);
}

export function forgetKept(name: string): void {
  if (waiting?.name === name) waiting = null;
  localStorage.removeItem(name);
}

// a page may be put away or thrown out any time after it was hidden
globalThis.addEventListener?.('pagehide', keepNow);
globalThis.document?.addEventListener('visibilitychange', () => {
  if (document.hidden) keepNow();
});

/** The names under which this browser keeps things that begin so; none where it keeps nothing at all. */
export function keptUnder(prefix: string): string[] {
  keepNow();
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)).filter(
      (key) => key?.startsWith(prefix) === true,
    ) as string[];
  } catch {
    return [];
  }
}
