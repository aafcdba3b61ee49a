import { z } from 'zod';
import { arrivalSchema } from '../arrival/index.ts';
import { blankSchema } from '../blank/index.ts';
import { cutSchema } from '../cut/index.ts';
import { cutterChoiceSchema } from '../cutter/index.ts';
import { dividingSchema } from '../dividing/index.ts';
import { driveSchema } from '../drive/index.ts';
import { gearSchema } from '../gear/index.ts';
import { inspectSchema } from '../inspect/index.ts';
import { leadSchema } from '../lead/index.ts';
import { setupSchema } from '../setup/index.ts';
import { equipmentSchema } from '../shop/index.ts';
import { spacingSchema } from '../spacing/index.ts';
import { settledByStationSchema } from '../station/index.ts';
import { unitSystemSchema } from '../units/index.ts';
import { gashSchema, rimSchema } from '../wheel/index.ts';
import { threadingSchema, wormSchema } from '../worm/index.ts';

export const JOB_FORMAT = 'vuelta-job';
export const JOB_VERSION = 8;

/** Ids are made by whoever makes the thing, so that making it twice makes it once. */
export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/);
const partNameSchema = z.string().trim().max(120);

/** A spur or helical gear: its stations' inputs, and the answer each settled station was settled with. */
const spurPartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('spur'),
    name: partNameSchema,
    arrival: arrivalSchema,
    gear: gearSchema,
    blank: blankSchema,
    cutter: cutterChoiceSchema,
    dividing: dividingSchema,
    /** For a helical gear: how it is turned while the table travels. */
    lead: leadSchema,
    setup: setupSchema,
    cut: cutSchema,
    /** What was measured on it. */
    inspect: inspectSchema,
    settled: settledByStationSchema.readonly(),
  })
  .readonly();
export type SpurPart = z.infer<typeof spurPartSchema>;

/** Just divide: holes, slots, flats, marks, a rack; what is asked for stands in its spacing. */
const dividePartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('divide'),
    name: partNameSchema,
    spacing: spacingSchema,
    dividing: dividingSchema,
    setup: setupSchema,
    cut: cutSchema,
    settled: settledByStationSchema.readonly(),
  })
  .readonly();
export type DividePart = z.infer<typeof dividePartSchema>;

/** A worm, threaded on the lathe. */
const wormPartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('worm'),
    name: partNameSchema,
    drive: driveSchema,
    lathe: threadingSchema,
    worm: wormSchema,
    settled: settledByStationSchema.readonly(),
  })
  .readonly();
export type WormPart = z.infer<typeof wormPartSchema>;

/** A worm wheel, gashed on the mill. */
const wheelPartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('wheel'),
    name: partNameSchema,
    drive: driveSchema,
    rim: rimSchema,
    cutter: cutterChoiceSchema,
    dividing: dividingSchema,
    gash: gashSchema,
    setup: setupSchema,
    cut: cutSchema,
    settled: settledByStationSchema.readonly(),
  })
  .readonly();
export type WheelPart = z.infer<typeof wheelPartSchema>;

export const partSchema = z.discriminatedUnion('kind', [
  spurPartSchema,
  dividePartSchema,
  wormPartSchema,
  wheelPartSchema,
]);
export type Part = z.infer<typeof partSchema>;
/** A part with spaces to cut on the mill. */
export type IndexedPart = Exclude<Part, WormPart>;
/** A part with a form cutter. */
export type CutterPart = SpurPart | WheelPart;
/** Either half of a worm drive. */
export type DrivePart = WormPart | WheelPart;

/** How parts of a job hang together: a pair, a worm drive, a ring that indexes another part. */
const relationSchema = z
  .object({
    id: idSchema,
    kind: z.enum(['pair', 'worm-drive', 'ring-for']),
    parts: z.array(idSchema).min(2).max(8).readonly(),
  })
  .readonly();

/** One job is one document. */
export const jobSchema = z
  .object({
    format: z.literal(JOB_FORMAT),
    version: z.literal(JOB_VERSION),
    id: idSchema,
    name: z.string().trim().min(1).max(120),
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
