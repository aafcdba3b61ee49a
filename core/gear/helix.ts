import {
  toldLength,
  placedUnder,
  fail,
  issueOf,
  ok,
  type FiguresOf,
  type Issue,
  type IssueCode,
  type Result,
} from '../findings/index.ts';
import {
  approx,
  decimalText,
  exact,
  lengthText,
  parseAngleDeg,
  parsePitch,
  parsePositiveLength,
  pitchOf,
  pitchText,
  type Exact,
  type Measure,
  type Pitch,
  type UnitSystem,
  degreesOf,
  radiansOf,
} from '../units/index.ts';
import { crossedForCentre } from '../mesh/index.ts';
import type { GearInput } from './schema.ts';

/** Beyond this no table, no tilted head and no attachment of a mill lays a cutter along the tooth. */
export const MOST_HELIX_DEG = 80;

/** The helix as it stands in the gear, and the pitch in the plane that the cutter works in. */
export interface HelixReading {
  /** Degrees; 0 for a spur gear. */
  readonly helixDeg: Exact;
  readonly normalPitch: Pitch | null;
  /** What there is to say of it that is not wrong. */
  readonly notes: readonly Issue[];
}

/** What the angle may have to be worked out from, besides the gear’s own fields. */
export interface HelixGround {
  readonly pitch: Pitch | null;
  readonly teeth: number | null;
  readonly mateTeeth: number | null;
  /** mm */
  readonly centre: Exact | null;
  /** Addendum for a normal module, mm. */
  readonly addendumOf: (normalModule: number) => number | null;
  readonly system: UnitSystem;
}
const empty = ({ typed }: Measure): boolean => typed.trim() === '';
const wrong = <Code extends IssueCode>(
  code: Code,
  path: string,
  given: string,
  ...figures: FiguresOf<Code>
): Issue => issueOf(code, { path, severity: 'wrong', given }, ...figures);

/**
 * A float angle to a ten-millionth of a degree: what arithmetic with cosines has no exact figure for. @param
 * angle radians
 */
const degrees = (angle: number): Exact => exact(degreesOf(angle).toFixed(7));

/** A pitch of one plane carried over to the other. @param times what the module is multiplied by */
function carried(pitch: Pitch, times: number): Pitch {
  const figure = approx(pitch.figure) * (pitch.system === 'module' ? times : 1 / times);
  return times === 1 ? pitch : pitchOf(pitch.system, exact(figure.toFixed(9)));
}

/** Issues: those of the parser; out-of-range */
function readAngle(typed: Measure, path: string): Result<Exact> {
  const angle = parseAngleDeg(typed);
  if (!angle.ok) return fail(...placedUnder(path, angle.issues));
  if (angle.value.gte(0) && angle.value.lte(MOST_HELIX_DEG)) return angle;
  const allowed = `A helix angle lies from 0° (spur) to ${MOST_HELIX_DEG}°; which way it leans is its hand, given beside it`;
  return fail({ ...wrong('out-of-range', path, typed.typed, { what: 'A helix angle' }), allowed });
}

/** Both pitches given: cos β = m_n/m_t. Issues: pitches-impossible */
function fromPitches(input: GearInput, pitch: Pitch): Result<Exact> {
  const other = parsePitch(input.otherPitch);
  if (!other.ok) return fail(...placedUnder('otherPitch', other.issues));
  const [normal, transverse] = input.pitchPlane === 'normal' ? [pitch, other.value] : [other.value, pitch];
  const cosine = approx(normal.module.div(transverse.module));
  if (cosine <= 1) return ok(degrees(Math.acos(cosine)));
  const detail = { normal: pitchText(normal), transverse: pitchText(transverse) };
  return fail(wrong('pitches-impossible', 'otherPitch', input.otherPitch.typed, detail));
}

/**
 * A wanted centre distance on parallel shafts: cos β = m_n(z1 + z2)/(2a). Issues: helix-needs-mate,
 * helix-transverse-centre, helix-centre-short
 */
function fromCentre(
  input: GearInput,
  on: HelixGround & { readonly pitch: Pitch; readonly teeth: number },
): Result<Exact> {
  const { pitch, teeth, mateTeeth, centre, system } = on;
  if (mateTeeth === null || centre === null)
    return fail({
      code: 'helix-needs-mate',
      path: mateTeeth === null ? 'mate.teeth' : 'mate.centre',
      severity: 'needed',
    });
  if (input.pitchPlane === 'transverse')
    return fail(wrong('helix-transverse-centre', 'helixFrom', input.pitch.typed));
  const straight = (approx(pitch.module) * (teeth + mateTeeth)) / 2;
  const given = lengthText(approx(centre), system);
  if (approx(centre) < straight - 1e-9)
    return fail(
      wrong('helix-centre-short', 'mate.centre', given, { straight: toldLength(straight, system) }),
    );
  const angle = degrees(Math.acos(Math.min(1, straight / approx(centre))));
  if (angle.lte(MOST_HELIX_DEG)) return ok(angle);
  return fail(wrong('helix-centre-long', 'mate.centre', given, { straight: toldLength(straight, system) }));
}

/**
 * A wanted centre distance on crossed shafts: where two angles serve, the one nearer to half the shaft angle.
 * Issues: helix-needs-mate, helix-crossed-none
 */
function fromCrossedCentre(
  input: GearInput,
  on: HelixGround & { readonly pitch: Pitch; readonly teeth: number },
): Result<{ readonly angle: Exact; readonly other: Exact | null }> {
  const { pitch, teeth, mateTeeth, centre, system } = on;
  const shafts = parseAngleDeg(input.mate.shaftAngle);
  // one that cannot be read is told of with the mate’s own fields
  if (!shafts.ok)
    return empty(input.mate.shaftAngle) ? fail(...placedUnder('mate.shaftAngle', shafts.issues)) : fail();
  if (mateTeeth === null || centre === null)
    return fail({
      code: 'helix-needs-mate',
      path: mateTeeth === null ? 'mate.teeth' : 'mate.centre',
      severity: 'needed',
    });
  const found = crossedForCentre({
    normalModule: approx(pitch.module),
    teeth: [teeth, mateTeeth],
    shaftAngle: radiansOf(approx(shafts.value)),
    centre: approx(centre),
  });
  const [best, other] = found.angles;
  if (best === undefined)
    return fail(
      wrong('helix-crossed-none', 'mate.centre', lengthText(approx(centre), system), {
        least: toldLength(found.least, system),
      }),
    );
  return ok({ angle: degrees(best), other: other === undefined ? null : degrees(other) });
}

/**
 * A lead measured by turning: sin β = π·z·m_n/L, or tan β = π·z·m_t/L. Issues: those of the parser;
 * helix-lead-short
 */
function fromLead({
  input,
  pitch,
  teeth,
  system,
}: {
  readonly input: GearInput;
  readonly pitch: Pitch;
  readonly teeth: number;
  readonly system: UnitSystem;
}): Result<Exact> {
  const lead = parsePositiveLength(input.lead, 'The lead');
  if (!lead.ok) return fail(...placedUnder('lead', lead.issues));
  const part = (Math.PI * teeth * approx(pitch.module)) / approx(lead.value);
  const angle = input.pitchPlane === 'transverse' ? Math.atan(part) : part < 1 ? Math.asin(part) : Infinity;
  if (angle <= radiansOf(MOST_HELIX_DEG)) return ok(degrees(angle));
  const least = Math.PI * teeth * approx(pitch.module);
  return fail(wrong('helix-lead-short', 'lead', input.lead.typed, { least: toldLength(least, system) }));
}

/** A print rubbed off the tips shows β_a there: tan β = tan β_a·d/d_a, gone over until it stands still. */
function fromPrint(
  input: GearInput,
  on: HelixGround & { readonly pitch: Pitch; readonly teeth: number },
): Result<Exact> {
  const atTips = readAngle(input.helix, 'helix');
  if (!atTips.ok) return atTips;
  const steep = Math.tan(radiansOf(approx(atTips.value)));
  const given = approx(on.pitch.module);
  let angle = radiansOf(approx(atTips.value));
  for (let i = 0; i < 60; i += 1) {
    const normal = input.pitchPlane === 'normal' ? given : given * Math.cos(angle);
    const pitchDiameter = (on.teeth * normal) / Math.cos(angle);
    angle = Math.atan((steep * pitchDiameter) / (pitchDiameter + 2 * (on.addendumOf(normal) ?? normal)));
  }
  return ok(degrees(angle));
}

/**
 * Where both pitches are given beside an angle, they have to agree with it. Issues: those of the parser;
 * pitches-at-odds
 */
function atOdds(input: GearInput, pitch: Pitch, helixDeg: Exact): Issue[] {
  if (empty(input.otherPitch) || input.helixFrom === 'pitches') return [];
  const other = parsePitch(input.otherPitch);
  if (!other.ok) return placedUnder('otherPitch', other.issues);
  const cosine = Math.cos(radiansOf(approx(helixDeg)));
  const expected = carried(pitch, input.pitchPlane === 'normal' ? 1 / cosine : cosine);
  // a print gives four figures
  if (Math.abs(approx(other.value.module.div(expected.module)) - 1) < 5e-4) return [];
  const [normal, transverse] = input.pitchPlane === 'normal' ? [pitch, other.value] : [other.value, pitch];
  const ratio = approx(normal.module.div(transverse.module));
  const fits = ratio < 1 ? `${decimalText(degreesOf(Math.acos(ratio)), 3)}°` : 'no angle at all';
  const plane = input.pitchPlane === 'normal' ? 'transverse' : 'normal';
  const said =
    other.value.system === expected.system
      ? expected
      : pitchOf(
          other.value.system,
          other.value.system === 'module' ? expected.module : exact(25.4).div(expected.module),
        );
  const detail = {
    expected: `${decimalText(said.figure, 4)}${said.system === 'dp' ? ' DP' : ''}`,
    plane,
    fits,
    angle: approx(helixDeg),
  };
  return [wrong('pitches-at-odds', 'otherPitch', input.otherPitch.typed, detail)];
}

function solve(
  input: GearInput,
  on: HelixGround,
): Result<{ readonly angle: Exact; readonly notes: readonly Issue[] }> {
  const plain = (angle: Result<Exact>) => (angle.ok ? ok({ angle: angle.value, notes: [] }) : angle);
  if (input.helixFrom === 'angle')
    return plain(empty(input.helix) ? ok(exact(0)) : readAngle(input.helix, 'helix'));
  const { pitch, teeth } = on;
  // without them no angle can be worked out; they are asked for at their own fields
  if (!pitch || !teeth) return fail();
  const known = { ...on, pitch, teeth };
  switch (input.helixFrom) {
    case 'pitches':
      return plain(fromPitches(input, pitch));
    case 'lead':
      return plain(fromLead({ input, pitch, teeth, system: on.system }));
    case 'print':
      return plain(fromPrint(input, known));
    case 'centre': {
      if (input.mate.shafts === 'parallel') return plain(fromCentre(input, known));
      const crossed = fromCrossedCentre(input, known);
      if (!crossed.ok) return crossed;
      const { angle, other } = crossed.value;
      const note = (also: Exact): Issue => ({
        code: 'helix-two-angles',
        path: 'helixFrom',
        severity: 'note',
        given: `${decimalText(angle, 3)}°`,
        detail: { other: approx(also) },
      });
      return ok({ angle, notes: other ? [note(other)] : [] });
    }
  }
}

/**
 * The helix angle by whichever of its sources is in force, and the pitch in the normal plane.
 * @returns fails where the angle cannot be told; issues stand at their fields
 * Issues: those of the parsers; out-of-range, pitches-impossible, helix-needs-mate, helix-transverse-centre,
 * helix-centre-short, helix-centre-long, helix-crossed-none, helix-lead-short; as notes: helix-two-angles;
 * pitches-at-odds beside an angle Source: ISO 21771 (m_n = m_t·cos β, L = π·z·m_n/sin β);
 * docs/sources.md#helix
 */
export function readHelix(input: GearInput, on: HelixGround): Result<HelixReading> {
  const solved = solve(input, on);
  if (!solved.ok) return solved;
  const { angle: helixDeg, notes } = solved.value;
  const { pitch } = on;
  if (!pitch) return ok({ helixDeg, normalPitch: null, notes });
  const cosine = Math.cos(radiansOf(approx(helixDeg)));
  const normalPitch =
    input.pitchPlane === 'transverse' && !helixDeg.equals(0) ? carried(pitch, cosine) : pitch;
  return ok({ helixDeg, normalPitch, notes: [...notes, ...atOdds(input, pitch, helixDeg)] });
}
