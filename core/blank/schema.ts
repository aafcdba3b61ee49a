import { z } from 'zod';
import { measureSchema } from '../units/index.ts';

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
