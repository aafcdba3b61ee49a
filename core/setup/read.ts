import { placedUnder, type Issue, type Result } from '../findings/index.ts';
import {
  approx,
  parseCount,
  parseLength,
  parseOptionalLength,
  parseRatio,
  type Measure,
} from '../units/index.ts';
import { readRound } from '../inspect/index.ts';
import type { SetupInput } from './schema.ts';

/** Everything of the set-up that is a figure, in mm and seconds; null where it is empty or wrong. */
export type SetupRead = Readonly<
  Record<
    | 'cutterDiameter'
    | 'cutterWidth'
    | 'cutterTeeth'
    | 'face'
    | 'outside'
    | 'blanks'
    | 'kerf'
    | 'offset'
    | 'jawGap'
    | 'jawDiameter'
    | 'tailGap'
    | 'tailDiameter'
    | 'paper'
    | 'alongLength'
    | 'alongTop'
    | 'alongSide'
    | 'speedSet'
    | 'feedSet'
    | 'returnSeconds'
    | 'indexSeconds'
    | 'keyWidth'
    | 'keyCutter'
    | 'keyDepth',
    number | null
  >
> & { readonly round: readonly number[] };

const LENGTHS = {
  cutterDiameter: 'The cutter’s diameter',
  cutterWidth: 'The cutter’s width',
  face: 'The face',
  outside: 'The outside',
  kerf: 'What is parted off',
  jawGap: 'The gap at the head',
  jawDiameter: 'What stands at the head',
  tailGap: 'The gap at the tailstock',
  tailDiameter: 'What stands at the tailstock',
  paper: 'The paper',
  alongLength: 'The length run along',
  keyWidth: 'The key',
  keyCutter: 'The keyway’s cutter',
  keyDepth: 'The keyway’s depth',
} as const;

/** These may be less than zero: they have a side. */
const SIDED = ['offset', 'alongTop', 'alongSide'] as const;

/**
 * Issues: those of the parsers, negative, not-positive, out-of-range, readings-few; paths are fields of the
 * set-up
 */
export function readSetup(input: SetupInput): {
  readonly read: SetupRead;
  readonly issues: readonly Issue[];
} {
  const issues: Issue[] = [];
  const take = <T>(field: keyof SetupInput, result: Result<T>): T | null => {
    if (!result.ok) issues.push(...placedUnder(field, result.issues));
    return result.ok ? result.value : null;
  };
  const isEmpty = (given: Measure) => given.typed.trim() === '';
  const figure = (field: keyof SetupInput, given: Measure, what: string): number | null => {
    const value = isEmpty(given) ? null : take(field, parseRatio(given, what));
    return value && approx(value);
  };
  const count = ({
    field,
    given,
    what,
    least,
    most,
  }: {
    readonly field: keyof SetupInput;
    readonly given: Measure;
    readonly what: string;
    readonly least: number;
    readonly most: number;
  }) => (isEmpty(given) ? null : take(field, parseCount({ given, what, least, most })));

  const lengths = Object.fromEntries(
    Object.entries(LENGTHS).map(([field, what]) => {
      const value = take(
        field as keyof SetupInput,
        parseOptionalLength(input[field as keyof typeof LENGTHS], what),
      );
      return [field, value && approx(value)];
    }),
  ) as Record<keyof typeof LENGTHS, number | null>;
  const sided = Object.fromEntries(
    SIDED.map((field) => {
      const value = isEmpty(input[field]) ? null : take(field, parseLength(input[field]));
      return [field, value && approx(value)];
    }),
  ) as Record<(typeof SIDED)[number], number | null>;
  const feed = take('feedSet', parseOptionalLength(input.feedSet, 'The feed'));
  const round = take('round', readRound(input.round));
  const none = (value: number | null) => (value === 0 ? null : value);
  const read: SetupRead = {
    ...lengths,
    ...sided,
    cutterDiameter: none(lengths.cutterDiameter),
    cutterWidth: none(lengths.cutterWidth),
    face: none(lengths.face),
    outside: none(lengths.outside),
    alongLength: none(lengths.alongLength),
    cutterTeeth: count({
      field: 'cutterTeeth',
      given: input.cutterTeeth,
      what: 'The cutter’s teeth',
      least: 1,
      most: 200,
    }),
    blanks: count({ field: 'blanks', given: input.blanks, what: 'The blanks', least: 1, most: 100 }),
    returnSeconds: count({
      field: 'returnSeconds',
      given: input.returnSeconds,
      what: 'The seconds of a return',
      least: 0,
      most: 3600,
    }),
    indexSeconds: count({
      field: 'indexSeconds',
      given: input.indexSeconds,
      what: 'The seconds of an indexing',
      least: 0,
      most: 3600,
    }),
    speedSet: figure('speedSet', input.speedSet, 'The speed'),
    feedSet: feed && none(approx(feed)),
    round: round ?? [],
  };
  return { read, issues };
}
