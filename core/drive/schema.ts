import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** What can be read off a worm and its wheel on the bench; each may be left empty. */
const driveSampleSchema = z
  .object({
    outside: measureSchema,
    /** Crests counted, and the length over them from the first to the last. */
    threads: measureSchema,
    over: measureSchema,
    starts: measureSchema,
    teeth: measureSchema,
    throat: measureSchema,
    centre: measureSchema,
  })
  .readonly();
export type DriveSample = z.infer<typeof driveSampleSchema>;

/** What a worm and its wheel have in common, as typed. Both cards carry it, and are changed together. */
export const driveSchema = z
  .object({
    /** Is the pitch given as module or diametral pitch, or as the axial (circular) pitch itself? */
    pitchBy: z.enum(['pitch', 'axial']),
    pitch: measureSchema,
    /** The plane of `pitch`: along the axis, or along the normal, as a stock cutter has it. */
    plane: z.enum(['axial', 'normal']),
    /** A length from thread to thread, or threads to the inch. */
    axialPitch: measureSchema,
    starts: measureSchema,
    teeth: measureSchema,
    /** Which comes first: the worm’s pitch diameter, or the centre distance. */
    sizeBy: z.enum(['worm', 'centre']),
    wormDiameter: measureSchema,
    centre: measureSchema,
    hand: z.enum(['right', 'left']),
    thread: z
      .object({
        school: z.enum(['29', '40', 'typed']),
        /** Of the tool, both flanks; with `typed`. */
        angle: measureSchema,
        addendum: measureSchema,
        depth: measureSchema,
      })
      .readonly(),
    /** Coefficient of friction; empty: 0.1. */
    friction: measureSchema,
    sample: driveSampleSchema,
  })
  .readonly();
export type DriveInput = z.infer<typeof driveSchema>;

/** Nothing known yet. Metric drives go by 40° and module, inch ones by 29°. Common practice. */
export function emptyDrive(units: UnitSystem): DriveInput {
  const length = measure('', units);
  const count = measure('', 'count');
  return {
    pitchBy: 'pitch',
    pitch: measure('', units === 'mm' ? 'module' : 'dp'),
    plane: 'axial',
    axialPitch: length,
    starts: measure('1', 'count'),
    teeth: count,
    sizeBy: 'worm',
    wormDiameter: length,
    centre: length,
    hand: 'right',
    thread: {
      school: units === 'mm' ? '40' : '29',
      angle: measure('30', 'deg'),
      addendum: length,
      depth: length,
    },
    friction: measure('', 'count'),
    sample: {
      outside: length,
      threads: count,
      over: length,
      starts: count,
      teeth: count,
      throat: length,
      centre: length,
    },
  };
}
