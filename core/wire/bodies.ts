import { z } from 'zod';
import { equipmentSchema, equipmentToToday } from '../shop/index.ts';

/**
 * A job in a request may be of an older version; readJob checks it in full. The description shows today's
 * shape.
 */
export const jobBodySchema = z
  .looseObject({ format: z.string(), version: z.number() })
  .meta({ override: { $ref: '#/components/schemas/Job' } });

/** Equipment in a request may be of an older shape too: what it lacks is filled in. */
export const equipmentBodySchema = z
  .preprocess(equipmentToToday, equipmentSchema)
  .meta({ override: { $ref: '#/components/schemas/Equipment' } });
