import { CUTTER_RANGES, HALF_CUTTERS, type CutterRange } from './ranges.ts';

export interface CutterAnswer {
  /** Both schools' number of the one cutter that covers the count. */
  readonly range: CutterRange;
  /** The half number that fits closer, where the fifteen-cutter set has one. */
  readonly half: { readonly inch: string; readonly from: number; readonly to: number } | null;
}

/**
 * The form cutter of a set that covers a tooth count.
 * @param teeth whole, ≥ 1
 * @returns null below 12 teeth: no set goes there
 * Source: ranges.ts
 */
export function cutterFor(teeth: number): CutterAnswer | null {
  const covers = (range: { from: number; to: number | null }) =>
    teeth >= range.from && (range.to === null || teeth <= range.to);
  const range = CUTTER_RANGES.find(covers);
  return range ? { range, half: HALF_CUTTERS.find(covers) ?? null } : null;
}

/** `55 to 134 teeth`, `135 teeth to a rack`. */
export function rangeText({ from, to }: { readonly from: number; readonly to: number | null }): string {
  if (to === null) return `${from} teeth to a rack`;
  return from === to ? `${from} teeth only` : `${from} to ${to} teeth`;
}
