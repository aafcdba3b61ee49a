import { toothHalfAngle, type Point } from '../involute/index.ts';

/** What fixes the form of a tooth space in the plane it is cut in. mm and radians. */
export interface ToothForm {
  /** Need not be whole: a virtual count serves as well. */
  readonly teeth: number;
  readonly module: number;
  readonly pressureAngle: number;
  readonly addendum: number;
  readonly wholeDepth: number;
  /** Taken off the tooth along the pitch circle; the space is that much wider. */
  readonly thinning: number;
}

/**
 * How the flank goes on below the base circle: straight to the centre, or as a rack of the same depth would
 * leave it.
 */
export type Continuation = 'radial' | 'trochoid';

export const pitchRadius = ({ teeth, module }: ToothForm): number => (teeth * module) / 2;
export const baseRadius = (form: ToothForm): number => pitchRadius(form) * Math.cos(form.pressureAngle);
export const tipRadius = (form: ToothForm): number => pitchRadius(form) + form.addendum;
export const rootRadius = (form: ToothForm): number => tipRadius(form) - form.wholeDepth;

/**
 * Half the angle of the space at a radius, by the involute alone.
 * @param radius mm, ≥ base radius
 * @returns radians from the middle of the space to its flank
 */
export function involuteSpace(form: ToothForm, radius: number): number {
  const thickness = (Math.PI * form.module) / 2 - form.thinning;
  const half = toothHalfAngle({
    radius,
    baseRadius: baseRadius(form),
    pitchRadius: pitchRadius(form),
    pressureAngle: form.pressureAngle,
    toothThickness: thickness,
  });
  return Math.PI / form.teeth - half;
}

/** Half width of the generating rack's tip, mm. */
function rackTip(form: ToothForm): number {
  const below = form.wholeDepth - form.addendum;
  const atPitchLine = (Math.PI * form.module) / 4 + form.thinning / 2;
  return Math.max(0, atPitchLine - below * Math.tan(form.pressureAngle));
}

/**
 * Half the angle of the space at a radius, by the path of a rack's sharp corner.
 * @param radius mm, ≥ root radius
 * Source: the corner rolled past the blank; checked against a rolled rack in the test
 */
export function trochoidSpace(form: ToothForm, radius: number): number {
  const r = pitchRadius(form);
  const root = rootRadius(form);
  const along = Math.sqrt(Math.max(0, radius ** 2 - root ** 2));
  return rackTip(form) / r + Math.atan2(along, root) - along / r;
}

/**
 * Radius above which the flank is the involute, the rack's corner below it: at a tangent, or cutting in. mm
 */
export function trochoidEnds(form: ToothForm): number {
  const r = pitchRadius(form);
  const below = form.wholeDepth - form.addendum;
  const { pressureAngle } = form;
  // does the corner stay outside the end of the line of contact? Then the two meet at a tangent
  if (below <= r * Math.sin(pressureAngle) ** 2)
    return Math.hypot(below / Math.tan(pressureAngle), r - below);
  let low = Math.max(baseRadius(form), rootRadius(form));
  let high = r;
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (trochoidSpace(form, middle) > involuteSpace(form, middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The space of this very count: half the angle it takes up at a radius.
 * @returns a function of the radius, mm, from root to tip; radians
 * Source: ISO 21771 for the involute; below the base circle as stated by `continuation`
 */
export function spaceOf(form: ToothForm, continuation: Continuation): (radius: number) => number {
  const base = baseRadius(form);
  if (continuation === 'radial') return (radius) => involuteSpace(form, Math.max(radius, base));
  const ends = trochoidEnds(form);
  return (radius) => (radius < ends ? trochoidSpace(form, radius) : involuteSpace(form, radius));
}

/**
 * One side of the space, from the middle of its floor out to the tip circle.
 * @param steps points along the flank, ≥ 2
 * @returns mm; x from the middle of the space, y from the gear's centre
 */
export function spaceSide(form: ToothForm, continuation: Continuation, steps = 40): readonly Point[] {
  const [root, tip] = [rootRadius(form), tipRadius(form)];
  const space = spaceOf(form, continuation);
  const polar = (radius: number, angle: number): Point => ({
    x: radius * Math.sin(angle),
    y: radius * Math.cos(angle),
  });
  const floor = Math.max(0, space(root));
  const points = [0, 0.5].map((part) => polar(root, floor * part));
  for (let i = 0; i <= steps; i += 1) {
    const radius = root + (tip - root) * (i / steps) ** 1.5;
    points.push(polar(radius, Math.max(0, space(radius))));
  }
  return points;
}

/** Radius from which the flank acts: nothing below the base circle touches the mate. mm */
export const actsFrom = (form: ToothForm): number => Math.max(baseRadius(form), rootRadius(form));
