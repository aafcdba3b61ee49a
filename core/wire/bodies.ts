import { z } from 'zod';
import { kindSchema } from '../kinds/index.ts';
import { OUTCOMES, RUN_STANDINGS, type Outcome, type RunStanding } from '../run/index.ts';
import { equipmentSchema, equipmentToToday } from '../shop/index.ts';

/**
 * A job in a request may be of an older version; readJob checks it in full. The description shows today's
 * shape.
 */
export const jobBodySchema = z
  .looseObject({ format: z.string(), version: z.number() })
  .meta({ override: { $ref: '#/components/schemas/Job' } });

/** What jobs are looked for by; left out: any. */
export const jobQuerySchema = z.object({
  archived: z.enum(['true', 'false']).default('false'),
  /** All of them are in it somewhere. */
  words: z.string().max(200).default(''),
  kind: kindSchema.optional(),
  standing: z.enum(Object.keys(RUN_STANDINGS) as [RunStanding, ...RunStanding[]]).optional(),
  /** Its id in the shop. */
  material: z.string().max(64).optional(),
  person: z.string().max(80).optional(),
  tag: z.string().max(40).optional(),
  order: z.enum(['changed', 'made', 'name']).default('changed'),
  limit: z.coerce.number<number>().int().min(1).max(200).default(60),
  /** `next` of the page before. */
  after: z.string().max(600).optional(),
});
export type JobQuery = z.output<typeof jobQuerySchema>;

/** What runs of the logbook are looked for by; left out: any. */
export const logQuerySchema = z.object({
  words: z.string().max(200).default(''),
  outcome: z.enum(Object.keys(OUTCOMES) as [Outcome, ...Outcome[]]).optional(),
  piece: z.enum(['work', 'proof']).optional(),
  limit: z.coerce.number<number>().int().min(1).max(200).default(60),
  /** `next` of the page before. */
  after: z.string().max(600).optional(),
});
export type LogQuery = z.output<typeof logQuerySchema>;

/** Equipment in a request may be of an older shape too: what it lacks is filled in. */
export const equipmentBodySchema = z
  .preprocess(equipmentToToday, equipmentSchema)
  .meta({ override: { $ref: '#/components/schemas/Equipment' } });
