import { toldLength, fieldAt, placedUnder, type Issue } from '../findings/index.ts';
import type { Mill } from '../shop/index.ts';
import { bothUnitsText, approx, decimalText, exact, parseLength } from '../units/index.ts';
import { preparationOf } from './preparation.ts';
import { cautionsOf, tableValues } from './saying.ts';
import type { ChoiceOf, DividingInput } from './schema.ts';
import { tableWay } from './table.ts';
import { type Target } from './target.ts';
import type { DividingWork } from './detail.ts';

/** Along a line: the table's screw, read from the first space. */
export function planLine({
  target: { spaces, pitch },
  mill,
  path,
  empty,
}: {
  readonly target: Extract<Target, { along: 'line' }>;
  readonly mill: Mill | null;
  readonly path: string;
  readonly empty: DividingWork;
}): DividingWork {
  const detail = { ...empty.detail, line: { spaces, pitch: approx(pitch) } };
  if (!mill) {
    const issue: Issue = {
      code: 'no-mill',
      path: fieldAt<DividingInput>(path, 'millId'),
      severity: 'blocked',
    };
    return { ...empty, answer: 'no mill chosen', issues: [issue], detail };
  }
  const made = tableWay(mill, spaces, pitch);
  if (!made.ok) {
    const issues = placedUnder(fieldAt<DividingInput>(path, 'millId'), made.issues);
    return { ...empty, answer: 'the mill’s screw is not known', issues, detail };
  }
  const way = made.value;
  const travel = parseLength(mill.travel);
  const length = approx(pitch) * (spaces - 1);
  const short = travel.ok && approx(travel.value) < length;
  const issues: Issue[] = short
    ? [
        {
          code: 'travel-short',
          path: fieldAt<DividingInput>(path, 'millId'),
          severity: 'query',
          given: decimalText(length, 1),
          allowed: decimalText(approx(travel.value), 1),
          detail: { mill: mill.name },
        },
      ]
    : [];
  const { lead, marks } = way.choice as ChoiceOf<'table'>;
  const mark = exact(lead).div(marks);
  if (pitch.lt(mark) && !mill.readout)
    issues.push({
      code: 'marks-too-coarse',
      path: fieldAt<DividingInput>(path, 'millId'),
      severity: 'query',
      given: bothUnitsText(approx(pitch), 'mm'),
      detail: { mark: toldLength(approx(mark), 'mm', 'both') },
    });
  return {
    ...empty,
    facts: { way, head: null, mill },
    answer: way.words,
    values: tableValues(way, spaces),
    working: [
      {
        key: 'turns',
        label: 'Turns of the screw for one place',
        formula: '\\frac{p}{L}',
        put: `\\frac{${decimalText(pitch, 6)}}{${decimalText(exact(lead), 6)}}`,
        result: decimalText(pitch.div(lead), 6),
        source: 'the table moves its screw’s lead for every turn',
      },
      {
        key: 'reading',
        label: 'Reading of place k, never added up from rounded moves',
        formula: 'k\\,\\frac{p}{L}\\,n',
        put: `k \\times ${decimalText(pitch.div(lead), 6)} \\times ${marks}`,
        result: '\\text{rounded once}',
        joined: '\\Rightarrow',
        source: 'common practice',
      },
    ],
    cautions: cautionsOf(way, { spaces, step: pitch, full: false, stride: 1, diameter: null }),
    issues,
    detail: { ...detail, inForce: way, preparation: preparationOf(way, null) },
  };
}
