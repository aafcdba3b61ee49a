import { z } from 'zod';
import { measure, measureSchema } from '../units/index.ts';

/** The cutter of a part, as chosen, and how a tool made for it would be drawn. */
export const cutterChoiceSchema = z
  .object({
    /** One of the shop’s cutters; null: the number is told, none is picked. */
    cutterId: z.string().max(40).nullable(),
    /** Which rule gives the count a helical gear is cut as. */
    countBy: z.enum(['disk', 'book']),
    /** How the flank goes on below the base circle, on a tool ground for this count. */
    continuation: z.enum(['radial', 'trochoid']),
    /** Times life size the template is drawn. */
    scale: measureSchema,
  })
  .readonly();
export type CutterChoice = z.infer<typeof cutterChoiceSchema>;

export const emptyCutterChoice = (): CutterChoice => ({
  cutterId: null,
  countBy: 'disk',
  continuation: 'trochoid',
  scale: measure('20', 'count'),
});
