import { z } from 'zod';
import { trainSchema } from '../gearing/index.ts';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** What the worm station was given. */
export const wormSchema = z
  .object({
    /** Length of the thread; empty: the usual one. */
    length: measureSchema,
    /** Is the tool set level along the axis, or turned to the lead angle? */
    tool: z.enum(['axis', 'thread']),
    /** Times life size the tool’s template is drawn. */
    scale: measureSchema,
  })
  .readonly();
export type WormInput = z.infer<typeof wormSchema>;

/** What the lathe station was given. */
export const threadingSchema = z
  .object({
    latheId: z.string().max(40).nullable(),
    /** The setting and gears a person chose, without gears as the box stands; null: the nearest. */
    choice: z
      .object({ setting: z.string().max(40), train: trainSchema.nullable() })
      .readonly()
      .nullable(),
    /** How far the thread may go astray over the length engaged; empty: 0.02 mm. */
    allowed: measureSchema,
    /** How the next start is reached. */
    startsBy: z.enum(['gear', 'slide', 'driver']),
  })
  .readonly();
export type ThreadingInput = z.infer<typeof threadingSchema>;

export const emptyWorm = (units: UnitSystem): WormInput => ({
  length: measure('', units),
  tool: 'axis',
  scale: measure('20', 'count'),
});

export const emptyThreading = (units: UnitSystem): ThreadingInput => ({
  latheId: null,
  choice: null,
  allowed: measure('', units),
  startsBy: 'gear',
});
