import type { Working } from '../station/index.ts';
import type { Chance } from './chance.ts';

export const TOPICS = {
  sizes: 'Sizes',
  cutter: 'Cutters',
  dividing: 'Dividing',
  gears: 'Dividing with gears',
  helix: 'Helical gears',
  worm: 'Worms',
  setup: 'Setting up',
  measuring: 'Measuring',
  arrival: 'What arrives at the bench',
} as const;
export type Topic = keyof typeof TOPICS;

/** 1: plain figures; 2: as the shop has them; 3: odd ones, inches, counts that do not come out. */
export type Level = 1 | 2 | 3;
export const LEVELS: readonly Level[] = [1, 2, 3];

/** How an answer stands: right; a slip that is known by what it gives; wrong; not to be read. */
export type Verdict =
  { readonly state: 'right' } | { readonly state: 'slip' | 'wrong' | 'unread'; readonly says: string };

/** A place for an answer. */
export interface AskedField {
  readonly key: string;
  readonly label: string;
  /** Stands behind the figure: `mm`. */
  readonly unit: string;
  /** How one writes it; empty where nothing needs saying. */
  readonly like: string;
  /** Where it is chosen and not typed. */
  readonly options?: readonly { readonly value: string; readonly text: string }[];
  /** A right answer, as one would write it; of a choice, its value. */
  readonly answer: string;
}

export type Answers = Readonly<Record<string, string>>;
export type Verdicts = Readonly<Record<string, Verdict>>;

/** What is put before a learner, and how it is marked. */
export interface Posed {
  /** What is to be worked out, in a sentence or two. */
  readonly asks: string;
  readonly given: readonly { readonly label: string; readonly text: string }[];
  readonly fields: readonly AskedField[];
  /** What to think of, without the answer. */
  readonly hint: string;
  /** The right answer in words, as it stands in the key. */
  readonly answer: string;
  readonly working: readonly Working[];
  readonly judge: (answers: Answers) => Verdicts;
}

/** A kind of exercise. */
export interface Drawn {
  readonly topic: Topic;
  readonly title: string;
  /**
   * Draws one; null where the numbers that came up make no exercise, and the next are drawn.
   */
  readonly pose: (chance: Chance, level: Level) => Posed | null;
}
