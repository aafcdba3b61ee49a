import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

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

/** Once round, in one pass, from space 1. */
export const emptyCut = (units: UnitSystem): CutInput => ({
  scratch: false,
  passes: 'one',
  finishStock: measure(units === 'mm' ? '0.5' : '.020', units),
  startSpace: measure('1', 'count'),
});
