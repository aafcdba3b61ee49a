import { z } from 'zod';
import { emptySample, sampleSchema } from '../sample/index.ts';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** The gear a sample was taken for: enough to say so, and to fill the gear’s fields. */
const takenSampleSchema = z
  .object({
    pitch: measureSchema,
    teeth: z.int().min(1).max(2000),
    /** Null: the readings did not tell it, and the usual one was put in. */
    angleDeg: z.number().min(1).max(45).nullable(),
    stub: z.boolean(),
    helixDeg: z.number().min(0).max(89),
  })
  .readonly();
export type TakenSample = z.infer<typeof takenSampleSchema>;

/** A piece of metal that lies there. */
const stockSchema = z
  .object({
    diameter: measureSchema,
    /** What has to come off the outside, in all, before it is true and clean. */
    cleanUp: measureSchema,
  })
  .readonly();
export type StockInput = z.infer<typeof stockSchema>;

/** Two shafts that are where they are. */
const shaftsSchema = z
  .object({
    centre: measureSchema,
    /** ± of that distance. */
    give: measureSchema,
    /** Ratio wanted, as `3`, `3:1` or `63/42`; empty for any. */
    ratio: measureSchema,
    /** How far the ratio may be off, per cent. */
    ratioGive: measureSchema,
    pitches: z.enum(['any', 'module', 'dp', 'this']),
    pitch: measureSchema,
    leastTeeth: measureSchema,
    backlash: measureSchema,
  })
  .readonly();
export type ShaftsInput = z.infer<typeof shaftsSchema>;

/** The pair that was taken for two shafts. */
const takenPairSchema = z
  .object({ pitch: measureSchema, teeth: z.tuple([z.int(), z.int()]).readonly() })
  .readonly();
export type TakenPair = z.infer<typeof takenPairSchema>;

/** How a job arrived, with the raw measurements and what they were taken for. */
export const arrivalSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('drawing') }).readonly(),
  z.object({ by: z.literal('sample'), sample: sampleSchema, taken: takenSampleSchema.nullable() }).readonly(),
  z.object({ by: z.literal('blank'), stock: stockSchema, taken: z.int().nullable() }).readonly(),
  z.object({ by: z.literal('shafts'), shafts: shaftsSchema, taken: takenPairSchema.nullable() }).readonly(),
]);
export type Arrival = z.infer<typeof arrivalSchema>;
export type ArrivalBy = Arrival['by'];

/** An arrival with nothing measured yet. */
export function emptyArrival(by: ArrivalBy, units: UnitSystem): Arrival {
  const length = measure('', units);
  switch (by) {
    case 'drawing':
      return { by };
    case 'sample':
      return { by, sample: emptySample(units), taken: null };
    case 'blank':
      return {
        by,
        stock: { diameter: length, cleanUp: measure(units === 'mm' ? '0.5' : '.020', units) },
        taken: null,
      };
    case 'shafts':
      return {
        by,
        shafts: {
          centre: length,
          give: measure(units === 'mm' ? '0.05' : '.002', units),
          ratio: measure('', 'count'),
          ratioGive: measure('2', 'count'),
          pitches: 'any',
          pitch: measure('', units === 'mm' ? 'module' : 'dp'),
          leastTeeth: measure('14', 'count'),
          backlash: length,
        },
        taken: null,
      };
  }
}
