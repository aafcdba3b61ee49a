import { actsFrom, involuteSpace, rootRadius, tipRadius, type ToothForm } from './space.ts';

/** Two round buttons side by side that turn the cutter's flanks, one for each. mm. */
export interface TwoButtons {
  /** Radius of the flank each button leaves: half its diameter. */
  readonly radius: number;
  readonly diameter: number;
  /** Between the middles of the two buttons. */
  readonly spacing: number;
  /** From the first touch on the cutter blank's outside to the full form. */
  readonly infeed: number;
  /** Width of the cutter's edge at the floor of the space, where the flanks are carried on to it. */
  readonly edge: number;
  /** Largest distance between circle and true flank, µm. */
  readonly residual: number;
  /** From the gear's centre: where the middle of the right button lies. */
  readonly centre: { readonly x: number; readonly y: number };
}

interface Flank {
  readonly x: number;
  readonly y: number;
}

/** Points of the acting flank, evenly along the radius. */
export function actingFlank(form: ToothForm, steps: number): readonly Flank[] {
  const [from, to] = [actsFrom(form), tipRadius(form)];
  return Array.from({ length: steps + 1 }, (_, i) => {
    const radius = from + ((to - from) * i) / steps;
    const angle = involuteSpace(form, radius);
    return { x: radius * Math.sin(angle), y: radius * Math.cos(angle) };
  });
}

/** Solves three equations in three unknowns, by Cramer’s rule. */
function solve3(m: readonly (readonly number[])[], b: readonly number[]): readonly [number, number, number] {
  const det = (a: readonly (readonly number[])[]) =>
    a[0]![0]! * (a[1]![1]! * a[2]![2]! - a[1]![2]! * a[2]![1]!) -
    a[0]![1]! * (a[1]![0]! * a[2]![2]! - a[1]![2]! * a[2]![0]!) +
    a[0]![2]! * (a[1]![0]! * a[2]![1]! - a[1]![1]! * a[2]![0]!);
  const whole = det(m);
  const put = (column: number) => det(m.map((row, i) => row.map((cell, j) => (j === column ? b[i]! : cell))));
  return [put(0) / whole, put(1) / whole, put(2) / whole];
}

/**
 * The circle that stays nearest the flank all along it: its largest distance is as small as can be. Least
 * squares first, then again with more weight where it is far off (Lawson’s way), about the last circle found.
 */
function nearestCircle(flank: readonly Flank[]): { x: number; y: number; radius: number; residual: number } {
  // work about the flank’s middle, in its own size: the sums stay well apart
  const middle = flank[Math.floor(flank.length / 2)]!;
  const size = Math.hypot(flank.at(-1)!.x - flank[0]!.x, flank.at(-1)!.y - flank[0]!.y);
  const points = flank.map(({ x, y }) => ({ x: (x - middle.x) / size, y: (y - middle.y) / size }));
  let weights = points.map(() => 1 / points.length);
  let best = { x: 0, y: 0, radius: 0, residual: Infinity };
  for (let round = 0; round < 200; round += 1) {
    // x² + y² = 2ax + 2by + c, weighted
    const m = [
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
    ];
    const b = [0, 0, 0];
    for (const [i, { x, y }] of points.entries()) {
      const row = [2 * x, 2 * y, 1];
      const square = x * x + y * y;
      for (let j = 0; j < 3; j += 1) {
        b[j]! += weights[i]! * row[j]! * square;
        for (let k = 0; k < 3; k += 1) m[j]![k]! += weights[i]! * row[j]! * row[k]!;
      }
    }
    const [a, bb, c] = solve3(m, b);
    const radius = Math.sqrt(c + a * a + bb * bb);
    const off = points.map(({ x, y }) => Math.abs(Math.hypot(x - a, y - bb) - radius));
    const residual = Math.max(...off);
    if (residual < best.residual) best = { x: a, y: bb, radius, residual };
    const total = off.reduce((sum, distance, i) => sum + weights[i]! * distance, 0);
    if (total < 1e-15) break;
    weights = weights.map((weight, i) => (weight * off[i]!) / total);
  }
  return {
    x: best.x * size + middle.x,
    y: best.y * size + middle.y,
    radius: best.radius * size,
    residual: best.residual * size,
  };
}

/**
 * The best two buttons for a tooth space: each flank as one arc, best by its largest distance from the true
 * flank.
 * @returns mm; null when the flank is too straight for a button that can be handled (radius over 200 modules:
 * a rack) Source: by geometry; checked against plain search round it in the test
 */
export function fitButtons(form: ToothForm): TwoButtons | null {
  const circle = nearestCircle(actingFlank(form, 40));
  if (!(circle.radius < 200 * form.module)) return null;
  const root = rootRadius(form);
  const below = root - circle.y;
  const reach = Math.abs(below) < circle.radius ? Math.sqrt(circle.radius ** 2 - below ** 2) : 0;
  return {
    radius: circle.radius,
    diameter: 2 * circle.radius,
    spacing: 2 * circle.x,
    infeed: circle.y + circle.radius - root,
    edge: 2 * Math.max(0, circle.x - reach),
    residual: circle.residual * 1000,
    centre: { x: circle.x, y: circle.y },
  };
}
