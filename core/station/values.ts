import { approx, exactText, roundedText, type Exact } from '../units/index.ts';
import type { FigureOfText, Value } from './station.ts';

/**
 * How far a length may move before a settled station is in doubt, mm: half a hundredth, two tenths of a thou.
 * Common practice.
 */
export const LENGTH_WITHIN = 0.005;
/** The same of an angle, degrees: ten seconds, 1 µm in 20 mm of face. Common practice. */
export const ANGLE_WITHIN = 10 / 3600;
/**
 * The same of a lead or a pitch, which is repeated over a length, in parts of itself: 2 µm over 20 mm. Common
 * practice.
 */
export const PITCH_WITHIN = 1e-4;

interface Naming {
  readonly key: string;
  readonly label: string;
  readonly symbol?: string;
  readonly settles?: boolean;
  /** How far it may move before it puts a settled station in doubt, mm or degrees; 0: not at all. */
  readonly within?: number;
  /** Is it told in millimetres whatever the job's units, as a module is? */
  readonly inMm?: true;
}

const named = ({ key, label, symbol, settles = false }: Naming) => ({
  key,
  label,
  settles,
  ...(symbol === undefined ? {} : { symbol }),
});

/** A length, exact or as a float, mm. */
export function lengthValue(naming: Naming, mm: Exact | number): Value {
  const { within = LENGTH_WITHIN, inMm } = naming;
  return {
    ...named(naming),
    kind: 'length',
    ...(typeof mm === 'number' ? { mm, at: roundedText(mm) } : { mm: approx(mm), at: exactText(mm) }),
    within,
    ...(inMm ? { inMm } : {}),
  };
}

/** A lead or a pitch, mm: it is repeated over a length, and so judged by parts of itself. */
export const pitchValue = (naming: Naming, mm: Exact | number): Value =>
  lengthValue({ ...naming, within: PITCH_WITHIN * Math.abs(typeof mm === 'number' ? mm : approx(mm)) }, mm);

/** An angle, exact, degrees. */
export function angleValue(naming: Naming, degrees: Exact): Value {
  const { within = ANGLE_WITHIN } = naming;
  return { ...named(naming), kind: 'angle', deg: approx(degrees), at: exactText(degrees), within };
}

/** Words. @param at how it is settled where the words go by the units of the job: the same in both systems */
export function textValue(naming: Naming, text: string, at = text): Value {
  return { ...named(naming), kind: 'text', text, at };
}

/**
 * Words that stand for a number: they put a settled station in doubt when it has moved by more than is said.
 */
export function figureValue({
  naming,
  text,
  figure,
  at = text,
}: {
  readonly naming: Naming;
  readonly text: string;
  readonly figure: FigureOfText;
  readonly at?: string | undefined;
}): Value {
  return { ...named(naming), kind: 'text', text, at, figure };
}
