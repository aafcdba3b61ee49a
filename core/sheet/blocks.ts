import type { Drawing } from '../drafting/index.ts';

/** A figure on a sheet with what it is of; blank ones are written in by hand. */
export interface SheetRow {
  readonly label: string;
  readonly figure: string;
  /** The same in the other unit, or on the dial. */
  readonly other: string;
  readonly strong: boolean;
}

/** A box to tick: which it is, and where the pin lands or the dial stands. */
export interface SheetBox {
  readonly number: number;
  readonly at: string;
  /** The first and every tenth, which are marked on the work as well. */
  readonly heavy: boolean;
}

/** What stands on a sheet, from top to bottom; whoever prints it decides how it looks. */
export type SheetBlock =
  | {
      readonly kind: 'rows';
      readonly title: string;
      readonly aside: string;
      readonly rows: readonly SheetRow[];
    }
  | {
      readonly kind: 'drawing';
      readonly title: string;
      /** Its scale, or what else has to be known of it. */
      readonly aside: string;
      /** mm on paper */
      readonly drawing: Drawing;
    }
  | {
      readonly kind: 'list';
      readonly title: string;
      readonly aside: string;
      /** What stands large before it: the move. */
      readonly large: string;
      readonly lines: readonly string[];
      readonly numbered: boolean;
    }
  | {
      readonly kind: 'boxes';
      readonly title: string;
      readonly aside: string;
      readonly boxes: readonly SheetBox[];
    }
  | {
      readonly kind: 'said';
      readonly tone: 'caution' | 'open' | 'plain';
      readonly lead: string;
      readonly text: string;
    }
  | {
      readonly kind: 'table';
      readonly title: string;
      readonly aside: string;
      readonly heading: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  | { readonly kind: 'blanks'; readonly labels: readonly string[] }
  /** Pictures that the shop keeps with this, by what they are about. */
  | { readonly kind: 'pictures'; readonly about: string; readonly alone: boolean }
  | { readonly kind: 'beside'; readonly left: readonly SheetBlock[]; readonly right: readonly SheetBlock[] };

/** The sheet of one part. */
export interface PartSheet {
  readonly partId: string;
  readonly title: string;
  /** What it is, in a few words. */
  readonly what: string;
  /** Head, plate, mill, cutter, mandrel: with what it is made. */
  readonly machines: string;
  readonly head: readonly SheetRow[];
  readonly blocks: readonly SheetBlock[];
}

/** A job on paper. */
export interface Sheet {
  readonly name: string;
  readonly parts: readonly PartSheet[];
  /** What a camera opens; null where the shop's address is not known. */
  readonly address: string | null;
  readonly foot: string;
}

export const row = (label: string, figure: string, set: Partial<SheetRow> = {}): SheetRow => ({
  label,
  figure,
  other: '',
  strong: false,
  ...set,
});

type Rows = Extract<SheetBlock, { kind: 'rows' }>;
type List = Extract<SheetBlock, { kind: 'list' }>;

/** Rows under a title; none where there are no rows. */
export const rowsBlock = (title: string, rows: readonly SheetRow[], aside = ''): readonly Rows[] =>
  rows.length === 0 ? [] : [{ kind: 'rows', title, aside, rows }];

/** Sentences under a title; none where there are none. */
export const listBlock = (
  title: string,
  lines: readonly string[],
  set: Partial<Omit<List, 'kind' | 'title' | 'lines'>> = {},
): readonly List[] =>
  lines.length === 0 ? [] : [{ kind: 'list', title, lines, aside: '', large: '', numbered: true, ...set }];
