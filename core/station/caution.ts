import type { Caution } from './station.ts';

/** Found out only by a crash: a pin, a worm, a gear or a cutter that breaks. */
const BREAKING: ReadonlySet<string> = new Set(['worm-out', 'direct-pin', 'lead-free', 'climb']);

/** Does not heeding it break the machine or the cutter? */
export const breaksMachine = ({ code }: Caution): boolean => BREAKING.has(code);

/** What a person reads once: its words. Other figures are the same words. */
export const wordsOf = ({ code, text }: Caution): string =>
  `${code}: ${text.replace(/\d+(?:[.,]\d+)?/g, '#')}`;
