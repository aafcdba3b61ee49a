import { z } from 'zod';
import { idSchema } from '../kinds/index.ts';
import { AXIS_LETTERS, AXIS_USES, BAUDS } from './axes.ts';

/** Hosts that a device in a shop may have: a name of the shop, or an address that no one else has. */
const HOST = /^(?:localhost|[a-z0-9][a-z0-9-]{0,62}(?:\.(?:local|lan|home|internal))?)$/i;
const PRIVATE = /^(?:127|10|192\.168|169\.254|172\.(?:1[6-9]|2\d|3[01]))(?:\.\d{1,3}){1,3}$/;
const isNumbered = (host: string): boolean => /^[\d.]+$/.test(host);
const isIp = (host: string): boolean =>
  /^\d{1,3}(?:\.\d{1,3}){3}$/.test(host) && host.split('.').every((part) => Number(part) < 256);

/** Is it a machine of this shop’s own network? No device is looked for beyond it. */
export const isOfTheShop = (host: string): boolean =>
  isNumbered(host) ? isIp(host) && PRIVATE.test(host) : HOST.test(host);

/** By which line a device is reached. */
export const linkSchema = z.discriminatedUnion('via', [
  z
    .object({
      via: z.literal('tcp'),
      host: z
        .string()
        .trim()
        .max(80)
        .refine(isOfTheShop, 'Give a machine of this network: its name, or an address like 192.168.1.20.'),
      port: z.int().min(1).max(65_535),
    })
    .readonly(),
  z
    .object({
      via: z.literal('serial'),
      path: z
        .string()
        .trim()
        .regex(
          /^(?:COM\d{1,3}|\/dev\/(?:tty|cu\.|serial\/|pts\/)[A-Za-z0-9._/:-]{0,80})$/,
          'Give a serial port: COM3, or /dev/ttyUSB0.',
        )
        .refine((path) => !path.includes('..'), 'Give a serial port: COM3, or /dev/ttyUSB0.'),
      baud: z.literal(BAUDS),
    })
    .readonly(),
]);
export type DeviceLink = z.infer<typeof linkSchema>;

const base = {
  id: idSchema,
  name: z.string().trim().min(1, 'Give it a name.').max(60),
  link: linkSchema,
  /** Is it used at all? One that is put aside is not looked for. */
  on: z.boolean(),
};
const decimalSign = z.enum(['.', ',']);

/** A controller that turns a head or a table by steps. */
export const motorSchema = z
  .object({
    ...base,
    kind: z.literal('motor'),
    letter: z.enum(AXIS_LETTERS),
    /** What it counts for one turn of the work: 360 where it is set up in degrees. */
    perTurn: z.number().min(0.001).max(10_000_000),
    /** It counts up where the work goes against the clock. */
    reversed: z.boolean(),
    /** Of its count in a minute. */
    speed: z.number().min(0.1).max(10_000_000),
    /** Going back it goes so far past, of its count, and comes up again: no less than the worm’s slack. */
    takeUp: z.number().min(0).max(1_000_000),
    /** Pulses of its index in one turn of the work; 0 without one. */
    pulses: z.int().min(0).max(10_000),
    /** Turns only while the button is held, or goes by itself once it is pressed. */
    hold: z.enum(['press', 'arm']),
    /** The readout that says whether the cutter is clear; null: a person says so at each turn. */
    watchedBy: idSchema.nullable(),
  })
  .readonly();
export type MotorDevice = z.infer<typeof motorSchema>;

const axisSchema = z
  .object({
    /** As it stands on the line: `X`. */
    letter: z.string().regex(/^[A-Z]$/, 'One letter, as it stands on the line.'),
    use: z.enum(AXIS_USES),
    /** It counts down the way the table is fed, or the way the cutter goes in. */
    reversed: z.boolean(),
  })
  .readonly();

/** A readout of a mill’s axes. */
export const readoutSchema = z
  .object({
    ...base,
    kind: z.literal('readout'),
    axes: z
      .array(axisSchema)
      .min(1)
      .max(3)
      .refine(
        (axes) => new Set(axes.map(({ letter }) => letter)).size === axes.length,
        'Two axes have one letter.',
      )
      .refine(
        (axes) => new Set(axes.map(({ use }) => use)).size === axes.length,
        'Two axes move the same way.',
      )
      .readonly(),
    /** Of a figure that bears none. */
    unit: z.enum(['mm', 'in']),
    decimal: decimalSign,
  })
  .readonly();
export type ReadoutDevice = z.infer<typeof readoutSchema>;

/** An indicator, caliper or micrometer with a data button. */
export const toolSchema = z
  .object({
    ...base,
    kind: z.literal('tool'),
    unit: z.enum(['mm', 'in']),
    decimal: decimalSign,
    reversed: z.boolean(),
  })
  .readonly();
export type ToolDevice = z.infer<typeof toolSchema>;

export const deviceSchema = z.discriminatedUnion('kind', [motorSchema, readoutSchema, toolSchema]);
export type Device = z.infer<typeof deviceSchema>;

/** More than a shop has. */
export const MOST_DEVICES = 24;
