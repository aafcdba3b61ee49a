import { flatAndCrest, type WormProportions } from './proportions.ts';

/** A worm. Lengths mm, angles radians. */
export interface Worm {
  /** Along the axis. */
  readonly axialModule: number;
  readonly starts: number;
  readonly pitchDiameter: number;
  readonly proportions: WormProportions;
}

export interface WormSizes {
  readonly axialPitch: number;
  /** Travel for one turn. */
  readonly lead: number;
  readonly leadAngle: number;
  readonly outside: number;
  /** May be 0 or less: then there is no worm of that diameter. */
  readonly root: number;
  readonly depth: number;
  /** Across the thread: what a stock cutter for the wheel has to be. */
  readonly normalModule: number;
  /** Of the tool, radians. */
  readonly includedAngle: number;
  /** Along the axis; a tool turned to the lead angle is narrower by its cosine. */
  readonly toolFlat: number;
  readonly crest: number;
}

/**
 * Everything about a worm that follows from its pitch, starts and diameter.
 * @param worm starts whole, ≥ 1; diameters and module > 0
 * Source: px = π·m, lead = z1·px, tan γ = lead/(π·d1): Machinery’s Handbook, worm gearing
 */
export function wormSizes({ axialModule, starts, pitchDiameter, proportions }: Worm): WormSizes {
  const axialPitch = Math.PI * axialModule;
  const lead = starts * axialPitch;
  const leadAngle = Math.atan(lead / (Math.PI * pitchDiameter));
  const outside = pitchDiameter + 2 * proportions.addendum * axialPitch;
  const depth = proportions.depth * axialPitch;
  const { flat, crest } = flatAndCrest(proportions);
  return {
    axialPitch,
    lead,
    leadAngle,
    outside,
    root: outside - 2 * depth,
    depth,
    normalModule: axialModule * Math.cos(leadAngle),
    includedAngle: 2 * proportions.pressureAngle,
    toolFlat: flat * axialPitch,
    crest: crest * axialPitch,
  };
}

/**
 * The pitch diameter a worm must have where its wheel and the centre distance are fixed.
 * @returns mm; 0 or less where the wheel alone takes up the distance
 * Source: a = (d1 + d2)/2
 */
export const wormForCentre = (centre: number, axialModule: number, wheelTeeth: number): number =>
  2 * centre - wheelTeeth * axialModule;

/**
 * The axial module of a worm whose wheel is cut with a stock cutter of a normal module: m = mn/cos γ, where γ
 * follows from m again. sin γ = z1·mn/d1.
 * @returns mm and radians; null where the thread would lie across the worm
 */
export function axialFromNormal(
  normalModule: number,
  starts: number,
  pitchDiameter: number,
): { readonly axialModule: number; readonly leadAngle: number } | null {
  const sine = (starts * normalModule) / pitchDiameter;
  if (sine >= 1) return null;
  const leadAngle = Math.asin(sine);
  return { axialModule: normalModule / Math.cos(leadAngle), leadAngle };
}

/** Coefficient of friction of a greased steel worm in bronze, for guidance only. Common practice. */
export const USUAL_FRICTION = 0.1;

/**
 * Will the wheel turn the worm? Likely not where the lead angle is under the angle of friction, tan γ < μ/cos
 * α. Guidance only: vibration shakes a worm loose that friction would hold.
 * Source: inclined plane; Machinery’s Handbook, worm gearing
 */
export const likelySelfLocking = (
  leadAngle: number,
  pressureAngle: number,
  friction = USUAL_FRICTION,
): boolean => Math.tan(leadAngle) < friction / Math.cos(pressureAngle);
