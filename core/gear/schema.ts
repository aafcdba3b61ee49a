import { z } from 'zod';
import { measureSchema } from '../units/index.ts';
import { TOOTH_SYSTEM_IDS } from './toothSystems.ts';

/** What the drawing says of the gear, as typed. */
export const gearSchema = z
  .object({
    pitch: measureSchema,
    teeth: measureSchema,
    pressureAngle: measureSchema,
    depth: z
      .object({
        /** The rule in force; `typed` takes both figures from the owner's book or print. */
        rule: z.enum([...TOOTH_SYSTEM_IDS, 'typed']),
        /** The whole depth stamped on the cutter; wins over the rule when given. */
        stamped: measureSchema,
        addendum: measureSchema,
        wholeDepth: measureSchema,
        readFrom: z.string().max(120),
      })
      .readonly(),
  })
  .readonly();
export type GearInput = z.infer<typeof gearSchema>;
