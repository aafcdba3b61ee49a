import { z } from 'zod';
import { idSchema, partSchema } from '../kinds/index.ts';
import { equipmentSchema } from '../shop/index.ts';
import { unitSystemSchema } from '../units/index.ts';

export const JOB_FORMAT = 'vuelta-job';
export const JOB_VERSION = 9;

/** How parts of a job hang together: a pair, a worm drive, a ring that indexes another part. */
const relationSchema = z
  .object({
    id: idSchema,
    kind: z.enum(['pair', 'worm-drive', 'ring-for']),
    parts: z.array(idSchema).min(2).max(8).readonly(),
  })
  .readonly();

/** The most tags one job may have. */
export const MOST_TAGS = 20;
/** A word or two on one line, to find jobs by. */
export const tagSchema = z
  .string()
  .trim()
  .min(1)
  .max(40)
  .regex(/^[^\p{C}]*$/u, 'one line');
export const tagsSchema = z
  .array(tagSchema)
  .max(MOST_TAGS, `at most ${MOST_TAGS} tags`)
  .refine((tags) => new Set(tags).size === tags.length, 'each tag once')
  .readonly();
export const personSchema = z
  .string()
  .trim()
  .max(80)
  .regex(/^[^\p{C}]*$/u, 'one line');

/** One job is one document. */
export const jobSchema = z
  .object({
    format: z.literal(JOB_FORMAT),
    version: z.literal(JOB_VERSION),
    id: idSchema,
    name: z.string().trim().min(1).max(120),
    /** Who it is for, or whose it is; may be empty. */
    person: personSchema,
    /** Words to find it by. */
    tags: tagsSchema,
    /** The units shown large. */
    units: unitSystemSchema,
    parts: z.array(partSchema).min(1).max(20).readonly(),
    relations: z.array(relationSchema).max(60).readonly(),
    /** The equipment it was planned with, copied, so that nothing in use is lost when the shop changes. */
    equipment: equipmentSchema,
  })
  .superRefine((job, context) => {
    const ids = job.parts.map((part) => part.id);
    if (new Set(ids).size !== ids.length) {
      context.addIssue({ code: 'custom', path: ['parts'], message: 'Two parts have the same id.' });
    }
    for (const [i, relation] of job.relations.entries()) {
      if (!relation.parts.every((id) => ids.includes(id))) {
        context.addIssue({
          code: 'custom',
          path: ['relations', i],
          message: 'A relation names a part that is not in the job.',
        });
      }
    }
  })
  .readonly();
export type Job = z.infer<typeof jobSchema>;
