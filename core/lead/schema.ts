import { z } from 'zod';
import { longTrainSchema } from '../gearing/index.ts';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** What the lead station was given. */
export const leadSchema = z
  .object({
    /** The gears it may take; null: those listed with the head. */
    gearSetId: z.string().max(40).nullable(),
    /** From the table screw to the worm shaft, or for short leads past the worm to the spindle itself. */
    drive: z.enum(['worm', 'spindle']),
    /** The train a person chose, by its gears; null: the best that goes on the bracket. */
    choice: longTrainSchema.nullable(),
    /** May the longer search put six gears together, on two studs? */
    sixGears: z.boolean(),
    /** How far a tooth may stray over the face; empty: 0.02 mm. */
    allowed: measureSchema,
    /** How the cutter is laid along the tooth. */
    setUp: z.enum(['table', 'head']),
    /** With a tilted head: on which side of the work the cutter stands, seen by the one who runs the mill. */
    side: z.enum(['near', 'far']),
    /** How far the angle, the centre distance and the outside may move, to find a lead the gears cut. */
    give: z.object({ angle: measureSchema, centre: measureSchema, diameter: measureSchema }).readonly(),
  })
  .readonly();
export type LeadInput = z.infer<typeof leadSchema>;

/** Nothing chosen yet: the head's own gears, the table swung, the angle free to move by a degree. */
export const emptyLead = (units: UnitSystem): LeadInput => ({
  gearSetId: null,
  drive: 'worm',
  choice: null,
  sixGears: false,
  allowed: measure('', units),
  setUp: 'table',
  side: 'near',
  give: { angle: measure('1', 'deg'), centre: measure('', units), diameter: measure('', units) },
});
