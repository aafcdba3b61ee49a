/**
 * What this browser keeps of cards: under the first those typed and not stored yet, under the second those
 * that cannot be read any more.
 */
export const DRAFT_PREFIX = 'vuelta.draft.';
export const ASIDE_PREFIX = 'vuelta.aside.';

/** The names under which this browser keeps things that begin so; none where it keeps nothing at all. */
export function keptUnder(prefix: string): string[] {
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)).filter(
      (key) => key?.startsWith(prefix) === true,
    ) as string[];
  } catch {
    return [];
  }
}
