import { z } from 'zod';
import { measureSchema } from '../units/index.ts';

/** What the drawing says of the blank, as typed. */
export const blankSchema = z.object({ faceWidth: measureSchema, bore: measureSchema }).readonly();
export type BlankInput = z.infer<typeof blankSchema>;
