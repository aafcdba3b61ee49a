import { fail, ok, type Issue, type Result } from '../findings/index.ts';
import { approx, exact, MM_PER_INCH, type Exact } from './exact.ts';
import { beyond, readExpression, type UnitFactor } from './expression.ts';
import type { Measure } from './measure.ts';

const missing = (allowed: string): Result<never> =>
  fail({ code: 'missing', path: '', severity: 'needed', allowed });

const wrongKind = (given: string, wanted: string, allowed: string): Issue => ({
  code: 'unit-wrong-kind',
  path: '',
  severity: 'wrong',
  given,
  allowed,
  detail: { wanted },
});

const LENGTH_EXAMPLES = '12.5, 12,5 mm, .154, 2 3/8 in or 60 thou';

const lengthFactor: UnitFactor = (word) => {
  switch (word.toLowerCase()) {
    case 'mm':
      return exact(1);
    case 'cm':
      return exact(10);
    case 'in':
    case 'inch':
    case 'inches':
    case '"':
      return MM_PER_INCH;
    case 'thou':
    case 'mil':
      return MM_PER_INCH.div(1000);
    case 'ft':
    case "'":
      return MM_PER_INCH.mul(12);
    default:
      return null;
  }
};

/**
 * A length, exact, in millimetres.
 * @param given its unit (`mm` or `in`) holds for a bare figure; a unit inside the text wins
 * Issues: missing, not-a-number, unit-unknown, units-mixed, divided-by-zero, unit-wrong-kind
 */
export function parseLength(given: Measure): Result<Exact> {
  if (given.typed.trim() === '') return missing('a length');
  if (given.unit !== 'mm' && given.unit !== 'in') {
    return fail(wrongKind(`${given.typed} ${given.unit}`, 'a length', LENGTH_EXAMPLES));
  }
  const read = readExpression(given.typed, lengthFactor, LENGTH_EXAMPLES);
  if (!read.ok) return read;
  const { value, hadUnit } = read.value;
  return ok(hadUnit || given.unit === 'mm' ? value : value.mul(MM_PER_INCH));
}

/** A pitch as it was given, with the module it amounts to. */
export interface Pitch {
  readonly system: 'module' | 'dp';
  /** The figure in its own system: 1.25 for module 1.25, 14 for 14 DP. */
  readonly figure: Exact;
  /** mm, exact: 25.4/P for a diametral pitch. */
  readonly module: Exact;
}

const PITCH_EXAMPLES = '1.25, M1.5, 14 DP or 3 1/2 DP';
const MODULE_MARK = /^(?:module|mod|m)\s*(?=[\d.,])|\s*(?:module|mod|m)$/i;
const DP_MARK = /^(?:dp|p)\s*(?=[\d.,])|\s*(?:d\.?p\.?|p)$/i;

/** Beyond every pitch there is, mm of module: a figure of a held key or of another unit. */
const COARSEST = exact(10_000);
const FINEST = exact(1, 10_000);

export function pitchOf(system: Pitch['system'], figure: Exact): Pitch {
  return { system, figure, module: system === 'module' ? figure : MM_PER_INCH.div(figure) };
}

/**
 * A pitch: module (mm) or diametral pitch (teeth per inch of pitch diameter).
 * @param given its unit (`module` or `dp`) holds for a bare figure; `M…` or `…DP` inside the text wins
 * Issues: missing, not-a-number, divided-by-zero, not-positive, unit-wrong-kind
 */
export function parsePitch(given: Measure): Result<Pitch> {
  const typed = given.typed.trim();
  if (typed === '') return missing('module or diametral pitch');
  if (given.unit !== 'module' && given.unit !== 'dp')
    return fail(wrongKind(typed, 'a pitch', PITCH_EXAMPLES));
  const isDp = DP_MARK.test(typed);
  const isModule = !isDp && MODULE_MARK.test(typed);
  const bare = isDp ? typed.replace(DP_MARK, '') : isModule ? typed.replace(MODULE_MARK, '') : typed;
  const read = readExpression(bare, () => null, PITCH_EXAMPLES);
  if (!read.ok) return fail(...read.issues.map((found) => ({ ...found, given: typed })));
  const figure = read.value.value;
  if (figure.lte(0)) return fail(notPositive('The pitch', typed));
  const pitch = pitchOf(isDp ? 'dp' : isModule ? 'module' : given.unit, figure);
  if (pitch.module.gt(COARSEST) || pitch.module.lt(FINEST)) return fail(beyond(typed, PITCH_EXAMPLES));
  return ok(pitch);
}

const ANGLE_EXAMPLES = '20, 14.5, 14 1/2, 4°34′ or 10′';
/** Minutes of arc alone, as they stand on a scale: `10′`. */
const MINUTES = /^(-?)(\d+(?:\.\d+)?)\s*(?:'|min)\s*(?:(\d+(?:\.\d+)?)\s*(?:"|s(?:ec)?))?$/i;
const DMS =
  /^(-?)(\d+(?:\.\d+)?)\s*(?:°|deg|d)\s*(?:(\d+(?:\.\d+)?)\s*(?:'|m(?:in)?))?\s*(?:(\d+(?:\.\d+)?)\s*(?:"|s(?:ec)?))?$/i;
const degreeFactor: UnitFactor = (word) => (/^(°|deg|degrees?)$/i.test(word) ? exact(1) : null);

const MOST_DEGREES = 1_000_000;

/**
 * An angle, exact, in degrees: decimal, vulgar fraction, or degrees, minutes and seconds.
 * Issues: missing, not-a-number, unit-unknown, divided-by-zero, out-of-range (60 minutes or seconds and more)
 */
export function parseAngleDeg(given: Measure): Result<Exact> {
  const typed = given.typed.trim();
  if (typed === '') return missing('an angle');
  const plain = typed
    .replace(/''|[″“”]/g, '"')
    .replace(/[′’]/g, "'")
    .replace(/(\d),(\d)/g, '$1.$2');
  const minutesAlone = MINUTES.exec(plain);
  const parts = minutesAlone
    ? [plain, minutesAlone[1], '0', minutesAlone[2], minutesAlone[3]]
    : DMS.exec(plain);
  if (parts) {
    const [, sign, degrees, minutes = '0', seconds = '0'] = parts;
    if (Number(minutes) >= 60 || Number(seconds) >= 60) {
      return fail({
        code: 'out-of-range',
        path: '',
        severity: 'wrong',
        given: typed,
        allowed: 'Minutes and seconds run from 0 to 59',
        detail: { what: 'An angle' },
      });
    }
    const value = exact(degrees!).add(exact(minutes).div(60)).add(exact(seconds).div(3600));
    if (value.gt(MOST_DEGREES)) return fail(beyond(typed, ANGLE_EXAMPLES));
    return ok(sign ? value.neg() : value);
  }
  const read = readExpression(plain, degreeFactor, ANGLE_EXAMPLES);
  return read.ok ? ok(read.value.value) : read;
}

/**
 * A whole count, with its range.
 * @param what the name used in the sentence, e.g. "The tooth count"
 * Issues: missing, not-a-number, not-whole, out-of-range
 */
export function parseCount({
  given,
  what,
  least,
  most,
}: {
  readonly given: Measure;
  readonly what: string;
  readonly least: number;
  readonly most: number;
}): Result<number> {
  const typed = given.typed.trim();
  if (typed === '') return missing(what.toLowerCase());
  const allowed = `It runs from ${least} to ${most}`;
  const countWord: UnitFactor = (word) => (/^(t|th|teeth|tooth|spaces?|z)$/i.test(word) ? exact(1) : null);
  const read = readExpression(typed, countWord, `58`);
  if (!read.ok) return read;
  const { value } = read.value;
  const issue = { path: '', severity: 'wrong', given: typed, allowed, detail: { what } } as const;
  if (value.d !== 1n) return fail({ code: 'not-whole', ...issue });
  if (value.lt(least) || value.gt(most)) return fail({ code: 'out-of-range', ...issue });
  return ok(Number(value.s * value.n));
}

/**
 * A ratio of two counts: `3`, `3:1`, `63/42`, `1.5`.
 * @param zero may it be 0? @returns exact
 * Issues: missing, ratio-not-one
 */
export function parseRatio(given: Measure, what: string, zero = false): Result<Exact> {
  const typed = given.typed.trim();
  if (typed === '') return missing(what.toLowerCase());
  const read = readExpression(typed.replace(/:/g, '/').replace(/%$/, ''), () => null, '3, 3:1 or 63/42');
  const good = read.ok && (read.value.value.gt(0) || (zero && read.value.value.equals(0)));
  return good
    ? ok(read.value.value)
    : fail({ code: 'ratio-not-one', path: '', severity: 'wrong', given: typed });
}

export function notPositive(what: string, given: string): Issue {
  return { code: 'not-positive', path: '', severity: 'wrong', given, detail: { what } };
}

/** A length that must be more than zero. Issues: those of parseLength, not-positive. */
export function parsePositiveLength(given: Measure, what: string): Result<Exact> {
  const length = parseLength(given);
  if (!length.ok) {
    return fail(
      ...length.issues.map((found) =>
        found.code === 'missing' ? { ...found, allowed: what.toLowerCase() } : found,
      ),
    );
  }
  return length.value.gt(0) ? length : fail(notPositive(what, given.typed));
}

/**
 * A length that may be left empty, 0 or more.
 * @returns mm, exact; null when nothing was typed. Issues: those of parseLength; negative
 */
export function parseOptionalLength(given: Measure, what: string): Result<Exact | null> {
  if (given.typed.trim() === '') return ok(null);
  const length = parseLength(given);
  if (!length.ok || length.value.gte(0)) return length;
  return fail({ code: 'negative', path: '', severity: 'wrong', given: given.typed, detail: { what } });
}

/**
 * A length of more than zero where one is known, mm; null while it is empty or cannot be read, which is told
 * elsewhere.
 */
export function knownLength(given: Measure): number | null {
  const read = parseOptionalLength(given, '');
  return read.ok && read.value?.gt(0) ? approx(read.value) : null;
}
