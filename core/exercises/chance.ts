/** Chance from a seed: the same seed draws the same numbers, on any machine. */
export interface Chance {
  /** Whole, both ends within reach. */
  readonly whole: (from: number, to: number) => number;
  readonly one: <T>(list: readonly T[]) => T;
}

/**
 * @param seed whole, 0 to 2³² − 1
 * Source: the generator known as mulberry32, of the public domain; from memory, its first draws stand in the
 * test
 */
export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const draw = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const whole = (from: number, to: number): number => from + Math.floor(draw() * (to - from + 1));
  return { whole, one: (list) => list[whole(0, list.length - 1)]! };
}

/**
 * A seed of its own for each of several things drawn from one: learners of a class, places of a row.
 * Source: the hash FNV-1a, 32 bits; from memory
 */
export function seedFrom(...parts: readonly (string | number)[]): number {
  let hash = 0x811c9dc5;
  for (const letter of parts.join('\u0000')) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193);
  return hash >>> 0;
}
