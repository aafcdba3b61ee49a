import { z } from 'zod';
import { roundTextSchema } from '../inspect/index.ts';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

const idOrNone = z.string().min(1).max(64).nullable();

/** How the work is set up on the mill, as chosen and as read there. What is not known is left empty. */
export const setupSchema = z
  .object({
    materialId: idOrNone,
    /** Of the cutter, where none of the shop's own is picked. */
    cutterDiameter: measureSchema,
    cutterWidth: measureSchema,
    cutterTeeth: measureSchema,
    /** Width that is cut across, where the card has no blank to say it. */
    face: measureSchema,
    /** Outside of the work, where the card has no blank to say it. */
    outside: measureSchema,

    /**
     * On a mandrel between centres, on a stub in the head, in a chuck, or as one bar that is parted
     * afterwards.
     */
    holding: z.enum(['mandrel', 'stub', 'chuck', 'bar']),
    mandrelId: idOrNone,
    keyed: z.boolean(),
    /** Blanks cut together. */
    blanks: measureSchema,
    /** Parting and facing between two of them. */
    kerf: measureSchema,
    /** As seen by someone who stands in front of the table. */
    headAt: z.enum(['left', 'right']),
    /**
     * Which way the cutter turns: seen from in front for an arbor across the table, from above for an upright
     * spindle.
     */
    spin: z.enum(['clockwise', 'counter']),
    /** Where the cutter stands against the work. An arbor across the table is always above. */
    side: z.enum(['behind', 'front']),
    /** Which way the table moves while it cuts. */
    feed: z.enum(['left', 'right']),
    /** At which end of the cut the work is indexed. */
    indexAt: z.enum(['entry', 'exit']),

    /** Middle of the work from the middle of the table, to the right; to the left it is less than zero. */
    offset: measureSchema,
    /** From the blank's face to what stands at the head's end, and how large that is across. */
    jawGap: measureSchema,
    jawDiameter: measureSchema,
    /** The same at the other end. */
    tailGap: measureSchema,
    tailDiameter: measureSchema,

    centring: z.enum(['touch', 'far', 'height', 'point', 'nick']),
    /** Paper or feeler between cutter and work, for centring and for the touch on the outside. */
    paper: measureSchema,

    /** Indicator run along the work: over what length, and what it moved by on top and on the side. */
    alongLength: measureSchema,
    alongTop: measureSchema,
    alongSide: measureSchema,

    /** Indicator readings round the blank at equal steps, one after another. */
    round: roundTextSchema,

    /** Speed and feed set by hand; empty: what is found. Turns a minute; length a minute. */
    speedSet: measureSchema,
    feedSet: measureSchema,
    /** Seconds for one return of the table and for one indexing. */
    returnSeconds: measureSchema,
    indexSeconds: measureSchema,

    /** Keyway: how wide, by how wide a cutter, how deep. */
    keyWidth: measureSchema,
    keyCutter: measureSchema,
    keyDepth: measureSchema,
  })
  .readonly();
export type SetupInput = z.infer<typeof setupSchema>;

/** Nothing set up yet: the head at the left, the cutter pushing towards it, fed against the teeth. */
export function emptySetup(units: UnitSystem): SetupInput {
  const length = measure('', units);
  const count = measure('', 'count');
  return {
    materialId: null,
    cutterDiameter: length,
    cutterWidth: length,
    cutterTeeth: count,
    face: length,
    outside: length,
    holding: 'mandrel',
    mandrelId: null,
    keyed: false,
    blanks: measure('1', 'count'),
    kerf: length,
    headAt: 'left',
    spin: 'clockwise',
    side: 'behind',
    feed: 'right',
    indexAt: 'entry',
    offset: length,
    jawGap: length,
    jawDiameter: length,
    tailGap: length,
    tailDiameter: length,
    centring: 'touch',
    paper: length,
    alongLength: length,
    alongTop: length,
    alongSide: length,
    round: { typed: '', unit: units },
    speedSet: count,
    feedSet: length,
    returnSeconds: count,
    indexSeconds: count,
    keyWidth: length,
    keyCutter: length,
    keyDepth: length,
  };
}
