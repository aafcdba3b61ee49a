import { z } from 'zod';
import { cutSchema, emptyCut } from '../../cut/index.ts';
import { dividingSchema, emptyDividing } from '../../dividing/index.ts';
import { emptySetup, setupSchema } from '../../setup/index.ts';
import { emptySpacing, spacingSchema } from '../../spacing/index.ts';
import type { KindDocument } from '../definition.ts';
import { idSchema, partNameSchema, settledSchema } from '../fields.ts';

/** Just divide: holes, slots, flats, marks, a rack; what is asked for stands in its spacing. */
export const dividePartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('divide'),
    name: partNameSchema,
    spacing: spacingSchema,
    dividing: dividingSchema,
    setup: setupSchema,
    cut: cutSchema,
    settled: settledSchema,
  })
  .readonly();
export type DividePart = z.infer<typeof dividePartSchema>;

export const divideDocument: KindDocument<DividePart> = {
  empty: ({ id, units, head }) => ({
    id,
    kind: 'divide',
    name: '',
    spacing: emptySpacing(units),
    dividing: emptyDividing(units, head?.id ?? null),
    setup: emptySetup(units),
    cut: emptyCut(units),
    settled: {},
  }),
  words: { called: 'The work', all: 'every division', came: () => 'just divide' },
  stations: ['spacing', 'dividing', 'setup', 'cut'],
  lessonsAt: { kind: 'setup', everything: 'cut' },
};
