import type { GearDrawing, Point } from '../involute/index.ts';
import { baseRadius, involuteSpace, trochoidEnds, trochoidSpace, type ToothForm } from './space.ts';

/** The form of the teeth of a gear that is drawn. */
function formOf(drawing: GearDrawing): ToothForm {
  const { teeth, pitchDiameter, tipDiameter, rootDiameter, pressureAngle, toothThickness } = drawing;
  const module = pitchDiameter / teeth;
  return {
    teeth,
    module,
    pressureAngle,
    addendum: (tipDiameter - pitchDiameter) / 2,
    wholeDepth: (tipDiameter - rootDiameter) / 2,
    thinning: (Math.PI * module) / 2 - toothThickness,
  };
}

/**
 * Half the angle of the space as a form cutter leaves it: the involute, a radius below the base circle, and
 * in its corners the fillet that a rack’s corner rolls. A cutter copies its own form, so it never undercuts.
 */
function cutSpace(drawing: GearDrawing): (radius: number) => number {
  const form = formOf(drawing);
  const base = baseRadius(form);
  const plain = (radius: number) => involuteSpace(form, Math.max(radius, base));
  if (drawing.rootDiameter <= 0) return plain;
  const ends = trochoidEnds(form);
  return (radius) => (radius < ends ? Math.min(trochoidSpace(form, radius), plain(radius)) : plain(radius));
}

const polar = (radius: number, angle: number): Point => ({
  x: radius * Math.sin(angle),
  y: radius * Math.cos(angle),
});

/**
 * The right flank of a tooth that stands on the y axis, from its foot on the root circle to the land: fillet,
 * then involute.
 * @param drawing mm, radians
 * @param steps points along it less one, ≥ 2
 * @returns mm, x ≥ 0
 * Source: as toothOutline
 */
export function toothFlank(drawing: GearDrawing, steps: number): readonly Point[] {
  const tip = drawing.tipDiameter / 2;
  const root = Math.max(drawing.rootDiameter / 2, 0);
  const pitch = Math.PI / drawing.teeth;
  const space = cutSpace(drawing);
  const half = (radius: number) => pitch - space(radius);
  // does the tooth come to a point before the tip circle?
  let flankEnd = tip;
  if (half(tip) < 0) {
    let low = drawing.pitchDiameter / 2;
    for (let i = 0; i < 60; i += 1) {
      const middle = (low + flankEnd) / 2;
      if (half(middle) > 0) low = middle;
      else flankEnd = middle;
    }
  }
  return Array.from({ length: steps + 1 }, (_, i) => {
    // closer together near the root, where it bends most
    const radius = root + (flankEnd - root) * (i / steps) ** 1.7;
    return polar(radius, Math.min(pitch, Math.max(0, half(radius))));
  });
}

/**
 * One tooth standing on the y axis, from the middle of the space on its left to the middle of the space on
 * its right: root arc, fillet, flank, land, flank, fillet, root arc.
 * @param drawing mm, radians
 * @param steps points along a flank with its fillet, ≥ 2
 * @returns mm, x to the right and y outward; turning it by 2π/z gives the next tooth without a gap
 * Source: ISO 21771, docs/sources.md#involute; fillet by the path of a rack’s corner, as in spaceOf
 */
export function toothOutline(drawing: GearDrawing, steps = 14): readonly Point[] {
  const root = Math.max(drawing.rootDiameter / 2, 0);
  const pitch = Math.PI / drawing.teeth;
  const flank = toothFlank(drawing, steps);
  const [foot, top] = [flank[0]!, flank.at(-1)!];
  const rootHalf = Math.atan2(foot.x, foot.y);
  const right = [1, 2 / 3, 1 / 3].map((part) => polar(root, rootHalf + (pitch - rootHalf) * part));
  right.push(...flank);
  const landHalf = Math.atan2(top.x, top.y);
  const land = [0.5, 0].map((part) => polar(Math.hypot(top.x, top.y), landHalf * part));
  const mirrored = (points: readonly Point[]) => points.map(({ x, y }) => ({ x: -x, y }));
  // from left to right: left root, left flank, land, right flank, right root
  const leftHalf = mirrored([...right, land[0]!]);
  return [...leftHalf, land[1]!, land[0]!, ...[...right].reverse()];
}

/**
 * The whole gear, all teeth, as one closed outline starting at the tooth on the y axis. Same units as
 * toothOutline.
 */
export function gearOutline(drawing: GearDrawing, steps = 14): readonly Point[] {
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
