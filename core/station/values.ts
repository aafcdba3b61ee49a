import { approx, exactText, roundedText, type Exact } from '../units/index.ts';
import type { Value } from './station.ts';

interface Naming {
  readonly key: string;
  readonly label: string;
  readonly symbol?: string;
  readonly settles?: boolean;
}

const named = ({ key, label, symbol, settles = false }: Naming) => ({
  key,
  label,
  settles,
  ...(symbol === undefined ? {} : { symbol }),
});

/** A length, exact or as a float, mm. */
export function lengthValue(naming: Naming, mm: Exact | number): Value {
  return typeof mm === 'number'
    ? { ...named(naming), kind: 'length', mm, at: roundedText(mm) }
    : { ...named(naming), kind: 'length', mm: approx(mm), at: exactText(mm) };
}

/** An angle, exact, degrees. */
export function angleValue(naming: Naming, degrees: Exact): Value {
  return { ...named(naming), kind: 'angle', deg: approx(degrees), at: exactText(degrees) };
}

/** Words. @param at how it is settled where the words go by the units of the job: the same in both systems */
export function textValue(naming: Naming, text: string, at = text): Value {
  return { ...named(naming), kind: 'text', text, at };
}
