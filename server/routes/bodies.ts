import { z } from 'zod';
import { jobSchema } from '../../core/job/index.ts';
import { equipmentSchema, equipmentToToday } from '../../core/shop/index.ts';

/**
 * A job in a request may be of an older version; readJob checks it in full. The description shows today's
 * shape.
 */
export const jobBodySchema = z
  .looseObject({ format: z.string(), version: z.number() })
  .meta({ override: z.toJSONSchema(jobSchema, { io: 'input', unrepresentable: 'any' }) });

/** Equipment in a request may be of an older shape too: what it lacks is filled in. */
export const equipmentBodySchema = z
  .preprocess(equipmentToToday, equipmentSchema)
  .meta({ override: z.toJSONSchema(equipmentSchema, { io: 'input', unrepresentable: 'any' }) });
