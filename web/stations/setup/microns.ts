import { decimalText } from '../../../core/units/index.ts';

/** What an error comes to, without its sign. @param mm any finite */
export const microns = (mm: number): string => `${decimalText(Math.abs(mm) * 1000, 0)} µm`;
