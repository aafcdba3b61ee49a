import { z } from 'zod';

/** The crank's move that every way behind the worm shares: whole turns, then spaces on a circle of a plate. */
const crankMove = {
  plateId: z.string().max(40),
  plateName: z.string().max(80),
  side: z.union([z.literal(0), z.literal(1)]),
  circle: z.int().min(1).max(2000),
  turns: z.int().min(0).max(1_000_000),
  spaces: z.int().min(0).max(2000),
  /** The count it was chosen for. */
  divisions: z.int().min(1).max(100_000),
};
const gear = z.int().min(2).max(1000);

const simpleChoiceSchema = z.object({ method: z.literal('simple'), ...crankMove }).readonly();

const differentialChoiceSchema = z
  .object({
    method: z.literal('differential'),
    ...crankMove,
    /** The near count that the crank is moved for. */
    near: z.int().min(1).max(100_000),
    /** Gears from the spindle to the plate shaft. */
    train: z
      .object({
        driver: gear,
        driven: gear,
        second: z.object({ driver: gear, driven: gear }).readonly().nullable(),
      })
      .readonly(),
    idlers: z.int().min(0).max(3),
  })
  .readonly();

/** A way of dividing that the person chose, by its content, so that a better-ranked one never slips in its place. */
export const dividingChoiceSchema = z.discriminatedUnion('method', [
  simpleChoiceSchema,
  differentialChoiceSchema,
]);
export type DividingChoice = z.infer<typeof dividingChoiceSchema>;
export type SimpleChoice = z.infer<typeof simpleChoiceSchema>;
export type DifferentialChoice = z.infer<typeof differentialChoiceSchema>;

export const dividingSchema = z
  .object({ headId: z.string().max(40).nullable(), choice: dividingChoiceSchema.nullable() })
  .readonly();
export type DividingInput = z.infer<typeof dividingSchema>;
