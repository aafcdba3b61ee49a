import type { Equipment, Head } from '../../core/shop/index.ts';

/** What every table of the shop is given. */
export interface ShopProps {
  readonly equipment: Equipment;
  /** @returns why a change cannot be, or null */
  readonly edit: (change: (equipment: Equipment) => Equipment) => string | null;
  /** Takes something away, with a way to put it back. */
  readonly remove: (what: string, change: (equipment: Equipment) => Equipment) => void;
}

/**
 * Changes one thing as it stands now. What the screen showed may be older than what was kept a moment ago:
 * leaving a field keeps it, and the press that left it must not be built on the time before.
 * @returns why it cannot be, or null
 */
export type Keep<T> = (change: (now: T) => T) => string | null;

/** The things with one of them changed as it stands among them. */
export const changed = <T extends { readonly id: string }>(
  things: readonly T[],
  id: string,
  change: (now: T) => T,
): readonly T[] => things.map((thing) => (thing.id === id ? change(thing) : thing));

export const without = <T extends { readonly id: string }>(things: readonly T[], id: string): readonly T[] =>
  things.filter((other) => other.id !== id);

/** A name that none of those there has: `Head`, `Head 2`, … */
export function freshName(things: readonly { readonly name: string }[], base: string): string {
  const taken = (name: string) => things.some((thing) => thing.name === name);
  if (!taken(base)) return base;
  for (let n = 2; ; n += 1) if (!taken(`${base} ${n}`)) return `${base} ${n}`;
}

/** Changes a head as it stands now. @returns why it cannot be, or null */
export type SetHead = (change: Partial<Head> | ((now: Head) => Partial<Head>)) => string | null;
