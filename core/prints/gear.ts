import {
  circle,
  closed,
  cross,
  line,
  placed,
  point,
  together,
  turned,
  type Drawing,
  type Vertex,
} from '../drafting/index.ts';
import type { GearDrawing, Point } from '../involute/index.ts';
import { toothFlank } from '../toothform/index.ts';

/** Points along a flank with its fillet: the chords lie within a micrometre of it up to module 10. */
const STEPS = 48;

/** An arc of a circle about the middle, from one of its points to another, clockwise as teeth follow. */
const bulgeTo = (from: Point, to: Point): number => {
  const angle = Math.atan2(from.y, from.x) - Math.atan2(to.y, to.x);
  const turn = angle < 0 ? angle + 2 * Math.PI : angle;
  return -Math.tan(turn / 4);
};

const turnedBy = ({ x, y }: Point, clockwise: number): Point => {
  const [c, s] = [Math.cos(clockwise), Math.sin(clockwise)];
  return point(x * c + y * s, y * c - x * s);
};

/** One tooth on the y axis: up its left flank, over the land as an arc, down its right flank. */
function toothPath(gear: GearDrawing): readonly Vertex[] {
  const right = toothFlank(gear, STEPS);
  const left = right.map(({ x, y }) => point(-x, y));
  const [leftTop, rightTop] = [left.at(-1)!, right.at(-1)!];
  const pointed = Math.hypot(leftTop.x - rightTop.x, leftTop.y - rightTop.y) < 1e-9;
  const down = [...right].reverse();
  if (pointed) return [...left, ...down.slice(1)];
  return [...left.slice(0, -1), { ...leftTop, bulge: bulgeTo(leftTop, rightTop) }, ...down];
}

/**
 * The whole gear as one closed path: flanks and fillets by points, lands and floors as true arcs. The first
 * tooth stands on the y axis; the others follow clockwise.
 * @param gear in the plane of rotation, mm and radians
 * Source: toothFlank
 */
export function gearPath(gear: GearDrawing): readonly Vertex[] {
  const tooth = toothPath(gear);
  const foot = tooth.at(-1)!;
  const next = turnedBy(tooth[0]!, (2 * Math.PI) / gear.teeth);
  const floored = Math.hypot(foot.x - next.x, foot.y - next.y) > 1e-9 && gear.rootDiameter > 0;
  const one = floored ? [...tooth.slice(0, -1), { ...foot, bulge: bulgeTo(foot, next) }] : tooth;
  return Array.from({ length: gear.teeth }, (_, k) => {
    const turn = (2 * Math.PI * k) / gear.teeth;
    return one.map((corner) => ({ ...corner, ...turnedBy(corner, turn) }));
  }).flat();
}

/** A gear to cut or print, life size: outline, bore, pitch circle and the crossed middle. mm */
export function gearPrint(gear: GearDrawing, bore: number | null): Drawing {
  return together(
    closed('form', gearPath(gear)),
    circle('centre', point(0, 0), gear.pitchDiameter / 2),
    ...(bore !== null && bore > 0 ? [circle('form', point(0, 0), bore / 2)] : []),
    cross(point(0, 0), Math.max(2, gear.rootDiameter * 0.04)),
  );
}

/**
 * One tooth with the floors to the middles of its two spaces, where the gear's middle is the origin. mm, life
 * size
 */
export function toothPrint(gear: GearDrawing): Drawing {
  const tooth = toothPath(gear);
  const [leftFoot, rightFoot] = [tooth[0]!, tooth.at(-1)!];
  const root = gear.rootDiameter / 2;
  const half = Math.PI / gear.teeth;
  const middle = point(root * Math.sin(half), root * Math.cos(half));
  const start: Point = point(-middle.x, middle.y);
  const floored = Math.hypot(middle.x - rightFoot.x, middle.y - rightFoot.y) > 1e-9 && root > 0;
  const path: readonly Vertex[] = floored
    ? [
        { ...start, bulge: bulgeTo(start, leftFoot) },
        ...tooth.slice(0, -1),
        { ...rightFoot, bulge: bulgeTo(rightFoot, middle) },
        middle,
      ]
    : tooth;
  return together(line('form', ...path), pitchArc(gear));
}

/** The pitch circle over one tooth and its spaces. */
function pitchArc({ pitchDiameter, teeth }: GearDrawing): Drawing {
  const half = Math.PI / teeth;
  const at = (angle: number) =>
    point((pitchDiameter / 2) * Math.sin(angle), (pitchDiameter / 2) * Math.cos(angle));
  return line('centre', { ...at(-half), bulge: -Math.tan(half / 2) }, at(half));
}

/**
 * Two gears in mesh: the first about the origin, the second to its right, a tooth of the first in the middle
 * of a space of the second on the line of centres.
 * @param centre distance of the two, mm
 */
export function meshPrint(
  first: { readonly gear: GearDrawing; readonly bore: number | null },
  second: { readonly gear: GearDrawing; readonly bore: number | null },
  centre: number,
): Drawing {
  // a tooth stands on the y axis: turned to the right it points at the other
  const one = turned(gearPrint(first.gear, first.bore), -Math.PI / 2);
  // the other has a tooth towards the left, and half a pitch on a space
  const two = turned(gearPrint(second.gear, second.bore), Math.PI / 2 + Math.PI / second.gear.teeth);
  return together(one, placed(two, 1, point(centre, 0)), line('centre', point(0, 0), point(centre, 0)));
}
