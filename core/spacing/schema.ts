import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** What is to be divided where there is no gear: as asked for, as typed. */
export const spacingSchema = z
  .object({
    /** A count round the work, an angle, the pitch of a rack, or a plain length. */
    by: z.enum(['count', 'angle', 'pitch', 'length']),
    /** What stands at each space, as it is called: holes, slots, marks. */
    what: z.enum(['spaces', 'holes', 'slots', 'flats', 'splines', 'marks', 'teeth']),
    count: measureSchema,
    angle: measureSchema,
    pitch: measureSchema,
    length: measureSchema,
    /** Diameter on which the spaces stand; may be left empty. */
    diameter: measureSchema,
    /** Across flats, where flats are cut; may be left empty. */
    acrossFlats: measureSchema,
    /** Depth below the outside; may be left empty. */
    depth: measureSchema,
  })
  .readonly();
export type SpacingInput = z.infer<typeof spacingSchema>;

/** Holes round the work, and nothing more said of them. */
export const emptySpacing = (units: UnitSystem): SpacingInput => ({
  by: 'count',
  what: 'holes',
  count: measure('', 'count'),
  angle: measure('', 'deg'),
  pitch: measure('', units === 'mm' ? 'module' : 'dp'),
  length: measure('', units),
  diameter: measure('', units),
  acrossFlats: measure('', units),
  depth: measure('', units),
});
