import { z } from 'zod';
import { measureSchema } from '../units/index.ts';

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
