import type { Issue } from '../findings/index.ts';
import { textValue, type StationWork, type Value, type Working } from '../station/index.ts';
import { cutterFor, rangeText, type CutterAnswer } from './cutterFor.ts';
import { CUTTER_RANGES } from './ranges.ts';

export interface CutterFacts {
  /** Null below the range of every set. */
  readonly chosen: CutterAnswer | null;
}

export interface CutterDetail {
  readonly chosen: CutterAnswer | null;
  /** The whole set, to see the neighbours. */
  readonly set: readonly {
    readonly inch: string;
    readonly metric: string;
    readonly range: string;
    readonly covers: boolean;
  }[];
}

function valuesOf({ range, half }: CutterAnswer): Value[] {
  const values = [
    textValue({ key: 'inchNumber', label: 'Inch school', settles: true }, `No. ${range.inch}`),
    textValue({ key: 'metricNumber', label: 'Metric school', settles: true }, `No. ${range.metric}`),
    textValue({ key: 'range', label: 'Cuts' }, rangeText(range)),
  ];
  if (half)
    values.push(
      textValue({ key: 'half', label: 'Closer, if owned' }, `No. ${half.inch} inch, ${rangeText(half)}`),
    );
  return values;
}

function workingOf(teeth: number, { range }: CutterAnswer): Working {
  const upTo = range.to === null ? '' : ` \\le ${range.to}`;
  return {
    key: 'range',
    label: 'The range the count falls in',
    formula: `z = ${teeth}`,
    put: `${range.from} \\le z${upTo}`,
    result: `\\text{No. ${range.inch} inch, No. ${range.metric} metric}`,
    joined: '\\Rightarrow',
    source: 'Machinery’s Handbook, involute gear cutters (inch numbers); metric numbers: common practice',
  };
}

/**
 * The cutter station: the cutter's number in both schools.
 * @param teeth null while unknown @param path of the part in the document
 * Issues: below-cutter-range
 */
export function planCutter(teeth: number | null, path: string): StationWork<CutterFacts, CutterDetail> {
  const chosen = teeth === null ? null : cutterFor(teeth);
  const issues: Issue[] =
    teeth !== null && !chosen
      ? [{ code: 'below-cutter-range', path: `${path}.gear.teeth`, severity: 'note', given: String(teeth) }]
      : [];
  return {
    id: 'cutter',
    facts: teeth === null ? null : { chosen },
    answer: chosen
      ? `No. ${chosen.range.inch} inch, No. ${chosen.range.metric} metric`
      : teeth === null
        ? 'waits for the tooth count'
        : 'a single-point tool, ground to form',
    values: chosen
      ? valuesOf(chosen)
      : teeth === null
        ? []
        : [textValue({ key: 'tool', label: 'Tool', settles: true }, 'single point')],
    working: chosen && teeth !== null ? [workingOf(teeth, chosen)] : [],
    cautions: chosen
      ? [
          {
            code: 'cutter-schools',
            when: 'Before you fit it',
            text: `read the range engraved on the cutter: it beats the number. No. ${chosen.range.inch} of the other school is another cutter, and the wrong one scraps the gear.`,
          },
        ]
      : [],
    issues,
    detail: {
      chosen,
      set: CUTTER_RANGES.map((range) => ({
        inch: range.inch,
        metric: range.metric,
        range: rangeText(range),
        covers: range === chosen?.range,
      })),
    },
  };
}
