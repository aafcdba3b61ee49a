import type { Ring } from '../shop/index.ts';
import type { Exact } from '../units/index.ts';

/** One way of direct indexing: so many holes of a ring on the spindle itself. */
export interface DirectMove {
  readonly ring: Ring;
  /** Spaces, not holes: never counting the hole the pin is in. */
  readonly spaces: number;
}

/**
 * Every ring in which the spindle itself can be pinned for a move: the move must be whole spaces of it.
 * @param advance part of a turn of the work, exact, > 0
 * Source: H/N holes for each move; Machinery’s Handbook, direct indexing
 */
export function findDirects(advance: Exact, rings: readonly Ring[]): DirectMove[] {
  return rings.flatMap((ring) => {
    const spaces = advance.mul(ring.holes);
    return spaces.d === 1n && spaces.n > 0n ? [{ ring, spaces: Number(spaces.n) }] : [];
  });
}
