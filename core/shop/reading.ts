import { fail, ok, type Issue, type Result } from '../findings/index.ts';
import {
  exact,
  exactText,
  MM_PER_INCH,
  measure,
  parseCount,
  parseRatio,
  type Exact,
  type Measure,
} from '../units/index.ts';
import { type ShopLathe } from './machineSchema.ts';
import { CUTTER_NUMBERS, LEAST_HOLES, MOST_HOLES, type CutterNumber, type FormCutter } from './schema.ts';

/**
 * A worm ratio as people write it: `40`, `40:1`, `1/40`, `1:40`, `40.5`, `81/2`. Less than one is taken as
 * the spindle's turns for one of the crank, and turned round.
 * @returns exact text, turns of the crank for one turn of the spindle
 * Issues: ratio-bad
 */
export function readRatio(typed: string): Result<string> {
  const bad = fail({ code: 'ratio-bad', path: '', severity: 'wrong', given: typed });
  const text = typed.trim().replace(/\s+/g, '').replace(',', '.');
  const parts = /^(\d{1,6}(?:\.\d{1,6})?)(?:[:/](\d{1,6}(?:\.\d{1,6})?))?$/.exec(text);
  if (!parts) return bad;
  const [over, under] = [exact(parts[1]!), exact(parts[2] ?? '1')];
  if (over.equals(0) || under.equals(0)) return bad;
  const ratio = over.lt(under) ? under.div(over) : over.div(under);
  if (ratio.n > 999_999n || ratio.d > 999_999n) return bad;
  return ok(exactText(ratio));
}

/** Holes of one circle. Issues: circle-bad */
export function readHoles(typed: string): Result<number> {
  const read = parseCount({
    given: measure(typed, 'count'),
    what: 'A circle',
    least: LEAST_HOLES,
    most: MOST_HOLES,
  });
  if (read.ok) return read;
  const allowed = `Circles run from ${LEAST_HOLES} to ${MOST_HOLES} holes, whole`;
  return fail({ code: 'circle-bad', path: '', severity: 'wrong', given: typed || 'no', allowed });
}

/**
 * The circles of one side of a plate: `15 16 17`, `15, 16, 17` or `15/16/17`, rising, each once.
 * Issues: circle-bad for each that cannot be
 */
/** Two circles, or all that lie between them where they are few. */
function spelled(from: number, to: number): string {
  const all =
    to > from && to - from <= 12 ? Array.from({ length: to - from + 1 }, (_, i) => from + i).join(' ') : '';
  return all === '' ? `${from} ${to}` : `${from} ${to}, or ${all}`;
}

export function readCircles(typed: string): Result<readonly number[]> {
  const dash = /(\d+)\s*[-–]\s*(\d+)/.exec(typed);
  if (dash)
    return fail({
      code: 'list-dash',
      path: '',
      severity: 'wrong',
      given: dash[0],
      allowed: spelled(Number(dash[1]), Number(dash[2])),
    });
  const read = typed
    .split(/[\s,;/|]+/)
    .filter((word) => word !== '')
    .map(readHoles);
  const issues = read.flatMap((one): readonly Issue[] => (one.ok ? [] : one.issues));
  if (issues.length > 0) return fail(...issues);
  if (read.length === 0) return fail(...(readHoles('') as { issues: readonly Issue[] }).issues);
  const circles = read.flatMap((one) => (one.ok ? [one.value] : []));
  return ok([...new Set(circles)].sort((a, b) => a - b));
}

/** An id made from a name, that none of those taken has. Letters, figures and strokes. */
export function idFrom(name: string, taken: readonly string[]): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, 30);
  const base = plain || 'one';
  if (!taken.includes(base)) return base;
  for (let n = 2; ; n += 1) if (!taken.includes(`${base}-${n}`)) return `${base}-${n}`;
}

/**
 * A cutter's number as people write it: `3`, `No. 3`, `#3`, `3½`, `3.5`, `3 1/2`; empty for none. Issues:
 * cutter-number-bad
 */
export function readCutterNumber(typed: string): Result<CutterNumber | null> {
  const text = typed
    .replace(/^\s*(?:no\.?|nr\.?|#)\s*/i, '')
    .replace(/\s*1\/2$|[.,]5$/, '½')
    .trim();
  if (text === '') return ok(null);
  const found = CUTTER_NUMBERS.find((number) => number === text);
  if (found) return ok(found);
  const allowed = 'Numbers run from 1 to 8, with halves from 1½ to 7½';
  return fail({ code: 'cutter-number-bad', path: '', severity: 'wrong', given: typed, allowed });
}

/**
 * The range engraved on a cutter: `26-34`, `26 to 34`, `135 to rack`, `135-R`, `13`; empty for none. Issues:
 * tooth-range-bad
 */
export function readToothRange(typed: string): Result<FormCutter['range']> {
  const text = typed
    .trim()
    .toLowerCase()
    .replace(/teeth|th\b|z\s*=?/g, '')
    .trim();
  if (text === '') return ok(null);
  const parts = /^(\d{1,4})(?:\s*(?:-|–|—|to|\.\.|…|\/)\s*(\d{1,4}|r(?:ack)?|∞)|\s*(\+))?$/.exec(text);
  const allowed = 'Write it like 26-34, or 135 to rack';
  const bad = fail({ code: 'tooth-range-bad', path: '', severity: 'wrong', given: typed, allowed } as const);
  if (!parts) return bad;
  const from = Number(parts[1]);
  const end = parts[3] ? 'rack' : (parts[2] ?? parts[1]!);
  const to = /^\d/.test(end) ? Number(end) : null;
  if (from < 4 || from > 1000 || (to !== null && (to < from || to > 1000))) return bad;
  return ok({ from, to });
}

/** A range as it is engraved. */
export const toothRangeText = (range: FormCutter['range']): string =>
  range === null
    ? ''
    : range.to === null
      ? `${range.from}-rack`
      : range.from === range.to
        ? String(range.from)
        : `${range.from}-${range.to}`;

/** A screw that is known by its threads to the inch, as the lead it has; null when it is not written so. */
export function leadFromThreads(typed: string): Measure | null {
  const [, threads] =
    /^\s*(\d+(?:[.,]\d+)?)\s*(?:tpi|t\.p\.i\.|threads?(?:\s+per\s+inch)?|per\s+inch)\s*$/i.exec(typed) ?? [];
  return threads === undefined ? null : measure(`1/${threads.replace(',', '.')}`, 'in');
}

/**
 * A setting of a lathe’s gearbox, with the turns it gives the leadscrew for one of the spindle while the
 * gears are one to one.
 */
export interface BoxSetting {
  readonly name: string;
  readonly ratio: Exact;
}

/**
 * The settings of a box as they stand on its plate: `8 9 10 11½ 12`, or with commas `0.5, 0.75, 1 1/4`.
 * @param leadscrew mm, exact, > 0 @returns none where there is no box
 * Issues: box-bad for each that cannot be read
 */
export function readBox({ by, settings }: ShopLathe['box'], leadscrew: Exact): Result<readonly BoxSetting[]> {
  const words = (/[,;]/.test(settings) ? settings.split(/[,;]/) : settings.split(/\s+/))
    .map((word) => word.trim())
    .filter((word) => word !== '');
  const issues: Issue[] = [];
  const read: BoxSetting[] = [];
  for (const word of words) {
    const figure = parseRatio(
      measure(word.replace('½', ' 1/2').replace('¼', ' 1/4').replace('¾', ' 3/4').trim(), 'count'),
      'A setting',
    );
    if (!figure.ok) issues.push({ code: 'box-bad', path: '', severity: 'wrong', given: word });
    else if (by === 'tpi')
      read.push({ name: `${word} per inch`, ratio: MM_PER_INCH.div(figure.value).div(leadscrew) });
    else if (by === 'mm') read.push({ name: `${word} mm`, ratio: figure.value.div(leadscrew) });
    else read.push({ name: word, ratio: figure.value });
  }
  return issues.length > 0 ? fail(...issues) : ok(read);
}
