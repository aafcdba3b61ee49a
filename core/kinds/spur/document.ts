import { z } from 'zod';
import { arrivalSchema, emptyArrival, type ArrivalBy } from '../../arrival/index.ts';
import { blankSchema, emptyBlank } from '../../blank/index.ts';
import { cutSchema, emptyCut } from '../../cut/index.ts';
import { cutterChoiceSchema, emptyCutterChoice } from '../../cutter/index.ts';
import { dividingSchema, emptyDividing } from '../../dividing/index.ts';
import { emptyGear, gearSchema } from '../../gear/index.ts';
import { emptyInspection, inspectSchema } from '../../inspect/index.ts';
import { emptyLead, leadSchema } from '../../lead/index.ts';
import { emptySetup, setupSchema } from '../../setup/index.ts';
import type { KindDocument } from '../definition.ts';
import { idSchema, partNameSchema, settledSchema } from '../fields.ts';

/** A spur or helical gear: its stations' inputs, and the answer each settled station was settled with. */
export const spurPartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('spur'),
    name: partNameSchema,
    arrival: arrivalSchema,
    gear: gearSchema,
    blank: blankSchema,
    cutter: cutterChoiceSchema,
    dividing: dividingSchema,
    /** For a helical gear: how it is turned while the table travels. */
    lead: leadSchema,
    setup: setupSchema,
    cut: cutSchema,
    /** What was measured on it. */
    inspect: inspectSchema,
    settled: settledSchema,
  })
  .readonly();
export type SpurPart = z.infer<typeof spurPartSchema>;

const CAME: Readonly<Record<ArrivalBy, string>> = {
  drawing: 'from a drawing',
  sample: 'from a sample',
  blank: 'from a piece on hand',
  shafts: 'for two shafts',
};

export const spurDocument: KindDocument<SpurPart> = {
  empty: ({ id, units, head, by }) => ({
    id,
    kind: 'spur',
    name: '',
    arrival: emptyArrival(by, units),
    gear: emptyGear(units),
    blank: emptyBlank(units),
    cutter: emptyCutterChoice(),
    dividing: emptyDividing(units, head?.id ?? null),
    lead: emptyLead(units),
    setup: emptySetup(units),
    cut: emptyCut(units),
    inspect: emptyInspection(units),
    settled: {},
  }),
  words: {
    called: 'The gear',
    all: 'every gear',
    // the second gear of a pair came the way of the first
    came: ({ arrival: { by } }, { mateCame }) => `gear, ${CAME[by === 'drawing' ? (mateCame ?? by) : by]}`,
  },
  stations: ['gear', 'blank', 'cutter', 'dividing', 'lead', 'setup', 'cut', 'inspect'],
  lessonsAt: { kind: 'setup', everything: 'cut' },
};
