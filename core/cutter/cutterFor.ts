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

/** `55 to 134 teeth`, `135 teeth to a rack`. */
export function rangeText({ from, to }: { readonly from: number; readonly to: number | null }): string {
  if (to === null) return `${from} teeth to a rack`;
  return from === to ? `${from} teeth only` : `${from} to ${to} teeth`;
}
