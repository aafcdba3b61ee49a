import { z } from 'zod';

/**
 * What is cut at each place round the work, as hands call it. The word *space* alone is the plate’s: what the
 * crank moves by.
 */
export const dividedSchema = z.enum(['tooth-space', 'place', 'hole', 'slot', 'flat', 'spline', 'mark']);
export type Divided = z.infer<typeof dividedSchema>;

interface DividedWords {
  readonly one: string;
  readonly many: string;
  /** What a hand does there, and what it is afterwards. */
  readonly verb: string;
  readonly done: string;
  /** How one that is made shows that cutter and work stand to each other as they did: `must …`. */
  readonly fits: string;
}

const cutWords = (one: string, fits: string): DividedWords => ({
  one,
  many: `${one}s`,
  verb: 'cut',
  done: 'cut',
  fits,
});

const WORDS: Readonly<Record<Divided, DividedWords>> = {
  'tooth-space': cutWords('tooth space', 'drop into it without touching a flank'),
  place: cutWords('place', 'come to it just as it was cut, and take nothing off'),
  // a plate has holes too
  hole: { ...cutWords('work hole', 'go into it without touching its wall'), verb: 'drill', done: 'drilled' },
  slot: cutWords('slot', 'drop into it without touching a side'),
  flat: cutWords('flat', 'pass over it evenly, and take nothing off'),
  spline: cutWords('spline space', 'drop into it without touching a side'),
  mark: cutWords('mark', 'fall on it exactly'),
};

/** The words for what is cut at each place. */
export const wordsOfDivided = (divides: Divided): DividedWords => WORDS[divides];

/** One of them by its number, as marked on the blank: `tooth space 12`, `flat 3`. */
export const dividedName = ({ divides }: { readonly divides: Divided }, number: number): string =>
  `${WORDS[divides].one} ${number}`;
