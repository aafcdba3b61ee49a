import { sayIssue } from '../messages/index.ts';
import type { Result } from '../findings/index.ts';
import {
  approx,
  capital,
  measure,
  parseAngleDeg,
  parseLength,
  parseRatio,
  type Exact,
  type UnitSystem,
} from '../units/index.ts';
import type { AskedField, Verdict } from './types.ts';

/** What somebody gets who makes a usual slip, and what is said of it. In the unit of the answer. */
export interface Slip {
  readonly gives: number;
  readonly says: string;
}

/** A figure that is asked for, and how it is told from its neighbours. */
export interface FigureAsked {
  readonly key: string;
  readonly label: string;
  readonly reads: 'length' | 'angle' | 'number';
  /** Of the job, for a length: mm or in. The answer itself is in mm, degrees, or a plain number. */
  readonly units: UnitSystem;
  readonly unit: string;
  readonly truth: number;
  /** How far off it still is right, in the unit of the answer. */
  readonly within: number;
  readonly answer: string;
  readonly slips: readonly Slip[];
}

/** A field with its own judgement. */
export interface JudgedField extends AskedField {
  readonly judge: (typed: string) => Verdict;
}

const TOO_MANY = 120;

function readFigure({ reads, units, label }: FigureAsked, typed: string): Result<Exact> {
  const given = typed.slice(0, TOO_MANY);
  if (reads === 'length') return parseLength(measure(given, units));
  if (reads === 'angle') return parseAngleDeg(measure(given, 'deg'));
  return parseRatio(measure(given, 'count'), label, true);
}

/** What anybody may do with any figure: mistake the unit, lose the point, write minutes as decimals. */
function commonSlips({ reads, truth, units }: FigureAsked): Slip[] {
  const moved: Slip[] = [10, 100, 1 / 10, 1 / 100].map((times) => ({
    gives: truth * times,
    says: 'The figures are right, the decimal point is not.',
  }));
  if (reads === 'length') {
    const other = units === 'mm' ? 'inches' : 'millimetres';
    const gives = units === 'mm' ? truth / 25.4 : truth * 25.4;
    return [...moved, { gives, says: `That is right in ${other}; it was asked for in ${units}.` }];
  }
  if (reads === 'number') return moved;
  const whole = Math.floor(truth);
  const minutes = (truth - whole) * 60;
  return minutes < 0.5
    ? []
    : [
        {
          gives: whole + minutes / 100,
          says: `Minutes are not hundredths: ${minutes.toFixed(0)}′ is ${(minutes / 60).toFixed(3)}°.`,
        },
        { gives: (truth * Math.PI) / 180, says: 'That is the angle in radians.' },
      ];
}

/** A slip that cannot be told from the right answer is none. */
const isApart = ({ gives }: Slip, { truth, within }: FigureAsked): boolean =>
  Number.isFinite(gives) && Math.abs(gives - truth) > 2 * within;

/**
 * Judges a figure: right within what a hand can read; else a slip that gives just that; else wrong, and to
 * which side.
 */
export function judgeFigure(asked: FigureAsked, typed: string): Verdict {
  const read = readFigure(asked, typed);
  if (!read.ok) {
    const [issue] = read.issues;
    const says = issue!.code === 'missing' ? 'Nothing is written here yet.' : sayIssue(issue!);
    return { state: 'unread', says };
  }
  const value = approx(read.value);
  const near = (other: number) => Math.abs(value - other) <= asked.within;
  if (near(asked.truth)) return { state: 'right' };
  const slip = [...asked.slips, ...commonSlips(asked)].find((one) => isApart(one, asked) && near(one.gives));
  if (slip) return { state: 'slip', says: slip.says };
  return { state: 'wrong', says: `Not that; it is too ${value > asked.truth ? 'large' : 'small'}.` };
}

const LIKE = { length: '', angle: 'such as 4°34′ or 4.57', number: '' } as const;

export const figureField = (asked: FigureAsked): JudgedField => ({
  key: asked.key,
  label: asked.label,
  unit: asked.unit,
  like: LIKE[asked.reads],
  answer: asked.answer,
  judge: (typed) => judgeFigure(asked, typed),
});

/** Half a hundredth and a little, half a thou and a little: what a person rounds to. mm */
const LENGTH_WITHIN: Readonly<Record<UnitSystem, number>> = { mm: 0.0062, in: 0.0006 * 25.4 };
const FINE_WITHIN: Readonly<Record<UnitSystem, number>> = { mm: 0.003, in: 0.00015 * 25.4 };

interface LengthAsked {
  readonly key: string;
  readonly label: string;
  readonly units: UnitSystem;
  /** mm */
  readonly truth: number;
  readonly slips: readonly Slip[];
  /** To a thousandth, or a tenth of a thou, not a hundredth. */
  readonly fine?: boolean;
  /** What is still right, mm, where tables are read by hand; what is rounded away where it is left out. */
  readonly within?: number;
}

const figureOf = (mm: number, units: UnitSystem, fine: boolean): string => {
  const places = (units === 'mm' ? 2 : 3) + (fine ? 1 : 0);
  return (units === 'mm' ? mm : mm / 25.4).toFixed(places);
};

/** A length to the place a shop works to. */
export const lengthField = ({
  key,
  label,
  units,
  truth,
  slips,
  fine = false,
  within,
}: LengthAsked): JudgedField =>
  figureField({
    key,
    label,
    reads: 'length',
    units,
    unit: units,
    truth,
    within: within ?? (fine ? FINE_WITHIN : LENGTH_WITHIN)[units],
    answer: figureOf(truth, units, fine),
    slips,
  });

/** A whole count. */
export const countField = (asked: {
  readonly key: string;
  readonly label: string;
  readonly unit?: string;
  readonly truth: number;
  readonly slips: readonly Slip[];
}): JudgedField =>
  figureField({
    ...asked,
    unit: asked.unit ?? '',
    reads: 'number',
    units: 'mm',
    within: 0.01,
    answer: String(asked.truth),
  });

/** An angle. @param truth degrees */
export const angleField = (asked: {
  readonly key: string;
  readonly label: string;
  readonly truth: number;
  readonly within: number;
  readonly answer: string;
  readonly slips: readonly Slip[];
}): JudgedField => figureField({ ...asked, reads: 'angle', units: 'mm', unit: '' });

/** One of several. @param slips what is said of the others, by value */
export function choiceField({
  key,
  label,
  options,
  answer,
  slips,
}: {
  readonly key: string;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly text: string }[];
  readonly answer: string;
  readonly slips: Readonly<Record<string, string>>;
}): JudgedField {
  return {
    key,
    label,
    unit: '',
    like: '',
    options,
    answer,
    judge: (chosen) => {
      if (chosen === answer) return { state: 'right' };
      if (!options.some(({ value }) => value === chosen))
        return { state: 'unread', says: 'Nothing is chosen here yet.' };
      const says = slips[chosen];
      return says ? { state: 'slip', says } : { state: 'wrong', says: 'Not that one.' };
    },
  };
}

/** Every field judged by itself. */
export const byField =
  (fields: readonly JudgedField[]) =>
  (answers: Readonly<Record<string, string>>): Readonly<Record<string, Verdict>> =>
    Object.fromEntries(fields.map(({ key, judge }) => [key, judge(answers[key] ?? '')]));

/** The right answers in a row, as the key has them. */
export const answerOf = (fields: readonly AskedField[]): string =>
  capital(
    fields
      .map(({ label, answer, unit, options }) => {
        const text = options?.find(({ value }) => value === answer)?.text ?? answer;
        return fields.length === 1
          ? `${text} ${unit}`.trim()
          : `${label.toLowerCase()} ${text} ${unit}`.trim();
      })
      .join('; '),
  );
