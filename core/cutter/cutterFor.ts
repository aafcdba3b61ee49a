import { CUTTER_RANGES, HALF_CUTTERS, type CutterRange } from './ranges.ts';

export interface CutterAnswer {
  /** Both schools' number of the one cutter that covers the count. */
  readonly range: CutterRange;
  /** The half number that fits closer, where the fifteen-cutter set has one. */
  readonly half: { readonly inch: string; readonly from: number; readonly to: number } | null;
}

/**
 * The form cutter of a set that covers a tooth count. A virtual count is rounded to the nearest whole: ranges
 * meet, and leave no gap.
 * @param teeth > 0, also a fraction
 * @returns null below 12 teeth: no set goes there
 * Source: ranges.ts
 */
export function cutterFor(teeth: number): CutterAnswer | null {
  const whole = Math.round(teeth);
  const covers = (range: { from: number; to: number | null }) =>
    whole >= range.from && (range.to === null || whole <= range.to);
  const range = CUTTER_RANGES.find(covers);
  return range ? { range, half: HALF_CUTTERS.find(covers) ?? null } : null;
}

/**
 * The range one gets who takes this count’s number for the other school’s: No. 4 of inch is No. 5 of metric,
 * and a metric No. 4 is made for fewer teeth.
 * @param teeth > 0 @returns null below 12 teeth. Source: ranges.ts
 */
export function otherSchoolsRange(teeth: number): CutterRange | null {
  const found = cutterFor(teeth);
  return found ? CUTTER_RANGES.find(({ metric }) => metric === found.range.inch)! : null;
}

/** `55 to 134 teeth`, `135 teeth to a rack`. */
export function rangeText({ from, to }: { readonly from: number; readonly to: number | null }): string {
  if (to === null) return `${from} teeth to a rack`;
  return from === to ? `${from} teeth only` : `${from} to ${to} teeth`;
}
