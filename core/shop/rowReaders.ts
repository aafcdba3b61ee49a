import {
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import { measure, parseCount, parsePositiveLength, type Measure, type UnitSystem } from '../units/index.ts';
import { idFrom } from './reading.ts';

/** A row of a table, cell by column name. */
export type Cells = Readonly<Record<string, string>>;

export const wrong = <Code extends IssueCode>(
  code: Code,
  given: string,
  allowed?: string,
  ...figures: FiguresOf<Code>
): Issue =>
  issueOf(
    code,
    { path: '', severity: 'wrong', given, ...(allowed === undefined ? {} : { allowed }) },
    ...figures,
  );

export const yes = (flag: boolean): string => (flag ? 'yes' : 'no');

/** Issues: word-unknown */
export function readYes(typed: string, what: string, otherwise: boolean): Result<boolean> {
  const word = typed.trim().toLowerCase();
  if (word === '') return ok(otherwise);
  if (['yes', 'y', 'true', '1', 'x'].includes(word)) return ok(true);
  if (['no', 'n', 'false', '0', '-'].includes(word)) return ok(false);
  return fail(wrong('word-unknown', typed, 'yes or no', { what }));
}

/** Issues: word-unknown */
export function readWord<T extends string>(
  typed: string,
  what: string,
  words: Readonly<Record<string, T>>,
): Result<T> {
  const found = words[typed.trim().toLowerCase()];
  if (found !== undefined) return ok(found);
  const allowed = [...new Set(Object.keys(words))].filter((word) => word !== '').join(' or ');
  return fail(wrong('word-unknown', typed, allowed, { what }));
}

/** Issues: those of the counting parser; a name that is missing */
export const readWhole = ({
  typed,
  what,
  least,
  most,
}: {
  readonly typed: string;
  readonly what: string;
  readonly least: number;
  readonly most: number;
}): Result<number> => parseCount({ given: measure(typed, 'count'), what, least, most });

export function readName(typed: string, what: string): Result<string> {
  const name = typed.trim();
  if (name === '' || name.length > 80) return fail(wrong('missing', typed, `${what}, of 80 signs at most`));
  return ok(name);
}

/** Brings several readings together: all their values, or every issue. */
export function all<T extends readonly Result<unknown>[]>(
  ...read: T
): Result<{ [K in keyof T]: T[K] extends Result<infer V> ? V : never }> {
  const issues = read.flatMap((one) => (one.ok ? [] : one.issues));
  if (issues.length > 0) return fail(...issues);
  return ok(read.map((one) => (one.ok ? one.value : null)) as never);
}

export const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** In place of the one of that name, else at the end. */
export function withThing<T extends { readonly id: string; readonly name: string }>(
  things: readonly T[],
  thing: T,
): readonly T[] {
  return things.some(({ id }) => id === thing.id)
    ? things.map((other) => (other.id === thing.id ? thing : other))
    : [...things, thing];
}

export const idOf = (
  things: readonly { readonly id: string; readonly name: string }[],
  name: string,
): string =>
  things.find((thing) => sameName(thing.name, name))?.id ??
  idFrom(
    name,
    things.map(({ id }) => id),
  );

/** A length that keeps the unit it was written with. @param units what a bare figure is meant in */
export function lengthCell(typed: string, units: UnitSystem = 'mm'): Measure {
  const written = /^(.*?)\s*(mm|in|inch|inches|"|″)?$/i.exec(typed.trim());
  const [, figure = '', unit = units] = written ?? [];
  // nothing is in no unit
  if (figure === '') return measure('', 'mm');
  return measure(figure, unit.toLowerCase() === 'mm' ? 'mm' : 'in');
}

export const lengthText = ({ typed, unit }: Measure): string =>
  typed === '' || /[a-z"″]$/i.test(typed) ? typed : `${typed} ${unit}`;

/** A length that may be left empty. */
export const optionalLength = (typed: Measure, what: string): Result<unknown> =>
  typed.typed === '' ? ok(null) : parsePositiveLength(typed, what);
