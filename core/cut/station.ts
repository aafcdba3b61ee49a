import { at, fail, ok, type Issue, type Result } from '../findings/index.ts';
import { lengthValue, textValue, type StationWork, type Value, type Working } from '../station/index.ts';
import {
  approx,
  decimalText,
  lengthFigure,
  lengthText,
  parseCount,
  parsePositiveLength,
  type Exact,
  type UnitSystem,
} from '../units/index.ts';
import type { CutInput } from './schema.ts';

/** One time round the blank: every space at one depth. */
export interface Round {
  readonly name: 'one' | 'rough' | 'finish';
  /** Depth below the blank's outside, mm. */
  readonly depth: Exact;
}

export interface CutFacts {
  readonly rounds: readonly Round[];
  readonly startSpace: number;
}

export interface CutDetail {
  readonly rounds: readonly { readonly name: Round['name']; readonly depthMm: number }[];
}

/** Rounds for a whole depth. Issues: those of the parser, finish-stock-too-deep. */
function roundsOf(input: CutInput, wholeDepth: Exact, system: UnitSystem): Result<readonly Round[]> {
  if (input.passes === 'one') return ok([{ name: 'one', depth: wholeDepth }]);
  const stock = parsePositiveLength(input.finishStock, 'The depth left for the finish pass');
  if (!stock.ok) return fail(...at('finishStock', stock.issues));
  if (stock.value.gte(wholeDepth)) {
    const detail = { depth: lengthText(approx(wholeDepth), system) };
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

function readStart(input: CutInput, divisions: number): Result<number> {
  const start = parseCount(input.startSpace, 'The start space', 1, divisions);
  if (start.ok) return start;
  const allowed = `Spaces run from 1 to ${divisions}`;
  return fail(...at('startSpace', start.issues.map((issue) => (issue.code === 'out-of-range' ? { ...issue, code: 'start-space-out-of-range' as const, allowed } : issue)))); // prettier-ignore
}

function workingOf(rounds: readonly Round[], wholeDepth: Exact): Working[] {
  const [rough, finish] = rounds;
  const mm = (value: Exact) => decimalText(approx(value), 4);
  if (!rough || !finish) {
    return [
      {
        key: 'one',
        label: 'Depth of the one round',
        formula: 'h_1 = h',
        put: mm(wholeDepth),
        result: `${mm(wholeDepth)}\\ \\mathrm{mm}`,
        source: 'the whole depth of the gear station',
      },
    ];
  }
  const left = mm(wholeDepth.sub(rough.depth));
  return [
    { key: 'rough', label: 'Rough depth', formula: 'h_1 = h - u', put: `${mm(wholeDepth)} - ${left}`, result: `${mm(rough.depth)}\\ \\mathrm{mm}`, source: 'leave u for the finish round; common practice' },
  ]; // prettier-ignore
}

/**
 * The cut station: the rounds and their depths.
 * @param wholeDepth mm or null while unknown @param divisions N or null @param path of `cut` in the document
 * Issues: those of the parsers, finish-stock-too-deep, start-space-out-of-range
 */
export function planCut(
  input: CutInput,
  wholeDepth: Exact | null,
  divisions: number | null,
  path: string,
  system: UnitSystem,
): StationWork<CutFacts, CutDetail> {
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
  if (!wholeDepth || divisions === null) return empty;
  const rounds = roundsOf(input, wholeDepth, system);
  const start = readStart(input, divisions);
  const issues: Issue[] = at(path, [...(rounds.ok ? [] : rounds.issues), ...(start.ok ? [] : start.issues)]);
  if (!rounds.ok) return { ...empty, answer: 'passes to be set', issues };

  const [first, second] = rounds.value;
  const figure = (mm: Exact) => lengthFigure(approx(mm), system);
  const values: Value[] = rounds.value.map((round) =>
    lengthValue(
      {
        key: `depth-${round.name}`,
        label: round.name === 'one' ? 'Depth' : `Depth, ${round.name}`,
        settles: true,
      },
      round.depth,
    ),
  );
  values.push(textValue({ key: 'spaces', label: 'Cuts in all' }, String(divisions * rounds.value.length)));
  return {
    ...empty,
    facts: start.ok ? { rounds: rounds.value, startSpace: start.value } : null,
    answer: second
      ? `2 passes: ${figure(first!.depth)} + ${figure(second.depth.sub(first!.depth))}`
      : `1 pass, ${figure(first!.depth)} deep`,
    values,
    working: workingOf(rounds.value, wholeDepth),
    issues,
    cautions: [
      {
        code: 'hands-clear',
        when: 'At the cutter',
        text: 'stop the spindle before measuring or clearing chips; brush, never fingers or rags. Your machine’s manual, your shop’s rules and local codes come first.',
      },
    ],
    detail: { rounds: rounds.value.map(({ name, depth }) => ({ name, depthMm: approx(depth) })) },
  };
}
