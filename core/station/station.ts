import type { Issue } from '../findings/index.ts';
import type { UnitSystem } from '../units/index.ts';

/** Stations keep their number when others are absent from a card. */
export const STATIONS = {
  gear: { number: 1, title: 'Gear' },
  drive: { number: 1, title: 'Drive' },
  spacing: { number: 1, title: 'Spacing' },
  blank: { number: 2, title: 'Blank' },
  wheelBlank: { number: 2, title: 'Blank' },
  cutter: { number: 3, title: 'Cutter' },
  dividing: { number: 4, title: 'Dividing' },
  lathe: { number: 4, title: 'Lathe' },
  lead: { number: 5, title: 'Lead' },
  worm: { number: 5, title: 'Worm' },
  wheel: { number: 5, title: 'Wheel' },
  setup: { number: 6, title: 'Set-up' },
  cut: { number: 7, title: 'Cut' },
  inspect: { number: 8, title: 'Inspect' },
} as const;

export type StationId = keyof typeof STATIONS;
export const STATION_IDS = Object.keys(STATIONS) as [StationId, ...StationId[]];

/** A figure of a station's answer. `at` is canonical text without unit preference: exact where it can be. */
export type Value = {
  readonly key: string;
  readonly label: string;
  /** The trade's letter for it, as TeX. */
  readonly symbol?: string;
  /** Is it part of what the station is settled by? */
  readonly settles: boolean;
} & (
  | {
      readonly kind: 'length';
      readonly mm: number;
      readonly at: string;
      readonly within: number;
      /** Told in millimetres whatever the job's units: a module is. */
      readonly inMm?: true;
    }
  | { readonly kind: 'angle'; readonly deg: number; readonly at: string; readonly within: number }
  | { readonly kind: 'text'; readonly text: string; readonly at: string; readonly figure?: FigureOfText }
);

/**
 * The number that words stand for, and how far it may move before anyone would act on it; both in a unit of
 * their own.
 */
export interface FigureOfText {
  readonly is: number;
  readonly within: number;
  /** As it is written: `µm`. */
  readonly unit: string;
}

/**
 * One line of working, as a teacher writes it: formula in letters, figures put in, result. All TeX.
 * `joined` stands between them: an equals sign unless said otherwise; an angle that is `looked-up` by its
 * tangent or cosine follows from figures that the formula equals.
 */
export interface Working {
  readonly key: string;
  readonly label: string;
  readonly formula: string;
  readonly put: string;
  readonly result: string;
  /** The result where it is a length, mm. */
  readonly mm?: number;
  readonly joined?: '=' | '\\Rightarrow' | 'looked-up';
  readonly source: string;
}

/** What can scrap the part or hurt someone, worded with its consequence. */
export interface Caution {
  readonly code: string;
  readonly when: string;
  readonly text: string;
}

export interface Moved {
  readonly key: string;
  readonly label: string;
  readonly from: string;
  readonly to: string;
}

export type StationState = 'open' | 'settled' | 'doubt';

/** Where a station stands: the place of its fields in the document, and the units it is told in. */
export interface Placed {
  readonly path: string;
  readonly units: UnitSystem;
}

/**
 * What a station works out by itself; the plan adds its state. `Facts` is what stations further down build
 * on.
 */
export interface StationWork<Facts, Detail> {
  readonly id: StationId;
  /** What later stations build on; null while something needed is missing or wrong. */
  readonly facts: Facts | null;
  readonly answer: string;
  readonly values: readonly Value[];
  readonly working: readonly Working[];
  readonly cautions: readonly Caution[];
  readonly issues: readonly Issue[];
  /** What only this kind of station has: the ways of dividing, the cutter's ranges, a drawing. */
  readonly detail: Detail;
}
