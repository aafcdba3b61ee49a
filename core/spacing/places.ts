import type { Exact } from '../units/index.ts';
import { approx, radiansOf } from '../units/index.ts';

/**
 * Where a place on a circle stands for a readout zeroed at its centre: the first straight up, then clockwise,
 * as it is drawn.
 * @param degrees exact, from the first
 * @param diameter mm
 * @returns mm, x to the right and y upward, to a thousandth
 * Source: turning a point; the same way round as a made plate’s table
 */
export function placeOnCircle(degrees: Exact, diameter: number): { readonly x: number; readonly y: number } {
  const angle = radiansOf(approx(degrees));
  const thousandth = (value: number) => Math.round(value * 1000) / 1000 + 0;
  return {
    x: thousandth((diameter / 2) * Math.sin(angle)),
    y: thousandth((diameter / 2) * Math.cos(angle)),
  };
}
