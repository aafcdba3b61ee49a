import { z } from 'zod';
import { roundTextSchema } from './round.ts';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

export const CHECKS = ['outside', 'depth', 'chordal', 'span', 'pins'] as const;
export type CheckId = (typeof CHECKS)[number];

/** What was measured on the gear, and with what. */
export const inspectSchema = z
  .object({
    /** Diameter of the measuring pins; empty: the usual ones. */
    pin: measureSchema,
    /** What a tooth may be too thick or too thin; empty: 0.03 mm. */
    tolerance: measureSchema,
    outside: measureSchema,
    depth: measureSchema,
    chordal: measureSchema,
    span: measureSchema,
    pins: measureSchema,
    /** Indicator reading all round. */
    runout: measureSchema,
    /** By how much the gear was sunk deeper since the card’s depth was cut; empty: not at all. */
    sunk: measureSchema,
    /** One way of measuring, taken round the gear at equal steps. */
    round: z
      .object({ what: z.enum(['outside', 'depth', 'chordal', 'span', 'pins']), readings: roundTextSchema })
      .readonly(),
  })
  .readonly();
export type InspectInput = z.infer<typeof inspectSchema>;

export function emptyInspection(units: UnitSystem): InspectInput {
  const length = measure('', units);
  return {
    pin: length,
    tolerance: length,
    outside: length,
    depth: length,
    chordal: length,
    span: length,
    pins: length,
    runout: length,
    sunk: length,
    round: { what: 'span', readings: { typed: '', unit: units } },
  };
}
