import { z } from 'zod';
import { cutSchema, emptyCut } from '../../cut/index.ts';
import { cutterChoiceSchema, emptyCutterChoice } from '../../cutter/index.ts';
import { dividingSchema, emptyDividing } from '../../dividing/index.ts';
import { driveSchema, emptyDrive } from '../../drive/index.ts';
import { emptySetup, setupSchema } from '../../setup/index.ts';
import { emptyGash, emptyRim, gashSchema, rimSchema } from '../../wheel/index.ts';
import type { KindDocument } from '../definition.ts';
import { idSchema, partNameSchema, settledSchema } from '../fields.ts';

/** A worm wheel, gashed on the mill. */
export const wheelPartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('wheel'),
    name: partNameSchema,
    drive: driveSchema,
    rim: rimSchema,
    cutter: cutterChoiceSchema,
    dividing: dividingSchema,
    gash: gashSchema,
    setup: setupSchema,
    cut: cutSchema,
    settled: settledSchema,
  })
  .readonly();
export type WheelPart = z.infer<typeof wheelPartSchema>;

export const wheelDocument: KindDocument<WheelPart> = {
  empty: ({ id, units, head }) => ({
    id,
    kind: 'wheel',
    name: '',
    drive: emptyDrive(units),
    rim: emptyRim(units),
    // of several starts the book’s count is the one that is printed
    cutter: { ...emptyCutterChoice(), countBy: 'book' },
    dividing: emptyDividing(units, head?.id ?? null),
    gash: emptyGash(units),
    setup: emptySetup(units),
    cut: emptyCut(units),
    settled: {},
  }),
  words: {
    called: 'The wheel',
    all: 'every worm wheel',
    came: (_part, { hasPartner }) => (hasPartner ? 'wheel of a worm drive' : 'a worm wheel'),
  },
  stations: ['drive', 'wheelBlank', 'cutter', 'dividing', 'wheel', 'setup', 'cut'],
  lessonsAt: { kind: 'setup', everything: 'cut' },
};
