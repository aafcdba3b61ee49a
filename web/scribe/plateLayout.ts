/** A place on a drawn plate: so far from its middle, so far round clockwise from the top, radians. */
export const onPlate = (radius: number, angle: number): readonly [number, number] => [
  radius * Math.sin(angle),
  -radius * Math.cos(angle),
];

/** Circles stand evenly from hub to rim, the smallest inmost; only their hole angles are to scale. */
export function circleRadius(circles: readonly number[], circle: number): number {
  const sorted = [...new Set(circles)].sort((a, b) => a - b);
  return sorted.length === 1 ? 170 : 88 + (102 * sorted.indexOf(circle)) / (sorted.length - 1);
}
