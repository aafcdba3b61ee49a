import { z } from 'zod';
import { measureSchema } from '../units/index.ts';
import { idSchema, nameSchema } from './named.ts';

/**
 * A screw of a machine with its dial, across the table or up and down. What is not known of it is left empty.
 */
const screwSchema = z
  .object({
    /** Travel for one turn. */
    lead: measureSchema,
    /** Marks on its dial. */
    marks: z.int().min(1).max(5000),
    travel: measureSchema,
  })
  .readonly();
export type Screw = z.infer<typeof screwSchema>;

/**
 * A milling machine: its three screws, how its table swings, its speeds and feeds, and what room there is.
 */
export const millSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    /** Travel of the table for one turn of its screw. */
    lead: measureSchema,
    /** Marks on the dial of that screw. */
    marks: z.int().min(1).max(5000),
    /** Longest travel of the table; may be left empty. */
    travel: measureSchema,
    /** How far the table swings either way; empty: not known; 0: it does not swing. */
    swing: measureSchema,
    /** Minutes of arc that its scale can be set to. */
    scaleMinutes: z.int().min(1).max(60),
    /**
     * Length and width of the table, and from its middle line to the column where it stands in use; may be
     * left empty.
     */
    tableLength: measureSchema,
    tableWidth: measureSchema,
    toColumn: measureSchema,
    /** Does its head tilt sideways, so that a cutter on a stub arbor can be laid along a helix? */
    headTilts: z.boolean(),
    /** The spindle it stands with: an arbor across the table, or upright with a stub arbor. */
    axis: z.enum(['horizontal', 'vertical']),
    /** Towards the column and away. */
    cross: screwSchema,
    /** Knee or quill: up and down. */
    knee: screwSchema,
    /**
     * From the table at its lowest to the middle of an arbor across it, or to the end of an upright spindle.
     */
    room: measureSchema,
    /** Diameter of the collars that hold a cutter on its arbor. */
    collar: measureSchema,
    /**
     * Turns of the spindle a minute, as they stand on its plate: `45 63 90`. Empty: not known, or without
     * steps.
     */
    speeds: z.string().max(400),
    /** Table feeds a minute. Empty: fed by hand, or not known. */
    feeds: z.object({ by: z.enum(['mm', 'in']), settings: z.string().max(400) }).readonly(),
    /** Read on a readout, not on the dials. */
    readout: z.boolean(),
  })
  .readonly();
export type Mill = z.infer<typeof millSchema>;

/**
 * A lathe, as far as odd threads need it: its leadscrew, what its gearbox does, the change gears that go on
 * it.
 */
export const latheSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    /** Travel of the carriage for one turn of the leadscrew. */
    leadscrew: measureSchema,
    /**
     * The settings of its gearbox with the gears one to one, as they stand on its plate: pitches in mm,
     * threads to the inch, or turns of the leadscrew for one of the spindle. Empty: no box.
     */
    box: z.object({ by: z.enum(['mm', 'tpi', 'turns']), settings: z.string().max(600) }).readonly(),
    gearSetId: idSchema.nullable(),
    /** Has the bracket a stud for two gears side by side? */
    stud: z.boolean(),
    /**
     * Of the top slide, to step from start to start: travel a turn (may be left empty) and marks on its dial.
     */
    slideLead: measureSchema,
    slideMarks: z.int().min(1).max(5000),
  })
  .readonly();
export type ShopLathe = z.infer<typeof latheSchema>;

/** What is cut, with figures to start from; the owner's own experience takes their place. */
export const materialSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    /** Cutting speed of a high-speed-steel form cutter: `24 m/min`, `80 ft/min`. */
    speed: z.string().max(40),
    /** Feed for each tooth of the cutter. */
    chipLoad: measureSchema,
    /** A figure to start from, not yet the owner's own. */
    starting: z.boolean(),
  })
  .readonly();
export type Material = z.infer<typeof materialSchema>;

/** What a blank is held on. */
export const mandrelSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    /** Pressed on a slow taper, held by a nut against a shoulder, or a short one in the head's own taper. */
    kind: z.enum(['taper', 'nut', 'stub']),
    /** Diameter of the seat; of a taper at its small end. */
    small: measureSchema,
    /** Of a taper at its thick end; else empty. */
    large: measureSchema,
    /** Between the centres. */
    length: measureSchema,
    /** Has it a key, or a hole for a pin? */
    key: z.boolean(),
  })
  .readonly();
export type Mandrel = z.infer<typeof mandrelSchema>;
