import { fieldAt, type Issue } from '../findings/index.ts';
import type { FormCutter } from '../shop/index.ts';
import { figureValue, textValue, type StationWork, type Value, type Working } from '../station/index.ts';
import type { ToothForm } from '../toothform/index.ts';
import { decimalText } from '../units/index.ts';
import { cutterFor, rangeText, type CutterAnswer } from './cutterFor.ts';
import { countFor, judgeCutter, rankCutters, ruleText, type CutterNeed, type JudgedCutter } from './judge.ts';
import { CUTTER_RANGES } from './ranges.ts';
import type { CutterChoice } from './schema.ts';

export interface CutterFacts {
  /** Null below the range of every set. */
  readonly chosen: CutterAnswer | null;
}

/** What form errors and templates are worked out from, off the drawing thread. */
export interface FormGround {
  readonly form: ToothForm;
  /** Degrees */
  readonly helixDeg: number;
  /** Cutter diameter at the pitch line, mm; null when not known. */
  readonly cutterDiameter: number | null;
  /** Cutters to set side by side, by the count each is made for. */
  readonly compare: readonly { readonly name: string; readonly madeFor: number }[];
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
  /** Every owned cutter beside this gear, best first. */
  readonly owned: readonly JudgedCutter[];
  /** The owned cutter in force; null when none is picked. */
  readonly inForce: JudgedCutter | null;
  /** Counts a helical gear is cut as, by either rule; null for a spur gear. */
  readonly virtual: { readonly book: number; readonly disk: number | null } | null;
  readonly ground: FormGround | null;
}

/** The cutter of the shop that a part has picked: the job’s own copy first. */
export function pickedCutter(
  choice: CutterChoice,
  jobs: readonly FormCutter[],
  shop: readonly FormCutter[],
): FormCutter | null {
  const named = (cutter: FormCutter) => cutter.id === choice.cutterId;
  return jobs.find(named) ?? shop.find(named) ?? null;
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

function workingOf(count: number, { range }: CutterAnswer): Working {
  const upTo = range.to === null ? '' : ` \\le ${range.to}`;
  return {
    key: 'range',
    label: 'The range the count falls in',
    formula: `z = ${decimalText(count, 2)}${Number.isInteger(count) ? '' : ` \\approx ${Math.round(count)}`}`,
    put: `${range.from} \\le z${upTo}`,
    result: `\\text{No. ${range.inch} inch, No. ${range.metric} metric}`,
    joined: '\\Rightarrow',
    source: 'Machinery’s Handbook, involute gear cutters (inch numbers); metric numbers: common practice',
  };
}

function virtualWorking(
  { teeth, helixDeg, pitch }: CutterNeed,
  { book, disk }: NonNullable<CutterDetail['virtual']>,
  diameter: number | null,
): Working[] {
  const b = decimalText(helixDeg, 3);
  const lines: Working[] = [
    {
      key: 'virtual',
      label: 'Cut as, by the book',
      formula: 'z_v = \\frac{z}{\\cos^3\\beta}',
      put: `\\frac{${teeth}}{\\cos^3 ${b}^\\circ}`,
      result: decimalText(book, 2),
      source: 'Machinery’s Handbook, helical gears cut with formed cutters',
    },
  ];
  if (disk !== null && diameter !== null)
    lines.push({
      key: 'virtualDisk',
      label: 'Cut as, by a round cutter',
      formula: 'z_c = \\frac{z}{\\cos^3\\beta} + \\frac{D_p}{m_n}\\tan^2\\beta',
      put: `${decimalText(book, 2)} + \\frac{${decimalText(diameter, 2)}}{${decimalText(pitch.module)}}\\tan^2 ${b}^\\circ`,
      result: decimalText(disk, 2),
      source: 'common practice; checked against the envelope of the disk',
    });
  return lines;
}

/** What asks about the cutter that was picked. */
function asks(judged: JudgedCutter, path: string): Issue[] {
  return judged.reasons
    .filter(({ code }) => code !== 'cutter-shrinks')
    .map((reason) => ({
      ...reason,
      path,
      // a cutter of another pitch makes another gear
      severity: reason.code === 'cutter-pitch' ? 'blocked' : 'query',
    }));
}

/** What a cutter is looked for by. */
export interface CutterAsked {
  readonly choice: CutterChoice;
  /** The tooth count alone, when that is all there is. */
  readonly count: number | null;
  /** Null while count or pitch is unknown. */
  readonly need: CutterNeed | null;
  /** Of the space; null while unknown. */
  readonly form: ToothForm | null;
  readonly picked: FormCutter | null;
  readonly owned: readonly FormCutter[];
  /** Of whatever cuts, mm; null where not known. */
  readonly diameter: number | null;
  /** Of the part in the document. */
  readonly path: string;
  /** Where in the part its count stands. */
  readonly teethAt: string;
}

/**
 * The cutter station: the number in both schools, and which of the owned cutters serves.
 * Issues: below-cutter-range, cutter-diameter-unknown; those of the cutter that was picked
 */
export function planCutter({
  choice,
  count,
  need,
  form,
  picked,
  owned,
  diameter: mm,
  path,
  teethAt,
}: CutterAsked): StationWork<CutterFacts, CutterDetail> {
  const cutAs = need ? countFor(need, choice.countBy, mm) : count;
  const chosen = cutAs === null ? null : cutterFor(cutAs);
  const inForce = need && picked ? judgeCutter({ cutter: picked, need, by: choice.countBy, owned }) : null;
  const virtual =
    need && need.helixDeg !== 0
      ? { book: countFor(need, 'book', null), disk: mm === null ? null : countFor(need, 'disk', mm) }
      : null;
  const ranked = need ? rankCutters(owned, need, choice.countBy) : [];
  const issues: Issue[] = [];
  if (cutAs !== null && !chosen && !inForce)
    issues.push({
      code: 'below-cutter-range',
      path: `${path}.${teethAt}`,
      severity: 'note',
      given: decimalText(cutAs, 1),
    });
  if (inForce) issues.push(...asks(inForce, fieldAt<{ cutter: CutterChoice }>(path, 'cutter.cutterId')));
  if (need && need.helixDeg !== 0 && mm === null)
    issues.push({
      code: 'cutter-diameter-unknown',
      path: fieldAt<{ cutter: CutterChoice }>(path, 'cutter.cutterId'),
      severity: 'note',
      given: decimalText(cutAs!, 1),
    });
  const values = inForce
    ? [
        textValue({ key: 'cutter', label: 'From the shop', settles: true }, inForce.name),
        ...(inForce.range ? [textValue({ key: 'covers', label: 'It cuts' }, rangeText(inForce.range))] : []),
        ...(chosen ? valuesOf(chosen).filter(({ key }) => key !== 'half' && key !== 'range') : []),
      ]
    : chosen
      ? valuesOf(chosen)
      : cutAs === null
        ? []
        : [textValue({ key: 'tool', label: 'Tool', settles: true }, 'single point')];
  if (virtual) {
    const cut = `${decimalText(cutAs!, 1)} teeth`;
    values.push(
      figureValue({
        naming: { key: 'cutAs', label: 'Cut as', settles: true },
        text: cut + ruleText(need!, choice.countBy, mm),
        figure: { is: cutAs!, within: 0.25, unit: 'teeth' },
        at: cut,
      }),
    );
  }
  return {
    id: 'cutter',
    facts: cutAs === null ? null : { chosen },
    answer: inForce
      ? inForce.name
      : chosen
        ? `No. ${chosen.range.inch} inch, No. ${chosen.range.metric} metric`
        : cutAs === null
          ? 'waits for the tooth count'
          : 'a single-point tool, ground to form',
    values,
    working: [
      ...(virtual && need ? virtualWorking(need, virtual, mm === null ? null : mm - 2 * need.dedendum) : []),
      ...(chosen && cutAs !== null ? [workingOf(cutAs, chosen)] : []),
    ],
    cautions:
      chosen && inForce?.verdict !== 'fits'
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
      owned: ranked,
      inForce,
      virtual,
      ground: form && need ? groundOf({ form, need, chosen, inForce, ranked, diameter: mm }) : null,
    },
  };
}

/** The cutter in force, the whole number and the half number, to be set side by side. */
function groundOf({
  form,
  need,
  chosen,
  inForce,
  ranked,
  diameter,
}: {
  readonly form: ToothForm;
  readonly need: CutterNeed;
  readonly chosen: CutterAnswer | null;
  readonly inForce: JudgedCutter | null;
  readonly ranked: readonly JudgedCutter[];
  readonly diameter: number | null;
}): FormGround {
  const compare: { name: string; madeFor: number }[] = [];
  const add = (name: string, madeFor: number) => {
    if (!compare.some((other) => other.madeFor === madeFor)) compare.push({ name, madeFor });
  };
  if (inForce?.madeFor != null) add(inForce.name, inForce.madeFor);
  if (chosen) add(`No. ${chosen.range.inch} inch, No. ${chosen.range.metric} metric`, chosen.range.from);
  if (chosen?.half) add(`No. ${chosen.half.inch} inch`, chosen.half.from);
  // below every set, the lowest of it shows what it would do
  if (!chosen) add('No. 8 inch, No. 1 metric', CUTTER_RANGES[0]!.from);
  // none that serves at hand: what the nearest of the right form would leave
  const nearest = ranked.find(({ sameForm, madeFor }) => sameForm && madeFor !== null);
  if (nearest && !inForce && !ranked.some(({ verdict }) => verdict === 'fits'))
    add(nearest.name, nearest.madeFor!);
  return {
    form,
    helixDeg: need.helixDeg,
    cutterDiameter: diameter === null ? null : diameter - 2 * need.dedendum,
    compare,
  };
}
