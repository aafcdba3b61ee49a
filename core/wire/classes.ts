import { z } from 'zod';
import { answersSchema, drawSchema, EXERCISE_IDS } from '../exercises/index.ts';
import { idSchema } from '../kinds/index.ts';
import { HARMS } from '../practice/index.ts';

export const MOST_CLASSES = 200;
export const MOST_LEARNERS = 500;
export const MOST_TRIES = 5000;
const MOST_CUTS = 10_000;
const MOST_HARMS = 100_000;

const kindsSchema = z.array(z.enum(EXERCISE_IDS)).max(EXERCISE_IDS.length);
const time = z.iso.datetime({ offset: true });

/** What a teacher gives to a class. */
export const classBodySchema = z.object({
  name: z.string().trim().min(1).max(80),
  /** None: every kind. */
  kinds: kindsSchema.default([]),
  /** A job of the shop that each rehearses on a head of its own; null: none. */
  jobId: idSchema.nullable().default(null),
});
export type ClassBody = z.input<typeof classBodySchema>;

const given = { name: z.string(), kinds: kindsSchema, jobId: idSchema.nullable() };

/** A class in a list. */
export const classShape = z.strictObject({
  key: z.string(),
  code: z.string(),
  ...given,
  learners: z.int(),
  madeAt: time,
});
export type ClassListed = z.infer<typeof classShape>;

/** What a learner did of one kind. */
const kindTried = z.strictObject({
  kind: z.enum(EXERCISE_IDS),
  tried: z.int(),
  right: z.int(),
  /** Was the last right? */
  last: z.boolean(),
  level: z.int(),
  /** The slip made most often; null where none was known. */
  slip: z.string().nullable(),
});

/** What a learner’s page tells of the class’s job on its practice bench. */
export const benchBodySchema = z.object({
  jobId: idSchema,
  /** Cuts made in the blank at hand, of how many. */
  made: z.int().min(0).max(MOST_CUTS),
  of: z.int().min(1).max(MOST_CUTS),
  /** How often each harm was done to it. */
  harms: z.partialRecord(z.enum(HARMS), z.int().min(1).max(MOST_HARMS)).default({}),
  /** Of what is hidden in it: nothing, not named yet, or found. With the seed that tells one from another. */
  hidden: z.object({ seed: z.int(), found: z.boolean() }).nullable().default(null),
});
export type BenchBody = z.input<typeof benchBodySchema>;

/** A learner at the practice bench, with the class’s job. */
const atBench = z.strictObject({
  made: z.int(),
  of: z.int(),
  /** The most that was made of any blank. */
  best: z.int(),
  harms: z.array(z.strictObject({ what: z.enum(HARMS), times: z.int() })),
  /** Hidden faults that were looked for, and found. */
  sought: z.int(),
  found: z.int(),
  at: time,
});

/** A class as its teacher sees it. */
export const classBoardShape = z.strictObject({
  class: classShape,
  learners: z.array(
    z.strictObject({
      number: z.int(),
      name: z.string(),
      joinedAt: time,
      /** Of the last try; null before the first. */
      lastAt: time.nullable(),
      kinds: z.array(kindTried),
      /** Null before anything of the class’s job was done. */
      bench: atBench.nullable(),
    }),
  ),
  /** What was done at the bench that would scrap a part, by how many learners, in the blanks they have on. */
  harms: z.array(z.strictObject({ what: z.enum(HARMS), learners: z.int() })),
  /** The commonest slips, by how many learners made them. */
  slips: z.array(
    z.strictObject({
      kind: z.enum(EXERCISE_IDS),
      slip: z.string(),
      learners: z.int(),
      times: z.int(),
    }),
  ),
});
export type ClassBoard = z.infer<typeof classBoardShape>;

export const joinBodySchema = z.object({
  code: z.string().trim().min(1).max(12),
  name: z.string().trim().min(1).max(40),
  /** The four figures given at the first time, on another device. */
  figures: z.string().trim().max(8).default(''),
});

/** How a learner stands, told to the learner alone. */
export const learnerShape = z.strictObject({
  token: z.string(),
  name: z.string(),
  figures: z.string(),
  seed: z.int(),
  class: z.strictObject(given),
  tried: z.array(z.strictObject({ draw: drawSchema, right: z.boolean() })),
});
export type LearnerStands = z.infer<typeof learnerShape>;

export const tryBodySchema = z.object({ id: idSchema, draw: drawSchema, answers: answersSchema });
