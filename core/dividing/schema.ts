import { z } from 'zod';

/** A way of dividing that the person chose, by its content, so that a better-ranked one never slips in its place. */
export const simpleChoiceSchema = z
  .object({
    method: z.literal('simple'),
    plateId: z.string().max(40),
    plateName: z.string().max(80),
    side: z.union([z.literal(0), z.literal(1)]),
    circle: z.int().min(1).max(2000),
    turns: z.int().min(0).max(1_000_000),
    spaces: z.int().min(0).max(2000),
    /** The count it was chosen for. */
    divisions: z.int().min(1).max(100_000),
  })
  .readonly();

export const dividingChoiceSchema = z.discriminatedUnion('method', [simpleChoiceSchema]);
export type DividingChoice = z.infer<typeof dividingChoiceSchema>;

export const dividingSchema = z
  .object({ headId: z.string().max(40).nullable(), choice: dividingChoiceSchema.nullable() })
  .readonly();
export type DividingInput = z.infer<typeof dividingSchema>;
