import { undercutBelow } from '../involute/index.ts';
import type { WormProportions } from './proportions.ts';

/**
 * Teeth in contact in the middle plane, where worm and wheel run as a rack and its gear.
 * @param teeth of the wheel @param axialModule mm @param proportions of the worm’s thread
 * @returns pairs of teeth, ≥ 0; the wheel’s part of the line of contact ends where its base circle does
 * Source: contact ratio of a rack and a gear, by geometry; ISO 21771 gives the gear’s half
 */
export function contactRatio(
  teeth: number,
  axialModule: number,
  { pressureAngle, addendum }: WormProportions,
): number {
  const ha = addendum * Math.PI * axialModule;
  const pitchRadius = (teeth * axialModule) / 2;
  const base = pitchRadius * Math.cos(pressureAngle);
  const reach = pitchRadius * Math.sin(pressureAngle);
  const recess = Math.sqrt((pitchRadius + ha) ** 2 - base ** 2) - reach;
  const approach = Math.min(ha / Math.sin(pressureAngle), reach);
  return (recess + approach) / (Math.PI * axialModule * Math.cos(pressureAngle));
}

/** The least count a wheel has without undercut by a hob, which cuts as a rack. */
export const wheelUndercutBelow = ({ pressureAngle, addendum }: WormProportions): number =>
  undercutBelow(addendum * Math.PI, pressureAngle);

/**
 * How much of the worm the wheel can reach over at most: the chord of its throat circle at the worm’s
 * outside.
 * @returns mm
 * Source: by geometry
 */
export const engagedLength = (wheelPitchDiameter: number, addendum: number): number =>
  4 * Math.sqrt((wheelPitchDiameter / 2) * addendum);

/**
 * Pitch diameters a worm usually has at a centre distance: a^0.875/3 to a^0.875/1.6, inches. Guidance.
 * @param centre mm @returns mm, least and most
 * Source: AGMA, worm gearing (from memory)
 */
export function usualWorms(centre: number): readonly [number, number] {
  const power = (centre / 25.4) ** 0.875 * 25.4;
  return [power / 3, power / 1.6];
}

/** Over which lead angle a form cutter no longer gashes a fair tooth, degrees. Common practice. */
export const FAIR_GASH_DEG = 15;
/** Over which no table or head lays a disk cutter along the gash, degrees. */
export const MOST_GASH_DEG = 45;
