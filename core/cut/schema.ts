import { z } from 'zod';
import { measureSchema } from '../units/index.ts';

/** How the teeth are to be cut, as chosen. */
export const cutSchema = z
  .object({
    /** A scratch all the way round first: the last mark must fall on the first. */
    scratch: z.boolean(),
    passes: z.enum(['one', 'rough-finish']),
    /** Depth left for the finish round; used with rough-finish. */
    finishStock: measureSchema,
    /** Space the next run starts at. */
    startSpace: measureSchema,
  })
  .readonly();
export type CutInput = z.infer<typeof cutSchema>;
