import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** What the drawing says of the blank, as typed. */
export const blankSchema = z
  .object({
    faceWidth: measureSchema,
    bore: measureSchema,
    /** The outside as it was turned; empty until it is measured. */
    measured: measureSchema,
  })
  .readonly();
export type BlankInput = z.infer<typeof blankSchema>;

/** Neither drawn nor turned yet. */
export const emptyBlank = (units: UnitSystem): BlankInput => ({
  faceWidth: measure('', units),
  bore: measure('', units),
  measured: measure('', units),
});
