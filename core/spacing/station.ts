import type { Divided } from '../cut/index.ts';
import { angleAim, countAim, type Target } from '../dividing/index.ts';
import { placedUnder, fail, ok, type Issue, type Result } from '../findings/index.ts';
import {
  degreesTex,
  mmResult,
  angleValue,
  lengthValue,
  type Placed,
  type StationWork,
  textValue,
  type Value,
  type Working,
} from '../station/index.ts';
import {
  angleText,
  approx,
  decimalText,
  exact,
  lengthFigure,
  parseAngleDeg,
  parseCount,
  parsePitch,
  parsePositiveLength,
  pitchText,
  plural,
  type Exact,
  type Measure,
  type UnitSystem,
} from '../units/index.ts';
import { flatsDepth, flatsValues, flatsWorking, readFlats } from './flats.ts';
import type { SpacingInput } from './schema.ts';

export interface SpacingFacts {
  readonly target: Target;
  readonly spaces: number;
  readonly full: boolean;
  /** mm; null where none was given. */
  readonly depth: Exact | null;
  readonly divides: Divided;
}

export interface SpacingDetail {
  readonly drawing: {
    readonly along: 'turn' | 'line';
    readonly spaces: number;
    /** Degrees from one to the next, or millimetres along a line. */
    readonly step: number;
    readonly diameter: number | null;
    /** Across flats, where flats are cut; mm. */
    readonly acrossFlats: number | null;
  } | null;
}

/** How many there can be: more than any machine is set for is a slip of the hand. */
const MOST = 10_000;

/** π for the pitch of a rack, to as many places as a float holds. */
const PI = exact(Math.PI.toFixed(12));

/** A length that may be left out. */
function optional(typed: Measure, what: string): Result<Exact | null> {
  if (typed.typed.trim() === '') return ok(null);
  return parsePositiveLength(typed, what);
}

interface Read {
  readonly target: Target;
  readonly answer: string;
  readonly values: readonly Value[];
  readonly working: readonly Working[];
  readonly step: number;
  readonly queries: readonly Issue[];
}

const ONE: Readonly<Record<SpacingInput['what'], string>> = {
  spaces: 'place',
  holes: 'hole',
  slots: 'slot',
  flats: 'flat',
  splines: 'spline',
  marks: 'mark',
  teeth: 'tooth',
};
const DIVIDES: Readonly<Record<SpacingInput['what'], Divided>> = {
  spaces: 'place',
  holes: 'hole',
  slots: 'slot',
  flats: 'flat',
  splines: 'spline',
  marks: 'mark',
  // of a rack or a ratchet: what is cut is between them
  teeth: 'tooth-space',
};
const many = (spaces: number, what: SpacingInput['what']): string =>
  plural(spaces, ONE[what], what === 'spaces' ? 'places' : what);

const countValue = (spaces: number): Value =>
  textValue({ key: 'count', label: 'How many', symbol: 'N', settles: true }, String(spaces));

function readAngle(input: SpacingInput, spaces: number, diameter: number | null): Result<Read> {
  const angle = parseAngleDeg(input.angle);
  if (!angle.ok) return fail(...placedUnder('angle', angle.issues));
  const given = input.angle.typed;
  if (angle.value.lte(0) || angle.value.gt(360))
    return fail({ code: 'angle-over-turn', path: 'angle', severity: 'wrong', given });
  const aim = angleAim(angle.value, spaces, diameter);
  const total = angle.value.mul(aim.full ? spaces : spaces - 1);
  // the last of five at 90° stands where the first does
  const over = total.gte(360) && !aim.full;
  const detail = { total: approx(total), on: total.equals(360) ? 'first' : '' };
  return ok({
    target: { along: 'turn', aim },
    answer: `${many(spaces, input.what)}, ${angleText(angle.value)} apart`,
    values: [
      countValue(spaces),
      angleValue({ key: 'angle', label: 'From one to the next', settles: true, within: 0 }, angle.value),
      angleValue({ key: 'total', label: aim.full ? 'In all, and it closes' : 'First to last' }, total),
    ],
    working: [
      {
        key: 'total',
        label: 'First to last',
        formula: '(N - 1)\\,\\theta',
        put: `${spaces - 1} \\times ${decimalText(angle.value, 6)}^\\circ`,
        result: degreesTex(angle.value.mul(spaces - 1), 6),
        source: 'by adding up',
      },
    ],
    step: approx(angle.value),
    queries: over
      ? [
          {
            code: 'angles-overlap',
            path: 'count',
            severity: 'query',
            given: `${spaces} × ${angleText(angle.value)}`,
            detail,
          },
        ]
      : [],
  });
}

function readCount(input: SpacingInput, spaces: number, diameter: number | null): Read {
  const angle = exact(360, spaces);
  return {
    target: { along: 'turn', aim: countAim(spaces, diameter) },
    answer: `${many(spaces, input.what)} round`,
    values: [countValue(spaces), angleValue({ key: 'angle', label: 'From one to the next' }, angle)],
    working: [
      {
        key: 'angle',
        label: 'Angle from one to the next',
        formula: '\\frac{360^\\circ}{N}',
        put: `\\frac{360^\\circ}{${spaces}}`,
        result: degreesTex(angle, 6),
        source: 'one turn of the work has 360°',
      },
    ],
    step: approx(angle),
    queries: [],
  };
}

function line({
  input,
  spaces,
  pitch,
  name,
  working,
}: {
  readonly input: SpacingInput;
  readonly spaces: number;
  readonly pitch: Exact;
  readonly name: string;
  readonly working: readonly Working[];
}): Read {
  return {
    target: { along: 'line', spaces, pitch },
    answer: `${many(spaces, input.what)}, ${name}`,
    values: [
      countValue(spaces),
      lengthValue(
        { key: 'pitch', label: 'From one to the next', symbol: 'p', settles: true, within: 0 },
        approx(pitch),
      ),
      lengthValue({ key: 'length', label: 'First to last' }, approx(pitch.mul(spaces - 1))),
    ],
    working,
    step: approx(pitch),
    queries: [],
  };
}

/** Finer than any screw can set, and longer than any table. */
const FINEST = exact(1, 1000);
const LONGEST = exact(10_000);

/** Issues: out-of-range */
function inReach(mm: Exact, path: string, given: string): Issue[] {
  if (mm.gte(FINEST) && mm.lte(LONGEST)) return [];
  const allowed = 'From one to the next is 0.001 mm to 10 m';
  return [{ code: 'out-of-range', path, severity: 'wrong', given, allowed, detail: { what: 'A spacing' } }];
}

function readLine(input: SpacingInput, spaces: number, system: UnitSystem): Result<Read> {
  if (input.by === 'length') {
    const length = parsePositiveLength(input.length, 'The spacing');
    if (!length.ok) return fail(...placedUnder('length', length.issues));
    const far = inReach(length.value, 'length', input.length.typed);
    if (far.length > 0) return fail(...far);
    return ok(
      line({
        input,
        spaces,
        pitch: length.value,
        name: `${lengthFigure(approx(length.value), system)} apart`,
        working: [],
      }),
    );
  }
  const pitch = parsePitch(input.pitch);
  if (!pitch.ok) return fail(...placedUnder('pitch', pitch.issues));
  const m = pitch.value.module;
  const far = inReach(m.mul(PI), 'pitch', input.pitch.typed);
  if (far.length > 0) return fail(...far);
  const working: Working = {
    key: 'pitch',
    label: 'Pitch of the rack',
    formula: 'p = \\pi\\,m',
    put: `\\pi \\times ${decimalText(m, 6)}`,
    ...mmResult(approx(m) * Math.PI, 5),
    source: 'ISO 21771',
  };
  return ok(
    line({ input, spaces, pitch: m.mul(PI), name: `rack of ${pitchText(pitch.value)}`, working: [working] }),
  );
}

/** What is divided, as asked for. */
export interface SpacingAsked extends Placed {
  readonly input: SpacingInput;
}

/**
 * The spacing station: what is to be divided where there is no gear.
 * Issues: those of the parsers; angle-over-turn, angles-overlap
 */
export function planSpacing({
  input,
  path,
  units: system,
}: SpacingAsked): StationWork<SpacingFacts, SpacingDetail> {
  const turning = input.by === 'count' || input.by === 'angle';
  const count = parseCount({
    given: input.count,
    what: `The number of ${input.what}`,
    least: input.by === 'count' ? 1 : 2,
    most: MOST,
  });
  const diameter = optional(input.diameter, 'The diameter');
  const depth = optional(input.depth, 'The depth');
  const side = [
    ...(diameter.ok ? [] : placedUnder('diameter', diameter.issues)),
    ...(depth.ok ? [] : placedUnder('depth', depth.issues)),
  ];
  const mm = diameter.ok && diameter.value ? approx(diameter.value) : null;
  const read: Result<Read> = !count.ok
    ? fail(...placedUnder('count', count.issues))
    : input.by === 'count'
      ? ok(readCount(input, count.value, mm))
      : input.by === 'angle'
        ? readAngle(input, count.value, mm)
        : readLine(input, count.value, system);
  const empty = { id: 'spacing', cautions: [] } as const;
  if (!read.ok) {
    const issues = placedUnder(path, [...read.issues, ...side]);
    return {
      ...empty,
      facts: null,
      answer: 'to be given',
      values: [],
      working: [],
      issues,
      detail: { drawing: null },
    };
  }
  const { target, answer, values, working, step, queries } = read.value;
  const spaces = target.along === 'turn' ? target.aim.spaces : target.spaces;
  const round = target.along === 'turn' && target.aim.full;
  const flatsRead = readFlats({
    input,
    flats: round ? spaces : 0,
    diameter: diameter.ok ? diameter.value : null,
    depth: depth.ok ? depth.value : null,
    system,
  });
  const flats = flatsRead.ok ? flatsRead.value.flats : null;
  const flatIssues = flatsRead.ok ? flatsRead.value.issues : flatsRead.issues;
  // flats by their across-flats: the depth follows
  const deep = flats ? flatsDepth(flats) : depth.ok ? depth.value : null;
  return {
    ...empty,
    facts:
      depth.ok && diameter.ok && flatsRead.ok
        ? {
            target,
            spaces,
            full: target.along === 'turn' && target.aim.full,
            depth: deep,
            divides: DIVIDES[input.what],
          }
        : null,
    answer,
    values: [
      ...values,
      ...(turning && mm !== null
        ? [lengthValue({ key: 'diameter', label: 'On a diameter of', settles: true }, mm)]
        : []),
      ...(flats ? flatsValues(flats) : []),
      ...(deep ? [lengthValue({ key: 'depth', label: 'Depth', symbol: 'h', settles: true }, deep)] : []),
    ],
    working: [...working, ...(flats && mm !== null ? flatsWorking(flats, spaces, mm) : [])],
    issues: placedUnder(path, [...queries, ...side, ...flatIssues]),
    detail: {
      drawing: { along: target.along, spaces, step, diameter: mm, acrossFlats: flats?.across ?? null },
    },
  };
}
