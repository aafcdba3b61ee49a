import Fraction from 'fraction.js';

/** Exact rational number. Everything that must close exactly is one of these until a person reads it. */
export type Exact = Fraction;

/** @param n whole or decimal number, or text such as "127/5" or "2.157" @param d whole, not 0 */
export function exact(n: number | bigint | string, d: number | bigint = 1): Exact {
  return d === 1 ? new Fraction(n) : new Fraction(n as number, d);
}

/** Exact rational as the text that travels and rests: `"n/d"`, or `"n"` when whole. */
export function exactText(value: Exact): string {
  const n = value.s * value.n;
  return value.d === 1n ? String(n) : `${n}/${value.d}`;
}

/** The nearest float, for drawing and display only. */
export function approx(value: Exact): number {
  return value.valueOf();
}

/** Greatest common divisor. @param a, b whole, ≥ 0 */
export const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/** 25.4 mm exactly. Source: the international inch, 1959. */
export const MM_PER_INCH: Exact = exact(254, 10);
