import { z } from 'zod';

/** Units a measure may rest in. A unit typed inside the text wins over the one beside it. */
export const unitSchema = z.enum(['mm', 'in', 'module', 'dp', 'deg', 'count']);
export type Unit = z.infer<typeof unitSchema>;

/**
 * A measure as the person typed it, with the unit that a bare number was meant in. Never converted at rest.
 */
export const measureSchema = z
  .object({
    typed: z.string().max(60),
    unit: unitSchema,
    /** The tool that wrote it, by its own button; left out where a hand did. */
    by: z.string().max(80).optional(),
  })
  .readonly();
export type Measure = z.infer<typeof measureSchema>;

/** Which of the two unit families a job shows large. */
export const unitSystemSchema = z.enum(['mm', 'in']);
export type UnitSystem = z.infer<typeof unitSystemSchema>;

export const measure = (typed: string, unit: Unit): Measure => ({ typed, unit });
