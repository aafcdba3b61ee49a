import type { Exact, Pitch } from '../units/index.ts';
import type { WormProportions } from './proportions.ts';
import type { SampleAnswer } from './sample.ts';
import type { DriveInput } from './schema.ts';
import type { WormSizes } from './wormSizes.ts';

/** Worm and wheel as far as they are common to both, as plain data. Lengths mm, angles radians. */
export interface DriveShape {
  /** Along the axis. */
  readonly axialModule: number;
  readonly starts: number;
  readonly teeth: number;
  readonly hand: DriveInput['hand'];
  readonly proportions: WormProportions;
  readonly wormDiameter: number;
  readonly worm: WormSizes;
  readonly wheelDiameter: number;
  readonly centre: number;
  /** The worm’s, and so the wheel’s. */
  readonly addendum: number;
}

/** What stations further down build on. */
export interface DriveFacts extends DriveShape {
  /** As given, and the plane it is meant in. */
  readonly pitch: Pitch;
  readonly plane: DriveInput['plane'];
  /** Of the tool, degrees, exact. */
  readonly includedDeg: Exact;
}

/** The plain part of it, to be shown or sent. */
export function shapeOf(facts: DriveFacts): DriveShape {
  const { pitch: _pitch, plane: _plane, includedDeg: _includedDeg, ...shape } = facts;
  return shape;
}

/** How the two run together. */
export interface PairReport {
  /** Turns of the worm for one of the wheel, as text: `20`, `13 1/3`. */
  readonly ratio: string;
  readonly leadAngleDeg: number;
  readonly frictionDeg: number;
  readonly selfLocking: boolean;
  readonly contactRatio: number;
  readonly undercutBelow: number;
  /** Of the worm that the wheel reaches over, mm. */
  readonly engaged: number;
  /** Pitch diameters a worm usually has at this distance, mm. */
  readonly usualWorms: readonly [number, number];
}

export interface DriveDetail {
  readonly shape: DriveShape | null;
  readonly pair: PairReport | null;
  readonly sample: SampleAnswer;
}
