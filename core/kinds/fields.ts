import { z } from 'zod';
import { settledByStationSchema } from '../station/index.ts';

/** Ids are made by whoever makes the thing, so that making it twice makes it once. */
export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/);
export const partNameSchema = z.string().trim().max(120);
/** The answer that each settled station was settled with. */
export const settledSchema = settledByStationSchema.readonly();
