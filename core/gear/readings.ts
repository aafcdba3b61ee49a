import { toldLength, placedUnder, fail, type Issue, type Result } from '../findings/index.ts';
import {
  approx,
  exact,
  parseAngleDeg,
  parseCount,
  parseOptionalLength,
  parsePitch,
  parsePositiveLength,
  type Exact,
  type Measure,
  type Pitch,
  type UnitSystem,
} from '../units/index.ts';
import { depthAsStamped, depthByRule, type ToothDepth } from './depth.ts';
import { MOST_HELIX_DEG, readHelix } from './helix.ts';
import type { GearInput } from './schema.ts';

/** Fewest and most teeth a job may have. Four is the smallest lantern-like pinion met in instruments. */
export const LEAST_TEETH = 4;
export const MOST_TEETH = 1000;

/** What could be read from the gear's fields; null where missing or wrong, with the issue told. */
export interface GearReadings {
  readonly teeth: number | null;
  /** In the normal plane, where the cutter works; of a spur gear simply its pitch. */
  readonly pitch: Pitch | null;
  readonly pressureAngleDeg: Exact | null;
  readonly depth: ToothDepth | null;
  /** Degrees; 0 for a spur gear, and while it cannot be told. */
  readonly helixDeg: Exact;
  readonly helixKnown: boolean;
  readonly hand: 'right' | 'left';
  /** mm along the pitch circle; 0 for teeth of nominal thickness */
  readonly thinning: Exact;
  readonly mate: MateReading;
  readonly issues: readonly Issue[];
}

function readPressureAngle(input: GearInput): Result<Exact> {
  const angle = parseAngleDeg(input.pressureAngle);
  if (!angle.ok || (angle.value.gte(10) && angle.value.lte(35))) return angle;
  const issue = { path: '', severity: 'wrong', given: input.pressureAngle.typed } as const;
  return {
    ok: false,
    issues: [
      {
        ...issue,
        code: 'out-of-range',
        allowed: 'Gears are cut from 10° to 35°, mostly 20° or 14.5°',
        detail: { what: 'A pressure angle' },
      },
    ],
  };
}

/**
 * The depth in force: stamped on the cutter, else typed, else by rule. Issues: those of the fields,
 * depth-under-addendum.
 */
function readDepth({
  input,
  pitch,
  system,
  onCutter,
}: {
  readonly input: GearInput;
  readonly pitch: Pitch | null;
  readonly system: UnitSystem;
  readonly onCutter: Measure | null;
}): { depth: ToothDepth | null; issues: Issue[] } {
  const { rule, addendum, wholeDepth, readFrom } = input.depth;
  // typed on the card, else as the shop's list has it for the cutter that was picked
  const stamped = input.depth.stamped.typed.trim() === '' && onCutter ? onCutter : input.depth.stamped;
  const issues: Issue[] = [];
  const take = (path: string, result: Result<Exact>): Exact | null => {
    if (result.ok) return result.value;
    issues.push(...placedUnder(path, result.issues));
    return null;
  };
  const depth = ((): ToothDepth | null => {
    if (rule === 'typed') {
      const h = take('depth.wholeDepth', parsePositiveLength(wholeDepth, 'The whole depth'));
      const ha = take('depth.addendum', parsePositiveLength(addendum, 'The addendum'));
      const mark =
        stamped.typed.trim() === ''
          ? null
          : take('depth.stamped', parsePositiveLength(stamped, 'The stamped depth'));
      if (!ha || !(mark ?? h)) return null;
      return {
        addendum: ha,
        wholeDepth: (mark ?? h)!,
        from: mark ? 'stamped' : 'typed',
        rule: null,
        readFrom,
      };
    }
    if (stamped.typed.trim() === '') return pitch && depthByRule(rule, pitch.module);
    const mark = take('depth.stamped', parsePositiveLength(stamped, 'The stamped depth'));
    return mark && pitch && depthAsStamped(rule, pitch.module, mark);
  })();
  if (!depth || !pitch) return { depth: null, issues };

  const path = depth.from === 'stamped' ? 'depth.stamped' : 'depth.wholeDepth';
  const given = depth.from === 'stamped' ? stamped.typed : input.depth.wholeDepth.typed;
  const twice = depth.addendum.mul(2);
  if (depth.wholeDepth.lte(twice)) {
    const detail = { twice: toldLength(approx(twice), system, 'fine') };
    issues.push({ code: 'depth-under-addendum', path, severity: 'wrong', given, detail });
    return { depth: null, issues };
  }
  const factor = approx(depth.wholeDepth.div(pitch.module));
  if (depth.from !== 'rule' && (factor < 1.7 || factor > 2.5)) {
    issues.push({
      code: 'depth-unusual',
      path,
      severity: 'query',
      given,
      detail: { factor },
    });
  }
  return { depth, issues };
}

/**
 * What the mate’s fields say. On crossed shafts its own angle is told, or follows from that of the shafts.
 */
interface MateReading {
  readonly teeth: number | null;
  /** mm */
  readonly centre: Exact | null;
  readonly backlash: Exact | null;
  /** Null on parallel shafts, where the mate has this gear’s angle and the other hand. */
  readonly crossed: {
    readonly helixDeg: Exact | null;
    readonly hand: 'right' | 'left';
    readonly shaftDeg: Exact | null;
  } | null;
}

type Take = <T>(path: string, result: Result<T>) => T | null;
const left = ({ typed }: Measure): boolean => typed.trim() === '';

/** Issues: those of the parser; out-of-range */
function readTurn(typed: Measure, what: string, most: number): Result<Exact> {
  const angle = parseAngleDeg(typed);
  if (!angle.ok || (angle.value.gte(0) && angle.value.lte(most))) return angle;
  const allowed = `It lies from 0° to ${most}°`;
  return fail({
    code: 'out-of-range',
    path: '',
    severity: 'wrong',
    given: typed.typed,
    allowed,
    detail: { what },
  });
}

function readMate({ mate }: GearInput, take: Take): MateReading {
  const teeth = left(mate.teeth)
    ? null
    : take(
        'mate.teeth',
        parseCount({
          given: mate.teeth,
          what: 'The mate’s tooth count',
          least: LEAST_TEETH,
          most: MOST_TEETH,
        }),
      );
  const centre = left(mate.centre)
    ? null
    : take('mate.centre', parsePositiveLength(mate.centre, 'The centre distance'));
  const backlash = take('mate.backlash', parseOptionalLength(mate.backlash, 'The backlash'));
  if (mate.shafts === 'parallel') return { teeth, centre, backlash, crossed: null };
  const helixDeg = left(mate.helix)
    ? null
    : take('mate.helix', readTurn(mate.helix, 'The mate’s helix angle', MOST_HELIX_DEG));
  const shaftDeg = left(mate.shaftAngle)
    ? null
    : take('mate.shaftAngle', readTurn(mate.shaftAngle, 'The angle of the shafts', 2 * MOST_HELIX_DEG));
  return { teeth, centre, backlash, crossed: { helixDeg, hand: mate.hand, shaftDeg } };
}

/** The addendum a normal module has by the rule in force; null where it is typed and cannot be read. */
function addendumOf({ depth }: GearInput, normalModule: number): number | null {
  if (depth.rule !== 'typed') return approx(depthByRule(depth.rule, exact(normalModule.toFixed(9))).addendum);
  const typed = parsePositiveLength(depth.addendum, '');
  return typed.ok ? approx(typed.value) : null;
}

/**
 * Reads the gear's fields.
 * @param system units for the sentences @param onCutter the depth stamped on the cutter that was picked, if
 * any Issues: those of each parser at its field; those of the helix; out-of-range for an angle;
 * depth-under-addendum; depth-unusual
 */
export function readGear(
  input: GearInput,
  system: UnitSystem,
  onCutter: Measure | null = null,
): GearReadings {
  const issues: Issue[] = [];
  const take = <T>(path: string, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    issues.push(...placedUnder(path, result.issues));
    return null;
  };
  const typedPitch = take('pitch', parsePitch(input.pitch));
  const teeth = take(
    'teeth',
    parseCount({ given: input.teeth, what: 'The tooth count', least: LEAST_TEETH, most: MOST_TEETH }),
  );
  const pressureAngleDeg = take('pressureAngle', readPressureAngle(input));
  const mate = readMate(input, take);
  const solved = readHelix(input, {
    pitch: typedPitch,
    teeth,
    mateTeeth: mate.teeth,
    centre: mate.centre,
    addendumOf: (module) => addendumOf(input, module),
    system,
  });
  // its issues stand at the fields that the angle was looked for in
  if (!solved.ok) issues.push(...solved.issues);
  const helix = solved.ok ? solved.value : null;
  const pitch = helix?.normalPitch ?? typedPitch;
  const { depth, issues: depthIssues } = readDepth({ input, pitch, system, onCutter });
  const thinning = take('thinning', parseOptionalLength(input.thinning, 'The thinning'));
  return {
    pitch,
    teeth,
    pressureAngleDeg,
    depth,
    helixDeg: helix?.helixDeg ?? exact(0),
    helixKnown: helix !== null,
    hand: input.hand,
    thinning: thinning ?? exact(0),
    mate,
    issues: [...issues, ...(helix?.notes ?? []), ...depthIssues],
  };
}
