import { at, type Issue, type Result } from '../findings/index.ts';
import {
  approx,
  decimalText,
  lengthText,
  parseAngleDeg,
  parseCount,
  parsePitch,
  parsePositiveLength,
  type Exact,
  type Pitch,
  type UnitSystem,
} from '../units/index.ts';
import { depthAsStamped, depthByRule, type ToothDepth } from './depth.ts';
import type { GearInput } from './schema.ts';

/** Fewest and most teeth a job may have. Four is the smallest lantern-like pinion met in instruments. */
export const LEAST_TEETH = 4;
export const MOST_TEETH = 1000;

/** What could be read from the gear's fields; null where missing or wrong, with the issue told. */
export interface GearReadings {
  readonly teeth: number | null;
  readonly pitch: Pitch | null;
  readonly pressureAngleDeg: Exact | null;
  readonly depth: ToothDepth | null;
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

/** The depth in force: stamped on the cutter, else typed, else by rule. Issues: those of the fields, depth-under-addendum. */
function readDepth(
  input: GearInput,
  pitch: Pitch | null,
  system: UnitSystem,
): { depth: ToothDepth | null; issues: Issue[] } {
  const { rule, stamped, addendum, wholeDepth, readFrom } = input.depth;
  const issues: Issue[] = [];
  const take = (path: string, result: Result<Exact>): Exact | null => {
    if (result.ok) return result.value;
    issues.push(...at(path, result.issues));
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
  const given = depth.from === 'stamped' ? input.depth.stamped.typed : input.depth.wholeDepth.typed;
  const twice = depth.addendum.mul(2);
  if (depth.wholeDepth.lte(twice)) {
    const detail = { twice: lengthText(approx(twice), system, 'fine') };
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
      detail: { factor: decimalText(factor, 2) },
    });
  }
  return { depth, issues };
}

/**
 * Reads the gear's fields.
 * @param system units for the sentences
 * Issues: those of each parser at its field; out-of-range for the angle; depth-under-addendum; depth-unusual
 */
export function readGear(input: GearInput, system: UnitSystem): GearReadings {
  const issues: Issue[] = [];
  const take = <T>(path: string, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    issues.push(...at(path, result.issues));
    return null;
  };
  const pitch = take('pitch', parsePitch(input.pitch));
  const teeth = take('teeth', parseCount(input.teeth, 'The tooth count', LEAST_TEETH, MOST_TEETH));
  const pressureAngleDeg = take('pressureAngle', readPressureAngle(input));
  const { depth, issues: depthIssues } = readDepth(input, pitch, system);
  return { pitch, teeth, pressureAngleDeg, depth, issues: [...issues, ...depthIssues] };
}
