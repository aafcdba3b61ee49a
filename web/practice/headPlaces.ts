import { onPlate } from '../scribe/index.ts';

/** Radii of the head’s drawing: plate or wheel, and the middle of the knob. */
export const RIM = 206;
export const KNOB = 236;

/** A place on the head. @param turns clockwise from the top */
export const at = (radius: number, turns: number): readonly [number, number] =>
  onPlate(radius, 2 * Math.PI * turns);
