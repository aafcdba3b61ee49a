import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

/** What was measured on a sample gear, as typed; everything but the count or a size may be left empty. */
export const sampleSchema = z
  .object({
    teeth: measureSchema,
    /** A broken gear: so many pitches from one surviving tip to another, over an arc or straight across. */
    survivors: z.object({ pitches: measureSchema, arc: measureSchema, chord: measureSchema }).readonly(),
    /** How the outside was had: over opposite tips, as bore and edge to tip, or across an odd count. */
    tipBy: z.enum(['over', 'bore', 'across']),
    tip: measureSchema,
    bore: measureSchema,
    edgeToTip: measureSchema,
    depth: measureSchema,
    root: measureSchema,
    spanTeeth: measureSchema,
    span: measureSchema,
    /** Over one tooth more. */
    spanNext: measureSchema,
    mateTeeth: measureSchema,
    mateCentre: measureSchema,
    helix: z.enum(['none', 'seen', 'not-looked']),
    helixAngle: measureSchema,
    /** Which way its teeth lean, standing on its face. */
    hand: z.enum(['right', 'left', 'not-looked']),
    /** Travel along the face for one whole turn, against a pointer. */
    lead: measureSchema,
    /** Which way the tips have gone: as cut, worn as usual, worn hard. */
    wear: z.enum(['crisp', 'usual', 'worn']),
    gaugeFits: measureSchema,
    gaugeCoarse: measureSchema,
    gaugeFine: measureSchema,
    /** Largest diameter the place it goes to has room for. */
    room: measureSchema,
    tool: z.enum(['caliper', 'micrometer', 'rule', 'typed']),
    toolError: measureSchema,
  })
  .readonly();
export type SampleInput = z.infer<typeof sampleSchema>;

/** A sample with nothing measured yet. */
export function emptySample(units: UnitSystem): SampleInput {
  const length = measure('', units);
  const count = measure('', 'count');
  const pitch = measure('', units === 'mm' ? 'module' : 'dp');
  return {
    teeth: count,
    survivors: { pitches: count, arc: measure('', 'deg'), chord: length },
    tipBy: 'over',
    tip: length,
    bore: length,
    edgeToTip: length,
    depth: length,
    root: length,
    spanTeeth: count,
    span: length,
    spanNext: length,
    mateTeeth: count,
    mateCentre: length,
    helix: 'not-looked',
    helixAngle: measure('', 'deg'),
    hand: 'not-looked',
    lead: length,
    wear: 'usual',
    gaugeFits: pitch,
    gaugeCoarse: pitch,
    gaugeFine: pitch,
    room: length,
    tool: 'caliper',
    toolError: length,
  };
}
