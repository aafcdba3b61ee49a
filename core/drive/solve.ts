import { axialFromNormal, wormForCentre } from './wormSizes.ts';

/** The worm a pitch, a count and a size come to. mm and radians. */
export interface SolvedWorm {
  readonly axialModule: number;
  readonly pitchDiameter: number;
}

/**
 * From the worm’s own diameter.
 * @returns null where a normal pitch would lay the threads across the worm
 */
export function fromDiameter({
  plane,
  module,
  starts,
  pitchDiameter,
}: {
  readonly plane: 'axial' | 'normal';
  readonly module: number;
  readonly starts: number;
  readonly pitchDiameter: number;
}): SolvedWorm | null {
  if (plane === 'axial') return { axialModule: module, pitchDiameter };
  const axial = axialFromNormal(module, starts, pitchDiameter);
  return axial && { axialModule: axial.axialModule, pitchDiameter };
}

/**
 * From the centre distance: the worm is what the wheel leaves. With a normal pitch the wheel grows as the
 * worm gets thinner, so the two are sought together; of two worms that fit the thicker one is taken, which
 * has the flatter thread.
 * @returns null where no worm of this pitch fits; a diameter of 0 or less where the wheel alone takes up the
 * distance
 */
export function fromCentre({
  plane,
  module,
  starts,
  teeth,
  centre,
}: {
  readonly plane: 'axial' | 'normal';
  readonly module: number;
  readonly starts: number;
  readonly teeth: number;
  readonly centre: number;
}): SolvedWorm | null {
  const most = wormForCentre(centre, module, teeth);
  if (plane === 'axial' || most <= 0) return { axialModule: module, pitchDiameter: most };
  const left = (diameter: number) => {
    const worm = axialFromNormal(module, starts, diameter);
    return worm === null ? null : diameter + teeth * worm.axialModule - 2 * centre;
  };
  const STEPS = 2000;
  for (let i = 1; i < STEPS; i += 1) {
    let low = most * (1 - i / STEPS);
    const there = left(low);
    if (there === null) return null;
    if (there > 0) continue;
    let high = most * (1 - (i - 1) / STEPS);
    for (let k = 0; k < 80; k += 1) {
      const middle = (low + high) / 2;
      if ((left(middle) ?? 1) > 0) high = middle;
      else low = middle;
    }
    return { axialModule: axialFromNormal(module, starts, low)!.axialModule, pitchDiameter: low };
  }
  return null;
}
