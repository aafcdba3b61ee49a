import { z } from 'zod';
import { idSchema } from '../kinds/index.ts';
import { MOST_PICTURE } from './limits.ts';

/**
 * What a picture is of: a job or one station of it, a run or one of its cuts, a thing of the shop. Names of
 * places, as `job/lens/p1/gear`, `run/r1/1-40`, `shop/head-1`.
 */
export const aboutSchema = z
  .string()
  .max(300)
  .regex(/^(job|run|shop)(\/[A-Za-z0-9_-]{1,80}){1,3}$/, 'job/…, run/… or shop/…');

const side = z.int().min(1).max(10_000);

/** A picture as it is listed, without itself. */
export const pictureShape = z.strictObject({
  id: idSchema,
  about: aboutSchema,
  /** In the owner's words; may be empty. */
  words: z.string().max(200),
  width: side,
  height: side,
  /** ISO 8601 */
  at: z.iso.datetime({ offset: true }),
});
export type Picture = z.infer<typeof pictureShape>;

/** A picture as it is sent: JPEG or PNG in base64, upright, no larger than it is looked at. */
export const pictureBodySchema = pictureShape
  .pick({ about: true, words: true, width: true, height: true })
  .extend({
    data: z.string().min(1).max(MOST_PICTURE),
  });
export type PictureBody = z.infer<typeof pictureBodySchema>;
