import { placedUnder, fail, ok, type Issue, type Result } from '../findings/index.ts';
import { approx, parseAngleDeg, parseOptionalLength, type Measure } from '../units/index.ts';
import type { LeadInput } from './schema.ts';

/** How far things may move when an angle is bent. Degrees; mm; null: as far as the angle takes it. */
export interface Give {
  readonly angle: number;
  readonly centre: number | null;
  readonly diameter: number | null;
}

const USUAL_DEG = 1;
/** Beyond, it is another gear, degrees. */
const MOST_DEG = 20;

const empty = ({ typed }: Measure): boolean => typed.trim() === '';

/** Issues: those of the parser; out-of-range */
function readAngle(typed: Measure): Result<number> {
  if (empty(typed)) return ok(USUAL_DEG);
  const angle = parseAngleDeg(typed);
  if (!angle.ok) return angle;
  if (angle.value.gte(0) && angle.value.lte(MOST_DEG)) return ok(approx(angle.value));
  const allowed = `It may be from 0° to ${MOST_DEG}°; further off it is another gear`;
  return fail({
    code: 'out-of-range',
    path: '',
    severity: 'wrong',
    given: typed.typed,
    allowed,
    detail: { what: 'A bend' },
  });
}

/**
 * What a person lets move. Issues: those of the parsers, out-of-range, negative, each at its field under
 * `give`
 */
export function readGive({ give }: Pick<LeadInput, 'give'>): {
  readonly give: Give | null;
  readonly issues: readonly Issue[];
} {
  const angle = readAngle(give.angle);
  const centre = parseOptionalLength(give.centre, 'What the centre distance may move');
  const diameter = parseOptionalLength(give.diameter, 'What the outside may move');
  const issues = [
    ...(angle.ok ? [] : placedUnder('give.angle', angle.issues)),
    ...(centre.ok ? [] : placedUnder('give.centre', centre.issues)),
    ...(diameter.ok ? [] : placedUnder('give.diameter', diameter.issues)),
  ];
  if (!angle.ok || !centre.ok || !diameter.ok) return { give: null, issues };
  return {
    give: {
      angle: angle.value,
      centre: centre.value && approx(centre.value),
      diameter: diameter.value && approx(diameter.value),
    },
    issues,
  };
}
