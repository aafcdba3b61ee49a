import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** The wheel’s blank, as typed. */
export const rimSchema = z
  .object({
    /** Hollowed to lie about the worm, or left a plain cylinder. */
    rim: z.enum(['throat', 'plain']),
    /** Empty: the usual one. */
    faceWidth: measureSchema,
    /** Of the hollow about the worm; its corners are chamfered beyond it. */
    faceAngle: measureSchema,
    bore: measureSchema,
    /** The throat as it was turned; empty until it is measured. */
    measured: measureSchema,
    /** Over the corners of the hollow, as turned; empty until they are measured. */
    corners: measureSchema,
  })
  .readonly();
export type RimInput = z.infer<typeof rimSchema>;

export const GASH_SCHOOLS = ['plunge', 'traverse', 'hob'] as const;
export type GashSchool = (typeof GASH_SCHOOLS)[number];

/** How the wheel is cut. */
export const gashSchema = z
  .object({
    school: z.enum(GASH_SCHOOLS),
    setUp: z.enum(['table', 'head']),
    side: z.enum(['near', 'far']),
    /** Left in the gash for the hob, on the depth; empty: a tenth of it. */
    hobStock: measureSchema,
    flutes: measureSchema,
  })
  .readonly();
export type GashInput = z.infer<typeof gashSchema>;

export const emptyRim = (units: UnitSystem): RimInput => ({
  rim: 'throat',
  faceWidth: measure('', units),
  faceAngle: measure('60', 'deg'),
  bore: measure('', units),
  measured: measure('', units),
  corners: measure('', units),
});

export const emptyGash = (units: UnitSystem): GashInput => ({
  school: 'plunge',
  setUp: 'table',
  side: 'near',
  hobStock: measure('', units),
  flutes: measure('8', 'count'),
});
