import { z } from 'zod';

/** Limits on what a plate can be. The finest circles drilled by hand or bought run to a few hundred holes. */
export const LEAST_HOLES = 2;
export const MOST_HOLES = 2000;

const idSchema = z.string().min(1).max(40);
const nameSchema = z.string().trim().min(1).max(80);

const plateSideSchema = z
  .object({ circles: z.array(z.int().min(LEAST_HOLES).max(MOST_HOLES)).min(1).max(60).readonly() })
  .readonly();

/** An index plate. A two-sided plate has two sides and has to be turned over to use the other one. */
export const plateSchema = z
  .object({ id: idSchema, name: nameSchema, sides: z.array(plateSideSchema).min(1).max(2).readonly() })
  .readonly();
export type Plate = z.infer<typeof plateSchema>;

/** Exact ratio as text `"n"` or `"n/d"`: turns of the crank for one turn of the spindle. */
const ratioSchema = z.string().regex(/^[1-9]\d{0,5}(\/[1-9]\d{0,5})?$/);

/** A set of change gears: how many of each tooth count. */
export const gearSetSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    gears: z
      .array(z.object({ teeth: z.int().min(2).max(1000), count: z.int().min(1).max(99) }).readonly())
      .max(200)
      .readonly(),
  })
  .readonly();
export type GearSet = z.infer<typeof gearSetSchema>;

export const headSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    ratio: ratioSchema,
    plates: z.array(plateSchema).max(40).readonly(),
    /** What stands on the head now; null when bare. */
    mounted: z
      .object({ plateId: idSchema, side: z.union([z.literal(0), z.literal(1)]) })
      .readonly()
      .nullable(),
    /** Can the plate be set free, its lock pin drawn? A differential train has to turn it. */
    plateLock: z.boolean(),
    /** The change gears that go between spindle and plate shaft; null when the head cannot be geared. */
    differential: z.object({ gearSetId: idSchema }).readonly().nullable(),
  })
  .superRefine((head, context) => {
    const names = head.plates.map((plate) => plate.name);
    const ids = head.plates.map((plate) => plate.id);
    const twice =
      names.find((name, i) => names.indexOf(name) !== i) ?? ids.find((id, i) => ids.indexOf(id) !== i);
    if (twice !== undefined) {
      context.addIssue({
        code: 'custom',
        path: ['plates'],
        message: `Two plates are called ${twice}. Give each its own letter.`,
      });
    }
  })
  .readonly();
export type Head = z.infer<typeof headSchema>;

/** The shop's equipment that a plan may draw on. */
export const equipmentSchema = z
  .object({
    heads: z.array(headSchema).max(40).readonly(),
    gearSets: z.array(gearSetSchema).max(40).readonly(),
  })
  .superRefine((equipment, context) => {
    for (const [i, head] of equipment.heads.entries()) {
      const wanted = head.differential?.gearSetId;
      if (wanted === undefined || equipment.gearSets.some(({ id }) => id === wanted)) continue;
      context.addIssue({
        code: 'custom',
        path: ['heads', i, 'differential'],
        message: `${head.name} is geared with a set of change gears that is not listed.`,
      });
    }
  })
  .readonly();
export type Equipment = z.infer<typeof equipmentSchema>;
