import { toothHalfAngle } from './involute.ts';

/** What a drawing of a gear needs; all mm and radians. */
export interface GearDrawing {
  readonly teeth: number;
  readonly tipDiameter: number;
  readonly pitchDiameter: number;
  readonly baseDiameter: number;
  readonly rootDiameter: number;
  readonly pressureAngle: number;
  readonly toothThickness: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

const polar = (radius: number, angle: number): Point => ({
  x: radius * Math.sin(angle),
  y: radius * Math.cos(angle),
});

/**
 * One tooth standing on the y axis, from the middle of the space on its left to the middle of the space on
 * its right: root arc, flank, land, flank, root arc. The flank is the involute; where it would reach below
 * the base circle it goes on along a radius, as a plain cutter leaves it.
 * @param drawing mm, radians
 * @param steps points along a flank, ≥ 2
 * @returns mm, x to the right and y outward; turning it by 2π/z gives the next tooth without a gap
 * Source: ISO 21771, docs/sources.md#involute; radial below the base circle: stated approximation
 */
export function toothOutline(drawing: GearDrawing, steps = 12): readonly Point[] {
  const tip = drawing.tipDiameter / 2;
  const root = Math.max(drawing.rootDiameter / 2, 0);
  const base = drawing.baseDiameter / 2;
  const half = (radius: number) =>
    toothHalfAngle({
      radius,
      baseRadius: base,
      pitchRadius: drawing.pitchDiameter / 2,
      pressureAngle: drawing.pressureAngle,
      toothThickness: drawing.toothThickness,
    });

  const flankStart = Math.max(root, base);
  // does the tooth come to a point before the tip circle?
  let flankEnd = tip;
  if (half(tip) < 0) {
    let low = flankStart;
    for (let i = 0; i < 60; i += 1) {
      const middle = (low + flankEnd) / 2;
      if (half(middle) > 0) low = middle;
      else flankEnd = middle;
    }
  }
  const right: Point[] = [];
  // does the flank reach below the base circle?
  if (root < base) right.push(polar(root, half(base)));
  for (let i = 0; i <= steps; i += 1) {
    // squared spacing: the involute bends most near the base circle
    const radius = flankStart + (flankEnd - flankStart) * (i / steps) ** 2;
    right.push(polar(radius, Math.max(0, half(radius))));
  }
  const spaceMiddle = Math.PI / drawing.teeth;
  const rootHalf = half(flankStart);
  for (let i = 1; i <= 3; i += 1) right.unshift(polar(root, rootHalf + (spaceMiddle - rootHalf) * (i / 3)));
  const landHalf = Math.max(0, half(flankEnd));
  const land = [0.5, 0].map((part) => polar(flankEnd, landHalf * part));
  const mirrored = (points: readonly Point[]) => points.map(({ x, y }) => ({ x: -x, y }));
  // from left to right: left root, left flank, land, right flank, right root
  const leftHalf = mirrored([...right, land[0]!]);
  return [...leftHalf, land[1]!, land[0]!, ...[...right].reverse()];
}

/**
 * The whole gear, all teeth, as one closed outline starting at the tooth on the y axis. Same units as
 * toothOutline.
 */
export function gearOutline(drawing: GearDrawing, steps = 12): readonly Point[] {
  const tooth = toothOutline(drawing, steps);
  const points: Point[] = [];
  for (let k = 0; k < drawing.teeth; k += 1) {
    const turn = (2 * Math.PI * k) / drawing.teeth;
    const c = Math.cos(turn);
    const s = Math.sin(turn);
    for (const { x, y } of tooth) points.push({ x: x * c + y * s, y: y * c - x * s });
  }
  return points;
}
