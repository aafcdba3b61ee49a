import { toldLength, issueOf, placedUnder, fail, ok, type Issue, type Result } from '../findings/index.ts';
import {
  mmResult,
  lengthValue,
  type Placed,
  type StationWork,
  textValue,
  type Value,
  type Working,
} from '../station/index.ts';
import {
  approx,
  capital,
  decimalText,
  lengthFigure,
  parseCount,
  parsePositiveLength,
  type Exact,
  type UnitSystem,
} from '../units/index.ts';
import { dividedName, wordsOfDivided, type Divided } from './divided.ts';
import type { CutInput } from './schema.ts';

/** One time round the blank: every space at one depth. */
export interface Round {
  readonly name: 'scratch' | 'one' | 'rough' | 'finish';
  /** Depth below the blank's outside, mm; null where none was given, and for a scratch. */
  readonly depth: Exact | null;
}

export interface CutFacts {
  readonly rounds: readonly Round[];
  readonly startSpace: number;
}

export interface CutDetail {
  readonly rounds: readonly { readonly name: Round['name']; readonly depthMm: number | null }[];
}

/** How many spaces there are to cut, and whether they go once round. */
export interface Spaces {
  readonly spaces: number;
  readonly full: boolean;
  /** What each of them is. */
  readonly divides: Divided;
}

/** Rounds for a whole depth. Issues: those of the parser, finish-stock-too-deep. */
function roundsOf(input: CutInput, wholeDepth: Exact, system: UnitSystem): Result<readonly Round[]> {
  if (input.passes === 'one') return ok([{ name: 'one', depth: wholeDepth }]);
  const stock = parsePositiveLength(input.finishStock, 'The depth left for the finish pass');
  if (!stock.ok) return fail(...placedUnder('finishStock', stock.issues));
  if (stock.value.gte(wholeDepth)) {
    const detail = { depth: toldLength(approx(wholeDepth), system) };
    return fail({
      code: 'finish-stock-too-deep',
      path: 'finishStock',
      severity: 'wrong',
      given: input.finishStock.typed,
      detail,
    });
  }
  return ok([
    { name: 'rough', depth: wholeDepth.sub(stock.value) },
    { name: 'finish', depth: wholeDepth },
  ]);
}

/** A part of a turn has nothing to come round to: it starts at its first. */
function readStart(input: CutInput, { spaces, full, divides }: Spaces): Result<number> {
  const start = parseCount({
    given: input.startSpace,
    what: 'The start',
    least: 1,
    most: full ? spaces : 1,
  });
  if (start.ok) return start;
  const allowed = full
    ? `${capital(wordsOfDivided(divides).many)} run from 1 to ${spaces}`
    : `This is less than a whole turn, so it starts at ${dividedName({ divides }, 1)}`;
  return fail(
    ...placedUnder(
      'startSpace',
      start.issues.map((issue) =>
        issue.code === 'out-of-range'
          ? issueOf('start-space-out-of-range', {
              path: issue.path,
              severity: issue.severity,
              ...(issue.given === undefined ? {} : { given: issue.given }),
              allowed,
            })
          : issue,
      ),
    ),
  );
}

function workingOf(rounds: readonly Round[], wholeDepth: Exact): Working[] {
  const [rough, finish] = rounds;
  const mm = (value: Exact) => decimalText(approx(value), 4);
  if (!rough?.depth || !finish) {
    return [
      {
        key: 'one',
        label: 'Depth of the one round',
        formula: 'h_1 = h',
        put: mm(wholeDepth),
        ...mmResult(wholeDepth),
        source: 'the whole depth of the gear station',
      },
    ];
  }
  const left = mm(wholeDepth.sub(rough.depth));
  return [
    {
      key: 'rough',
      label: 'Rough depth',
      formula: 'h_1 = h - u',
      put: `${mm(wholeDepth)} - ${left}`,
      ...mmResult(rough.depth),
      source: 'leave u for the finish round; common practice',
    },
  ];
}

/** What the rounds are planned from. */
export interface CutAsked extends Placed {
  readonly input: CutInput;
  /** mm; null while unknown; `free` where the work has none to give. */
  readonly wholeDepth: Exact | null | 'free';
  /** To be cut; null while unknown. */
  readonly spaces: Spaces | null;
}

/**
 * The cut station: the rounds and their depths.
 * Issues: those of the parsers, finish-stock-too-deep, start-space-out-of-range
 */
export function planCut({
  input,
  wholeDepth,
  spaces,
  path,
  units: system,
}: CutAsked): StationWork<CutFacts, CutDetail> {
  const empty: StationWork<CutFacts, CutDetail> = {
    id: 'cut',
    facts: null,
    answer: 'waits for the depth',
    values: [],
    working: [],
    cautions: [],
    issues: [],
    detail: { rounds: [] },
  };
  if (!wholeDepth || spaces === null) return empty;
  const read: Result<readonly Round[]> =
    wholeDepth === 'free' ? ok([{ name: 'one', depth: null }]) : roundsOf(input, wholeDepth, system);
  const scratch: readonly Round[] = input.scratch ? [{ name: 'scratch', depth: null }] : [];
  const rounds = read.ok ? ok([...scratch, ...read.value]) : read;
  const start = readStart(input, spaces);
  const issues: Issue[] = placedUnder(path, [
    ...(rounds.ok ? [] : rounds.issues),
    ...(start.ok ? [] : start.issues),
  ]);
  if (!rounds.ok) return { ...empty, answer: 'passes to be set', issues };
  return {
    ...empty,
    facts: start.ok ? { rounds: rounds.value, startSpace: start.value } : null,
    answer: answerOf(rounds.value, system),
    values: valuesOf(rounds.value, spaces.spaces),
    working: wholeDepth === 'free' || !read.ok ? [] : workingOf(read.value, wholeDepth),
    issues,
    cautions: [
      {
        code: 'hands-clear',
        when: 'At the cutter',
        text: 'stop the spindle before measuring or clearing chips; brush, never fingers or rags. Your machine’s manual, your shop’s rules and local codes come first.',
      },
    ],
    detail: {
      rounds: rounds.value.map(({ name, depth }) => ({ name, depthMm: depth && approx(depth) })),
    },
  };
}

function answerOf(rounds: readonly Round[], system: UnitSystem): string {
  const [first, second] = rounds.filter(({ name }) => name !== 'scratch');
  const before = first === rounds[0] ? '' : 'scratch, then ';
  return before + answerOfDepths(first, second, system);
}

function answerOfDepths(first: Round | undefined, second: Round | undefined, system: UnitSystem): string {
  const figure = (mm: Exact) => lengthFigure(approx(mm), system);
  if (!first?.depth) return '1 pass, no depth given';
  if (!second?.depth) return `1 pass, ${figure(first.depth)} deep`;
  return `2 passes: ${figure(first.depth)} + ${figure(second.depth.sub(first.depth))}`;
}

function valuesOf(rounds: readonly Round[], spaces: number): Value[] {
  const depths = rounds.flatMap(({ name, depth }) => {
    const label = name === 'one' ? 'Depth' : `Depth, ${name}`;
    return depth ? [lengthValue({ key: `depth-${name}`, label, settles: true }, depth)] : [];
  });
  return [...depths, textValue({ key: 'spaces', label: 'Cuts in all' }, String(spaces * rounds.length))];
}
