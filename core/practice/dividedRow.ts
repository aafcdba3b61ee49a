import { outsideReads, type FoundSpace, type Where } from './measure.ts';
import type { Work } from './work.ts';

/* What is measured on work that is no spur or helical gear, row by row. */

/** What a row of figures is of. */
export type DividedWhat =
  | 'depth'
  /** From one to the next: along a bar, or the angle round the work. */
  | 'step'
  | 'length'
  /** A tooth: of a rack at its pitch line, of a wheel round its pitch circle. */
  | 'tooth'
  /** Of a slot, at half its depth. */
  | 'width'
  | 'across-flats'
  /** How far a slot’s middle stands beside the work’s. */
  | 'aside'
  /** How far the first stands aside where the cutter leaves, beside where it enters. */
  | 'lean';

/** Least and most of what was read, beside what the card wants; mm, or degrees where it says so. */
export interface DividedReading {
  readonly what: DividedWhat;
  readonly where: Where;
  readonly least: number;
  readonly most: number;
  readonly wanted: number;
  readonly degrees?: true;
}

export const PLACES: readonly Where[] = ['entry', 'middle', 'exit'];

type Row = Omit<DividedReading, 'least' | 'most'>;
export const row = (kind: Row, values: readonly number[]): DividedReading[] =>
  values.length === 0
    ? []
    : [
        {
          ...kind,
          least: values.reduce((a, b) => Math.min(a, b)),
          most: values.reduce((a, b) => Math.max(a, b)),
        },
      ];

export const middle = ({ from, to }: FoundSpace): number => (from + to) / 2;
export const steps = (at: readonly number[]): number[] => at.slice(1).map((each, i) => each - at[i]!);

/** How deep each cut is below the outside as it was made, at its middle. */
export const depths = (work: Work, found: readonly FoundSpace[], where: Where): number[] =>
  outsideReads(work, found.map(middle), where).map((reads) => -reads);
