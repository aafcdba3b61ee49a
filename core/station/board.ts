import { decimalText, type Exact } from '../units/index.ts';
import type { Working } from './station.ts';

/** A line of working as it is written on a board, in TeX. */
export function boardTex({ formula, put, result, joined = '=' }: Working): string {
  const [before, after] = joined === 'looked-up' ? ['=', '\\Rightarrow'] : [joined, joined];
  return [formula, before, put, after, result].join(' ');
}

/** A figure with its unit, for the board. @returns TeX: `12.5\ \mathrm{mm}` */
export const unitTex = (value: Exact | number, unit: string, places = 4): string =>
  `${decimalText(value, places)}\\ \\mathrm{${unit}}`;

/** A length, for the board. @param value mm @returns TeX */
export const mmTex = (value: Exact | number, places = 4): string => unitTex(value, 'mm', places);

/** An angle, for the board. @param value degrees @returns TeX: `14.5^\circ` */
export const degreesTex = (value: Exact | number, places = 4): string =>
  `${decimalText(value, places)}^\\circ`;
