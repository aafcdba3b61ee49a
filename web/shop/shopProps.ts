import type { Equipment } from '../../core/shop/index.ts';

/** What every table of the shop is given. */
export interface ShopProps {
  readonly equipment: Equipment;
  /** @returns why a change cannot be, or null */
  readonly edit: (change: (equipment: Equipment) => Equipment) => string | null;
  /** Takes something away, with a way to put it back. */
  readonly remove: (what: string, change: (equipment: Equipment) => Equipment) => void;
}

/** Puts a changed thing in the place of the one with its id. */
export const replaced = <T extends { readonly id: string }>(things: readonly T[], thing: T): readonly T[] =>
  things.map((other) => (other.id === thing.id ? thing : other));
export const without = <T extends { readonly id: string }>(things: readonly T[], id: string): readonly T[] =>
  things.filter((other) => other.id !== id);

/** A name that none of those there has: `Head`, `Head 2`, … */
export function freshName(things: readonly { readonly name: string }[], base: string): string {
  const taken = (name: string) => things.some((thing) => thing.name === name);
  if (!taken(base)) return base;
  for (let n = 2; ; n += 1) if (!taken(`${base} ${n}`)) return `${base} ${n}`;
}
