import type { SpurSizes } from '../gear/index.ts';
import { toldLength, fieldAt, placedUnder, type Issue } from '../findings/index.ts';
import { deeperForThinning } from '../mesh/index.ts';
import { lengthValue, type Placed, type StationWork, textValue, type Value } from '../station/index.ts';
import { approx, lengthFigure, lengthText, parseOptionalLength, type UnitSystem } from '../units/index.ts';
import { expectedOf, runoutSays, type Expected } from './expect.ts';
import { usualPin } from './pins.ts';
import { CHECKS, type CheckId, type InspectInput } from './schema.ts';
import { eccentricOf } from './eccentric.ts';
import { readRound } from './round.ts';
import { workingOf } from './working.ts';
import type { Check, InspectDetail, InspectFacts, InspectGround, RoundSays } from './detail.ts';
import type { MeasuringTool } from '../shop/index.ts';

/** What each way of measuring takes. A span is taken by a caliper too. */
export const TOOL_OF: Readonly<Record<CheckId, readonly MeasuringTool[]>> = {
  outside: ['caliper'],
  depth: ['depth-gauge'],
  chordal: ['gear-caliper'],
  span: ['disk-micrometer', 'caliper'],
  pins: ['pins'],
};

const NAMES: Readonly<Record<CheckId, string>> = {
  outside: 'Outside',
  depth: 'Depth',
  chordal: 'Tooth, by gear caliper',
  span: 'Span over teeth',
  pins: 'Over pins',
};
/** Which reading is believed first: it says most of the tooth. Common practice. */
const BEST: readonly CheckId[] = ['pins', 'span', 'chordal', 'depth'];
const TOLERANCE_MM = 0.03;
/** A reading farther off than this is another thing measured, or another unit, as a part of the module. */
const FAR = 0.5;

type Read = Readonly<Record<CheckId | 'pin' | 'tolerance' | 'runout' | 'sunk', number | null>>;

/** Issues: those of the parser; negative */
function readAll(input: InspectInput): { readonly read: Read; readonly issues: readonly Issue[] } {
  const issues: Issue[] = [];
  const take = (field: Exclude<keyof InspectInput, 'round'>, what: string): number | null => {
    const length = parseOptionalLength(input[field], what);
    if (!length.ok) issues.push(...placedUnder(field, length.issues));
    return length.ok && length.value !== null && (length.value.gt(0) || field === 'runout')
      ? approx(length.value)
      : null;
  };
  const read = {
    pin: take('pin', 'The pin'),
    tolerance: take('tolerance', 'What a tooth may be off'),
    outside: take('outside', 'The outside'),
    depth: take('depth', 'The depth'),
    chordal: take('chordal', 'The tooth'),
    span: take('span', 'The span'),
    pins: take('pins', 'The reading over pins'),
    runout: take('runout', 'The runout'),
    sunk: take('sunk', 'What it was sunk by'),
  };
  return { read, issues };
}

function setText({ id, with: figure }: Expected, helical: boolean, system: UnitSystem): string {
  switch (id) {
    case 'chordal':
      return `caliper set to a height of ${lengthText(figure!, system, 'fine')}`;
    case 'span':
      return `over ${figure} teeth`;
    case 'pins':
      return `${helical ? 'balls' : 'pins'} of Ø ${lengthText(figure!, system, 'fine')}`;
    case 'depth':
      return 'outside to root';
    case 'outside':
      return 'over the tips';
  }
}

/**
 * Two pins in the spaces of an odd count lie along the helix and read otherwise: there the figure is one over
 * balls.
 */
function nameOf(id: CheckId, { teeth, helixDeg }: SpurSizes): string {
  if (id !== 'pins' || helixDeg.equals(0)) return NAMES[id];
  return teeth % 2 === 0 ? 'Over pins or balls' : 'Over balls, not pins';
}

const OUT = {
  'face-narrow': 'the face is too narrow for the jaws to lie on these slanting teeth, over however few',
  'jaws-off': 'the jaws would touch beyond the flanks of so few teeth',
  'pin-sinks': 'such a pin sinks to the bottom of the tooth space: take a larger one',
  'pin-hidden': 'such a pin lies below the tips: take a larger one',
} as const;

/** What an inspection is planned from. */
export interface InspectAsked extends Placed {
  readonly input: InspectInput;
  /** Null while unknown. */
  readonly sizes: SpurSizes | null;
  /** How it was cut; null while unknown. */
  readonly ground: InspectGround | null;
}

/**
 * The inspect station of a spur or helical gear: what it should measure, and what the readings say of its
 * teeth. Issues: those of the parser; inspect-far, inspect-disagree, inspect-thick, inspect-thin
 * Source: docs/sources.md#inspect
 */
export function planInspect({
  input,
  sizes,
  ground,
  path,
  units: system,
}: InspectAsked): StationWork<InspectFacts, InspectDetail> {
  const { read, issues: found } = readAll(input);
  const issues: Issue[] = placedUnder(path, found);
  const empty: StationWork<InspectFacts, InspectDetail> = {
    id: 'inspect',
    facts: null,
    answer: 'waits for the gear',
    values: [],
    working: [],
    cautions: [],
    issues,
    detail: { checks: [], verdict: null, runout: null, runoutTool: null, pin: null, round: null },
  };
  if (!sizes || !ground) return empty;
  const module = approx(sizes.module);
  const tolerance = read.tolerance ?? TOLERANCE_MM;
  const pin = read.pin ?? usualPin(module);
  const expected = expectedOf({ sizes, ...ground, pin });
  const checks = expected.map((one): Check => {
    const reading = read[one.id];
    const thick = reading === null || one.out ? null : one.thick(reading);
    return {
      id: one.id,
      owned: TOOL_OF[one.id].some((tool) => ground.tools.includes(tool)),
      name: nameOf(one.id, sizes),
      should: Number.isFinite(one.should) ? one.should : 0,
      within: one.perThickness === 0 || one.out ? null : Math.abs(one.perThickness) * tolerance,
      out: one.out && OUT[one.out],
      set: setText(one, !sizes.helixDeg.equals(0), system),
      reading,
      tool: (reading !== null && input[one.id].by) || null,
      thick,
    };
  });
  const far = checks.filter(
    ({ id, reading, should, out }) =>
      reading !== null && !out && Math.abs(reading - should) > FAR * module * (id === 'pins' ? 2 : 1),
  );
  issues.push(
    ...placedUnder(
      path,
      far.map(({ id, should }): Issue => ({
        code: 'inspect-far',
        path: id,
        severity: 'query',
        given: input[id].typed,
        detail: { should: toldLength(should, system, 'fine') },
      })),
    ),
  );
  const told = BEST.map((id) => checks.find((check) => check.id === id)!).filter(
    (check) => check.thick !== null && !far.includes(check),
  );
  const [best] = told;
  const sink = best
    ? deeperForThinning(Math.max(0, best.thick!), sizes.pressureAngle, ground.cutterTeeth)
    : 0;
  const verdict = best
    ? {
        by: best.id,
        thick: best.thick!,
        sink,
        dial: ground.dial(sink),
        tolerance,
        agreed: !told.some((other) => atOdds(other, best.thick!, tolerance)),
      }
    : null;
  issues.push(...placedUnder(path, judgeTeeth(told, verdict, system)));
  const listed = readRound(input.round.readings);
  if (!listed.ok) issues.push(...placedUnder(fieldAt<InspectInput>(path, 'round'), listed.issues));
  const round =
    listed.ok && listed.value.length > 0
      ? roundSays({ what: input.round.what, readings: listed.value, checks, expected })
      : null;
  const runout = read.runout === null ? null : runoutSays(read.runout, sizes);
  const any = CHECKS.some((id) => read[id] !== null) || runout !== null;
  return {
    ...empty,
    facts: any && found.length === 0 ? { thick: verdict?.thick ?? null } : null,
    answer: verdict ? answerOf(verdict, system) : headlineOf(checks, system),
    values: valuesOf(checks, verdict, system),
    working: workingOf({ sizes, ground, expected, checks, verdict }),
    issues,
    cautions: [
      {
        code: 'stop-to-measure',
        when: 'Before measuring',
        text: 'stop the spindle and draw the work clear of the cutter. Measure before the gear leaves the head: there it can still be sunk.',
      },
    ],
    detail: { checks, verdict, runout, runoutTool: (runout && input.runout.by) ?? null, pin, round },
  };
}

/** What is told first can be measured: a span, else what else says most of the tooth. A depth always can. */
function headlineOf(checks: readonly Check[], system: UnitSystem): string {
  const order: readonly CheckId[] = ['span', ...BEST];
  const [first] = order.flatMap((id) => checks.filter((check) => check.id === id && !check.out));
  const figure = lengthFigure(first!.should, system, 'fine');
  return first!.id === 'span' ? `span ${figure} ${first!.set}` : `${first!.name.toLowerCase()} ${figure}`;
}

function roundSays({
  what,
  readings,
  checks,
  expected,
}: {
  readonly what: CheckId;
  readonly readings: readonly number[];
  readonly checks: readonly Check[];
  readonly expected: readonly Expected[];
}): RoundSays {
  const check = checks.find(({ id }) => id === what)!;
  const one = expected.find(({ id }) => id === what)!;
  return {
    what,
    name: check.name,
    should: check.should,
    within: check.within,
    mean: readings.reduce((sum, r) => sum + r, 0) / readings.length,
    off: eccentricOf(readings),
    thick: readings.map((reading) => (one.out ? null : one.thick(reading))),
  };
}

/** Does a reading say another thing of the tooth than the best one does? */
const atOdds = ({ thick }: Check, best: number, tolerance: number): boolean =>
  Math.abs(thick! - best) > 2 * tolerance;

/** Issues: inspect-disagree, inspect-thick, inspect-thin */
function judgeTeeth(told: readonly Check[], verdict: InspectDetail['verdict'], system: UnitSystem): Issue[] {
  if (!verdict) return [];
  const mm = (value: number) => lengthText(Math.abs(value), system, 'fine');
  const issues: Issue[] = [];
  const other = told.find((check) => atOdds(check, verdict.thick, verdict.tolerance));
  // nothing is to be sunk on the strength of one of two
  if (other)
    return [
      {
        code: 'inspect-disagree',
        path: other.id,
        severity: 'query',
        given: mm(other.thick!),
        detail: {
          way: other.thick! > 0 ? 'thick' : 'thin',
          by: told.find(({ id }) => id === verdict.by)!.name.toLowerCase(),
          best: toldLength(Math.abs(verdict.thick), system, 'fine'),
          bestWay: verdict.thick > 0 ? 'thick' : 'thin',
        },
      },
    ];
  if (verdict.thick > verdict.tolerance)
    issues.push({
      code: 'inspect-thick',
      path: verdict.by,
      severity: 'query',
      given: mm(verdict.thick),
      detail: { sink: toldLength(Math.abs(verdict.sink), system, 'fine') },
    });
  if (verdict.thick < -verdict.tolerance)
    issues.push({ code: 'inspect-thin', path: verdict.by, severity: 'query', given: mm(verdict.thick) });
  return issues;
}

/** What the teeth are, in words. @param say says a length, which is never less than 0 */
export function verdictText(
  { thick, sink, tolerance, agreed }: NonNullable<InspectDetail['verdict']>,
  say: (mm: number) => string,
): string {
  if (!agreed) return 'readings at odds: measure again';
  if (thick > tolerance) return `${say(thick)} thick: sink ${say(sink)} more`;
  if (thick < -tolerance) return `${say(-thick)} thin`;
  return 'good';
}

const answerOf = (verdict: NonNullable<InspectDetail['verdict']>, system: UnitSystem): string =>
  verdictText(verdict, (mm) => lengthFigure(mm, system, 'fine'));

function valuesOf(checks: readonly Check[], verdict: InspectDetail['verdict'], system: UnitSystem): Value[] {
  return [
    ...checks.flatMap(({ id, name, should, reading, out }) => [
      ...(out ? [] : [lengthValue({ key: id, label: name }, should)]),
      ...(reading === null
        ? []
        : [lengthValue({ key: `${id}-read`, label: `${name}, as read`, settles: true }, reading)]),
    ]),
    ...(verdict
      ? [
          textValue(
            { key: 'verdict', label: 'Teeth', settles: true },
            answerOf(verdict, system),
            answerOf(verdict, 'mm'),
          ),
        ]
      : []),
  ];
}
