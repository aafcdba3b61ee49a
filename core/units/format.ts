import { approx, exact, type Exact } from './exact.ts';
import type { UnitSystem } from './measure.ts';
import type { Pitch } from './parse.ts';

const MM = 25.4;

/**
 * `fine` shows one place more than a person sets on a dial; `shop` shows hundredths of a millimetre or thous.
 */
export type Finish = 'shop' | 'fine';
const PLACES: Readonly<Record<Finish, Readonly<Record<UnitSystem, number>>>> = {
  shop: { mm: 2, in: 3 },
  fine: { mm: 3, in: 4 },
};

/** A length without its unit. @param mm any finite @returns e.g. `75.00` or `2.953` */
export function lengthFigure(mm: number, system: UnitSystem, finish: Finish = 'shop'): string {
  const figure = system === 'mm' ? mm : mm / MM;
  // a figure that stands on the half in decimals may lie a hair below it as a float: 0.17975 reads 0.1798
  const text = (figure + Math.sign(figure) * 1e-9).toFixed(PLACES[finish][system]);
  return /^-0\.?0*$/.test(text) ? text.slice(1) : text;
}

/** The other of the two systems of units. */
export const otherSystem = (system: UnitSystem): UnitSystem => (system === 'mm' ? 'in' : 'mm');

/** A length in both units, its own first: `4.500 mm (0.1772 in)`. @param mm any finite */
export const bothUnitsText = (mm: number, system: UnitSystem): string =>
  `${lengthText(mm, system, 'fine')} (${lengthText(mm, otherSystem(system), 'fine')})`;

/** A sentence that begins in lower case, as a sentence. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A length with its unit. @param mm any finite @returns e.g. `75.00 mm` or `2.953 in` */
export function lengthText(mm: number, system: UnitSystem, finish: Finish = 'shop'): string {
  return `${lengthFigure(mm, system, finish)} ${system}`;
}

/** A decimal without needless zeros. @returns e.g. `1.25`, `14`, `3.5` */
export function decimalText(value: Exact | number, places = 6): string {
  const figure = typeof value === 'number' ? value : approx(value);
  return String(Number(figure.toFixed(places)));
}

/** `m 1.25` or `14 DP`, as it is said at the bench. */
export function pitchText(pitch: Pitch): string {
  return pitch.system === 'module' ? `m ${decimalText(pitch.figure)}` : `${decimalText(pitch.figure)} DP`;
}

/** Degrees with decimals only where needed. @param degrees exact @returns `20°`, `14.5°` */
export function degreesText(degrees: Exact): string {
  return `${decimalText(degrees, 4)}°`;
}

/**
 * Degrees, minutes and whole seconds, as a protractor and a dividing head are read.
 * @param degrees exact, 0 or more
 * @returns e.g. `6° 12′ 25″`; trailing zero parts are left out
 */
export function dmsText(degrees: Exact): string {
  const seconds = Number(degrees.mul(3600).round().valueOf());
  const d = Math.floor(seconds / 3600);
  const m = Math.floor((seconds % 3600) / 60);
  const s = seconds % 60;
  if (s !== 0) return `${d}° ${String(m).padStart(2, '0')}′ ${String(s).padStart(2, '0')}″`;
  return m === 0 ? `${d}°` : `${d}° ${String(m).padStart(2, '0')}′`;
}

/**
 * An angle as it is said: degrees, minutes and seconds where they are whole, else decimal. @param degrees
 * exact, 0 or more
 */
export function angleText(degrees: Exact): string {
  return degrees.mul(3600).d === 1n ? dmsText(degrees) : `${decimalText(degrees, 5)}°`;
}

/** A crank move in turns as people say it: `1 9/27`, `20/29`, `2`. */
export function turnsText(whole: number, spaces: number, circle: number): string {
  if (spaces === 0) return String(whole);
  return whole === 0 ? `${spaces}/${circle}` : `${whole} ${spaces}/${circle}`;
}

export const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/**
 * The figure's canonical text when it is not exact: rounded to a millionth, so equal work gives equal text.
 */
export function roundedText(value: number): string {
  return decimalText(exact(value.toFixed(6)), 6);
}
