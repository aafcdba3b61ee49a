import { z } from 'zod';
import { longTrainSchema } from '../gearing/index.ts';

/** Turns, exact: `11/31`, `-1/2`. Against the clock < 0. */
const turns = z.string().regex(/^-?\d{1,7}(\/[1-9]\d{0,6})?$/);
const mm = z.number().min(-20_000).max(20_000);

/** One thing that a hand does at the practice bench. */
export const actionSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('pin'), to: z.enum(['in', 'out']) }).readonly(),
  /** The crank over the plate. */
  z.object({ do: z.literal('crank'), turns }).readonly(),
  /** The arm that follows is brought against the pin. */
  z.object({ do: z.literal('arms-round') }).readonly(),
  z.object({ do: z.literal('arms-set'), spaces: z.int().min(1).max(2000) }).readonly(),
  /** The crank’s radius is set to a circle. */
  z.object({ do: z.literal('circle'), circle: z.int().min(2).max(2000) }).readonly(),
  /** Gears from the first shaft to the last; null: taken off. */
  z
    .object({
      do: z.literal('gears'),
      on: z
        .object({ train: longTrainSchema, idlers: z.int().min(0).max(3) })
        .readonly()
        .nullable(),
    })
    .readonly(),
  /** Another plate, or its other side. */
  z
    .object({
      do: z.literal('plate'),
      plateId: z.string().max(80),
      side: z.union([z.literal(0), z.literal(1)]),
    })
    .readonly(),
  z.object({ do: z.literal('lock'), on: z.boolean() }).readonly(),
  z.object({ do: z.literal('worm'), to: z.enum(['in', 'out']) }).readonly(),
  z.object({ do: z.literal('plate-lock'), to: z.enum(['in', 'out']) }).readonly(),
  z.object({ do: z.literal('direct-pin'), to: z.enum(['in', 'out']) }).readonly(),
  /** The spindle by hand, with the worm out. */
  z.object({ do: z.literal('spindle'), turns }).readonly(),
  /** The motor is sent to a count, reckoned from its 0. */
  z.object({ do: z.literal('steps'), to: z.int().min(-1e9).max(1e9) }).readonly(),
  /** The table that divides, until its dial stands so much on from where it was made ready. */
  z.object({ do: z.literal('along'), to: mm }).readonly(),
  /**
   * What carries the work past the cutter, until the cutter’s middle stands there: mm from where it enters
   * the face, the way it cuts.
   */
  z.object({ do: z.literal('table'), to: mm }).readonly(),
  /** What goes in: the knee, or the cross slide. mm below the outside; < 0: clear of it. */
  z.object({ do: z.literal('depth'), to: mm }).readonly(),
  /** Beside the middle, mm. */
  z.object({ do: z.literal('beside'), to: mm }).readonly(),
  z.object({ do: z.literal('run'), on: z.boolean() }).readonly(),
  z.object({ do: z.literal('key'), on: z.boolean() }).readonly(),
  /** The hole the pin is in is marked as 0. */
  z.object({ do: z.literal('mark') }).readonly(),
]);
export type Action = z.infer<typeof actionSchema>;
export type ActionOf<Do extends Action['do']> = Extract<Action, { do: Do }>;
