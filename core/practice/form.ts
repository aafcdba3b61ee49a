import { toothFlank } from '../toothform/index.ts';
import type { GearDrawing } from '../involute/index.ts';

/**
 * The form of a cutter as it stands in a space: half its width at a height above its tip, mm. Beyond what it
 * was made to cut its sides go on straight.
 */
export interface CutterForm {
  readonly diameter: number;
  /** How long the disk is along the work beside its own diameter: the cosine of the angle it is laid at. */
  readonly along?: number;
  /** Half its width, where its sides stand square on a straight tip; left out where it has any other form. */
  readonly straight?: number;
  /** Half the width at a height above the tip. @param height mm, ≥ 0 @returns mm */
  halfWidth(height: number): number;
}

/** Points along the flank: between two of them the chord lies within a thousandth of a micrometre. */
const STEPS = 400;

/** Heights at which the width is kept, evenly, so that it is found without a search. */
const EVEN = 2048;

export interface FlankPoint {
  readonly height: number;
  readonly width: number;
}

/** Widths at even heights, from those at heights that rise. */
function evenly(points: readonly FlankPoint[], step: number): Float64Array {
  const even = new Float64Array(EVEN + 1);
  let k = 0;
  for (let i = 0; i <= EVEN; i += 1) {
    const height = points[0]!.height + i * step;
    while (k < points.length - 2 && points[k + 1]!.height < height) k += 1;
    const [a, b] = [points[k]!, points[k + 1]!];
    even[i] = a.width + ((b.width - a.width) * (height - a.height)) / Math.max(1e-12, b.height - a.height);
  }
  return even;
}

/**
 * A form cutter that leaves the spaces of this very gear.
 * @param gear of the count the cutter is exact for, mm and radians
 * Source: toothFlank, turned from the tooth to the space beside it
 */
export function formCutter(gear: GearDrawing, diameter: number): CutterForm {
  const half = Math.PI / gear.teeth;
  const root = Math.max(gear.rootDiameter / 2, 0);
  const points = toothFlank(gear, STEPS).map(({ x, y }) => {
    const [radius, angle] = [Math.hypot(x, y), half - Math.atan2(x, y)];
    return { height: radius * Math.cos(angle) - root, width: radius * Math.sin(angle) };
  });
  return formOf(points, { diameter });
}

/** A form by points of its side that rise from the tip. */
export function formOf(
  points: readonly FlankPoint[],
  disk: Pick<CutterForm, 'diameter' | 'along'>,
): CutterForm {
  // the floor is round about the gear, the cutter’s tip is that arc turned outward: lower at its corners
  const [first, last, before] = [points[0]!, points.at(-1)!, points.at(-2)!];
  const slope = Math.max(0, (last.width - before.width) / Math.max(1e-9, last.height - before.height));
  const step = (last.height - first.height) / EVEN;
  const even = evenly(points, step);
  const halfWidth = (height: number): number => {
    const at = (height - first.height) / step;
    if (at <= 0) return first.width;
    if (at >= EVEN) return last.width + (height - last.height) * slope;
    const k = Math.floor(at);
    return even[k]! + (even[k + 1]! - even[k]!) * (at - k);
  };
  return { ...disk, halfWidth };
}

/**
 * A rack cutter: straight sides that leave half the pitch at the pitch line.
 * @param module mm @param pressureAngle radians @param depth to which it is sunk, mm; its addendum line lies
 * a module below the top
 * Source: basic rack, ISO 53; its corners are taken as sharp
 */
export function rackForm(
  {
    module,
    pressureAngle,
    depth,
  }: { readonly module: number; readonly pressureAngle: number; readonly depth: number },
  diameter: number,
): CutterForm {
  const below = depth - module;
  const widthAt = (height: number): number =>
    (Math.PI * module) / 4 + (height - below) * Math.tan(pressureAngle);
  // sunk deeper than its flanks meet it ends in an edge
  const edge = Math.max(0, below - (Math.PI * module) / 4 / Math.tan(pressureAngle));
  return formOf(
    [edge, depth].map((height) => ({ height, width: Math.max(0, widthAt(height)) })),
    { diameter },
  );
}

/** A cutter with straight sides. @param width mm */
export const slotForm = (width: number, diameter: number): CutterForm => ({
  diameter,
  straight: width / 2,
  halfWidth: () => width / 2,
});
