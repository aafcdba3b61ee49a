import { approx, decimalText, type Exact, type UnitSystem } from '../units/index.ts';
import type { Working } from './station.ts';

/**
 * A line of working as it is written on a board, in TeX. Formulas are worked in mm; to a job in inches what a
 * line comes to is told in inches too.
 */
export function boardTex({ formula, put, result, joined = '=', mm }: Working, units: UnitSystem): string {
  const [before, after] = joined === 'looked-up' ? ['=', '\\Rightarrow'] : [joined, joined];
  const inInches = units === 'in' && mm !== undefined ? ['=', unitTex(mm / 25.4, 'in')] : [];
  return [formula, before, put, after, result, ...inInches].join(' ');
}

/** A figure with its unit, for the board. @returns TeX: `12.5\ \mathrm{mm}` */
export const unitTex = (value: Exact | number, unit: string, places = 4): string =>
  `${decimalText(value, places)}\\ \\mathrm{${unit}}`;

/** A length, for the board. @param value mm @returns TeX */
export const mmTex = (value: Exact | number, places = 4): string => unitTex(value, 'mm', places);

/** What a line of working comes to, where that is a length. @param value mm */
export const mmResult = (value: Exact | number, places = 4): Pick<Working, 'result' | 'mm'> => ({
  result: mmTex(value, places),
  mm: typeof value === 'number' ? value : approx(value),
});

/** An angle, for the board. @param value degrees @returns TeX: `14.5^\circ` */
export const degreesTex = (value: Exact | number, places = 4): string =>
  `${decimalText(value, places)}^\\circ`;
