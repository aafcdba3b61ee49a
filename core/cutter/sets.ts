import { plainCutter, type CutterNumber, type FormCutter } from '../shop/index.ts';
import { measure, parsePitch, pitchText, type Measure } from '../units/index.ts';
import { CUTTER_RANGES, HALF_CUTTERS } from './ranges.ts';

export type CutterSchool = 'inch' | 'metric';

/** The same cutter’s number in the other school: the two add up to nine. Common practice for the halves. */
export function otherSchool(number: CutterNumber): CutterNumber {
  const value = 9 - (number.endsWith('½') ? Number(number.slice(0, -1)) + 0.5 : Number(number));
  return (Number.isInteger(value) ? String(value) : `${Math.floor(value)}½`) as CutterNumber;
}

export interface SchoolRange {
  readonly number: CutterNumber;
  readonly from: number;
  readonly to: number | null;
  readonly half: boolean;
}

const WHOLE = CUTTER_RANGES.map(({ inch, from, to }): SchoolRange => ({
  number: inch as CutterNumber,
  from,
  to,
  half: false,
}));
const HALVES = HALF_CUTTERS.map(({ inch, from, to }): SchoolRange => ({
  number: inch as CutterNumber,
  from,
  to,
  half: true,
}));
/** All fifteen, rising by the count they are made for; numbers of the inch school. */
export const FIFTEEN: readonly SchoolRange[] = [...WHOLE, ...HALVES].sort(
  (a, b) => a.from - b.from || Number(a.half) - Number(b.half),
);

/** What a number covers by a school. */
export function rangeByNumber(number: CutterNumber, school: CutterSchool): SchoolRange {
  const inch = school === 'inch' ? number : otherSchool(number);
  return { ...FIFTEEN.find((range) => range.number === inch)!, number };
}

/**
 * A whole set of one pitch to start from, numbered by a school.
 * @param size 8, or 15 with the half numbers
 * Source: ranges.ts
 */
export function cutterSet({
  pitch,
  school,
  size,
  angleDeg,
}: {
  readonly pitch: Measure;
  readonly school: CutterSchool;
  readonly size: 8 | 15;
  readonly angleDeg: string;
}): readonly FormCutter[] {
  const read = parsePitch(pitch);
  if (!read.ok) return [];
  const name = pitchText(read.value);
  return FIFTEEN.filter(({ half }) => size === 15 || !half).map(({ number, from, to }) => {
    const own = school === 'inch' ? number : otherSchool(number);
    const id = `set-${school}-${name}-${angleDeg}-${own}`
      .replace(/½/g, 'h')
      .replace(/[^A-Za-z0-9-]+/g, '-')
      .slice(0, 40);
    return {
      ...plainCutter(id, `${name} No. ${own}, ${angleDeg}°`, pitch),
      number: own,
      school,
      range: { from, to },
      angle: measure(angleDeg, 'deg'),
    };
  });
}
