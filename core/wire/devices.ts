import { z } from 'zod';
import { AXIS_USES, deviceSchema, type Doubt, type Outcome } from '../devices/index.ts';
import { idSchema } from '../kinds/index.ts';

/** A place of a run that divides by motor. */
const placeSchema = z.strictObject({
  of: z.literal('run'),
  runId: idSchema,
  round: z.int().min(1),
  index: z.int().min(1),
  /** The last move of the round, back to its first place. */
  closing: z.boolean().default(false),
});

/** A move of a motor. Its id is made once, for each press. */
export const turnBodySchema = z.strictObject({
  move: idSchema,
  screen: idSchema,
  /** A place of a run; or for trying it out so many degrees of the work from where it stands at 0. */
  to: z.discriminatedUnion('of', [
    placeSchema,
    z.strictObject({ of: z.literal('trial'), degrees: z.number().min(-360).max(360) }),
  ]),
  /** A person has seen to it that spindle and table are free, and the cutter clear. */
  free: z.literal(true),
});
export type TurnBody = z.input<typeof turnBodySchema>;

/** The run whose work it stands for; null for a trial, or a plate that is drilled. */
const ofRun = idSchema.nullable();

export const heldBodySchema = z.strictObject({ move: idSchema, screen: idSchema });
/** Where a person sees that the work stands. */
export const standsBodySchema = z.strictObject({
  screen: idSchema,
  at: z.discriminatedUnion('of', [placeSchema, z.strictObject({ of: z.literal('zero'), runId: ofRun })]),
});
export const zeroBodySchema = z.strictObject({
  use: z.enum(AXIS_USES),
  runId: ofRun,
  /** What it reads where it stands now, mm. */
  reads: z.number().min(-5000).max(5000),
});
export const screenBodySchema = z.strictObject({ screen: idSchema });
export { deviceSchema as deviceBodySchema };

const numberOrNull = z.number().nullable();

/** A device as it stands at this moment. */
export const liveDeviceShape = z.strictObject({
  id: idSchema,
  /** Put aside; being looked for; on its line; on its line and silent. */
  line: z.enum(['off', 'away', 'here', 'silent']),
  /** Why it cannot be reached, as the line says it; empty where it can. */
  why: z.string(),
  /** The last line that came. */
  lastLine: z.string(),
  /** The run that its zeros were taken for: for the next job’s work they say nothing. */
  run: z.string().nullable(),
  motor: z
    .strictObject({
      /** Of its own count, from the round’s 0; null while nobody has said where it stands. */
      count: numberOrNull,
      turning: z.boolean(),
      move: z.string().nullable(),
      /** The screen that turned it last. */
      screen: z.string().nullable(),
      doubt: z.custom<Doubt>().nullable(),
      ended: z.array(z.custom<Outcome>()),
    })
    .nullable(),
  readout: z
    .array(
      z.strictObject({
        use: z.enum(AXIS_USES),
        letter: z.string(),
        /** As it shows, with its sense; null before it said anything. mm */
        shows: numberOrNull,
        /** From the zero that was taken; null without one. mm */
        reads: numberOrNull,
      }),
    )
    .nullable(),
  tool: z
    .strictObject({
      /** Grows with each press of its button. */
      presses: z.int(),
      reads: numberOrNull,
      /** The screen on which a field was touched last. */
      screen: z.string().nullable(),
    })
    .nullable(),
});
export type LiveDevice = z.infer<typeof liveDeviceShape>;

export const turnedShape = z.strictObject({
  answer: z.enum(['sent', 'known']),
  outcome: z.custom<Outcome>().nullable(),
  /** Where it was sent, in steps of the run’s schedule; null for a trial. */
  steps: z.int().nullable(),
});
export const devicesShape = z.strictObject({ devices: z.array(deviceSchema) });
export const portsShape = z.strictObject({ ports: z.array(z.string()) });
