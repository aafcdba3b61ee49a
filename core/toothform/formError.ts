import {
  actsFrom,
  baseRadius,
  involuteSpace,
  rootRadius,
  spaceOf,
  tipRadius,
  type ToothForm,
} from './space.ts';

/** One place on the flank and what the cutter leaves there. */
export interface FlankError {
  /** mm above the floor of the space. */
  readonly above: number;
  /**
   * Across the flank, µm; more than 0: metal taken away that should stand, less: metal left that should go.
   */
  readonly error: number;
}

export interface FormErrors {
  /** From where the flank begins to act, outward to the tip. */
  readonly flank: readonly FlankError[];
  readonly atRoot: number;
  readonly atTip: number;
  /** Largest error of the flank either way, µm. */
  readonly worst: number;
}

/** The errors of a flank as points, with what a person asks of them first. @param points from root to tip */
export function summed(points: readonly FlankError[]): FormErrors {
  const worst = points.reduce((most, { error }) => Math.max(most, Math.abs(error)), 0);
  return { flank: points, atRoot: points[0]?.error ?? 0, atTip: points.at(-1)?.error ?? 0, worst };
}

/**
 * What a form cutter exact for one count leaves on a gear of another, cut to the same depth. Involutes of one
 * base circle are parallel curves, so the error across the flank is the base radius times the difference of
 * angle.
 * @param form of the gear that is cut
 * @param cutterTeeth the count the cutter is exact for, > 4
 * @returns µm along one flank; all zero when the counts agree
 * Source: by geometry of the involute; checked against the plain distance between the two outlines in the
 * test. Composite cutters with eased tips differ from this: there it is a guide.
 */
export function formErrors(form: ToothForm, cutterTeeth: number, steps = 48): FormErrors {
  const cutter = { ...form, teeth: cutterTeeth };
  const space = spaceOf(cutter, 'radial');
  const sunk = rootRadius(form) - rootRadius(cutter);
  const [from, to] = [actsFrom(form), tipRadius(form)];
  const base = baseRadius(form);
  const [cutterRoot, cutterTip] = [rootRadius(cutter), tipRadius(cutter) + form.module / 4];
  const left = (at: number): FlankError => {
    const angle = space(at);
    const [x, y] = [at * Math.sin(angle), at * Math.cos(angle) + sunk];
    const radius = Math.hypot(x, y);
    const error = base * (Math.atan2(x, y) - involuteSpace(form, Math.max(radius, base))) * 1000;
    return { above: radius, error };
  };
  const fine = steps * 8;
  const curve = Array.from({ length: fine + 1 }, (_, i) =>
    left(cutterRoot + ((cutterTip - cutterRoot) * i) / fine),
  );
  const points = Array.from({ length: steps + 1 }, (_, i): FlankError => {
    const radius = from + ((to - from) * i) / steps;
    // the edge runs steadily outward: the first place beyond this radius, and the one before it
    const next = Math.min(
      fine,
      Math.max(
        1,
        curve.findIndex(({ above }) => above >= radius - 1e-9),
      ),
    );
    const [a, b] = [curve[next - 1]!, curve[next]!];
    const error = a.error + ((b.error - a.error) * (radius - a.above)) / (b.above - a.above);
    return { above: radius - rootRadius(form), error };
  });
  return summed(points);
}
