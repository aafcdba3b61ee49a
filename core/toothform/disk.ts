import { summed, type FlankError, type FormErrors } from './formError.ts';
import { toothHalfAngle } from '../involute/index.ts';
import { spaceOf, tipRadius, rootRadius, type ToothForm } from './space.ts';

/** A helical gear as a disk cutter meets it. Angles radians. */
export interface HelicalCut {
  /** In the normal plane; `teeth` is the real count of the gear. */
  readonly form: ToothForm;
  readonly helixAngle: number;
  /** Diameter of the cutter at its pitch line, mm. */
  readonly cutterDiameter: number;
}

/** A place on the work: how far from its axis, and how far off the true flank, µm. */
interface Left {
  readonly radius: number;
  readonly error: number;
  /** Where round the disk it was cut, radians from the middle of the work. */
  readonly turn: number;
}

/** Everything of a cut that does not change from point to point. */
function geometryOf({ form, helixAngle, cutterDiameter }: HelicalCut, cutterTeeth: number) {
  const cos = Math.cos(helixAngle);
  const sin = Math.sin(helixAngle);
  const pitch = (form.teeth * form.module) / cos / 2;
  const transverse = Math.atan(Math.tan(form.pressureAngle) / cos);
  const base = pitch * Math.cos(transverse);
  const baseHelix = Math.atan((Math.tan(helixAngle) * base) / pitch);
  const root = pitch + form.addendum - form.wholeDepth;
  const thickness = ((Math.PI * form.module) / 2 - form.thinning) / cos;
  const trueSpace = (radius: number) =>
    Math.PI / form.teeth -
    toothHalfAngle({
      radius: Math.max(radius, base),
      baseRadius: base,
      pitchRadius: pitch,
      pressureAngle: transverse,
      toothThickness: thickness,
    });
  /** Advance for a radian of turn; a straight tooth never comes round. */
  const advance = helixAngle === 0 ? Infinity : pitch / Math.tan(helixAngle);
  const cutter = { ...form, teeth: cutterTeeth };
  const space = spaceOf(cutter, 'radial');
  const floor = rootRadius(cutter);
  const outside = cutterDiameter / 2 + (form.wholeDepth - form.addendum);
  /** A point of the cutter's edge: along its axis, and out from it. */
  const edge = (at: number) => {
    const angle = space(at);
    return { across: at * Math.sin(angle), out: outside - (at * Math.cos(angle) - floor) };
  };
  /** Where such a point stands when the disk has turned. */
  const place = ({ across, out }: { readonly across: number; readonly out: number }, turn: number) => ({
    x: root + outside - out * Math.cos(turn),
    y: across * cos + out * Math.sin(turn) * sin,
    z: -across * sin + out * Math.sin(turn) * cos,
  });
  const left = (
    { x, y, z }: { readonly x: number; readonly y: number; readonly z: number },
    turn: number,
  ): Left => {
    const radius = Math.hypot(x, y);
    const angle = Math.atan2(y, x) - (helixAngle === 0 ? 0 : z / advance);
    return { radius, turn, error: base * Math.cos(baseHelix) * (angle - trueSpace(radius)) * 1000 };
  };
  return {
    cos,
    sin,
    advance,
    edge,
    place,
    left,
    floor,
    tip: tipRadius(cutter),
    from: Math.max(base, root),
    root,
    outer: pitch + form.addendum,
  };
}

/** How far round the disk contact is looked for, radians, and in what steps. */
const REACH = 0.3;
const STEP = 0.004;

/**
 * Where a point of the edge touches the work: its normal stands square to the helical motion, n·v = 0. Every
 * such place within reach.
 */
function touches(geometry: ReturnType<typeof geometryOf>, at: number): Left[] {
  const { cos, sin, advance, edge, place, left } = geometry;
  const here = edge(at);
  const next = edge(at + 1e-6 * at);
  const [alongAxis, outward] = [next.out - here.out, here.across - next.across];
  const slip = (turn: number) => {
    const { x, y } = place(here, turn);
    const s = Math.sin(turn);
    const normal = [
      -outward * Math.cos(turn),
      alongAxis * cos + outward * s * sin,
      -alongAxis * sin + outward * s * cos,
    ] as const;
    // the work's own motion, scaled so that both a lead and none can be taken
    const round = Number.isFinite(advance) ? (-y * normal[0] + x * normal[1]) / advance : 0;
    return round + normal[2];
  };
  const found: Left[] = [];
  let before = slip(-REACH - STEP / 3);
  for (let turn = -REACH - STEP / 3; turn < REACH; turn += STEP) {
    const after = slip(turn + STEP);
    if (before * after <= 0) {
      let [low, high] = [turn, turn + STEP];
      for (let k = 0; k < 44; k += 1) {
        const middle = (low + high) / 2;
        if (before * slip(middle) > 0) low = middle;
        else high = middle;
      }
      const { x, y, z } = place(here, low);
      found.push(left({ x, y, z }, low));
    }
    before = after;
  }
  return found;
}

/** Where neighbours on one curve are further apart round the disk, they are on two. */
const ONE_CURVE = 0.03;

/**
 * What a round form cutter, exact in its own plane for some count, leaves on a helical gear: the envelope of
 * the disk in the helicoid. The flank is what the edge's points touch, and what the corner of the edge sweeps
 * near the floor; of the two, at each radius, what takes more.
 * @param cutterTeeth the count the cutter is exact for; need not be whole
 * @returns µm across the flank, as {@link formErrors}; at helix 0 the same figures
 * Source: enveloping condition n·v = 0; checked against plain search over the whole face of the disk in the
 * test
 */
export function diskErrors(cut: HelicalCut, cutterTeeth: number, steps = 48): FormErrors {
  const geometry = geometryOf(cut, cutterTeeth);
  const { floor, tip, from, outer, root, edge, place, left } = geometry;
  const curves: (readonly [Left, Left])[] = [];
  const over = tip + cut.form.module / 4 - floor;
  let before: readonly Left[] = [];
  for (let i = 0; i <= steps * 3; i += 1) {
    const now = touches(geometry, floor + (over * i) / (steps * 3));
    for (const point of now)
      for (const other of before)
        if (Math.abs(point.turn - other.turn) < ONE_CURVE) curves.push([other, point]);
    before = now;
  }
  const corner = edge(floor);
  const swept = Array.from({ length: 301 }, (_, i) => {
    const turn = -REACH + (2 * REACH * i) / 300;
    const { x, y, z } = place(corner, turn);
    return left({ x, y, z }, turn);
  });
  for (let i = 1; i < swept.length; i += 1) curves.push([swept[i - 1]!, swept[i]!]);
  const flank: FlankError[] = [];
  for (let i = 0; i <= steps; i += 1) {
    const radius = from + ((outer - from) * i) / steps;
    let most = -Infinity;
    for (const [a, b] of curves) {
      const part = (radius - a.radius) / (b.radius - a.radius);
      // a hair outside, so that rounding does not drop the two ends
      if (part >= -1e-6 && part <= 1 + 1e-6) most = Math.max(most, a.error + (b.error - a.error) * part);
    }
    if (Number.isFinite(most)) flank.push({ above: radius - root, error: most });
  }
  return summed(flank);
}

/**
 * The count a cutter is chosen for on a helical gear.
 * `book`: z/cos³β, the curvature of the normal section. `disk`: adds what the cutter's own roundness does,
 * (Dp/mn)·tan²β. @param helixAngle radians @param cutterDiameter mm at the pitch line, null when not known
 * @returns unrounded
 * Source: the first, Machinery’s Handbook, helical gears cut with formed cutters; the second, common
 * practice, checked against the envelope in the test
 */
export function virtualTeeth({
  teeth,
  helixAngle,
  normalModule,
  cutterDiameter,
}: {
  readonly teeth: number;
  readonly helixAngle: number;
  readonly normalModule: number;
  readonly cutterDiameter: number | null;
}): { readonly book: number; readonly disk: number | null } {
  const book = teeth / Math.cos(helixAngle) ** 3;
  const round = cutterDiameter === null ? null : (cutterDiameter / normalModule) * Math.tan(helixAngle) ** 2;
  return { book, disk: round === null ? null : book + round };
}
