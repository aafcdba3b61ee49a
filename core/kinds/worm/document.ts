import { z } from 'zod';
import { driveSchema, emptyDrive } from '../../drive/index.ts';
import { emptyThreading, emptyWorm, threadingSchema, wormSchema } from '../../worm/index.ts';
import type { KindDocument } from '../definition.ts';
import { idSchema, partNameSchema, settledSchema } from '../fields.ts';

/** A worm, threaded on the lathe. */
export const wormPartSchema = z
  .object({
    id: idSchema,
    kind: z.literal('worm'),
    name: partNameSchema,
    drive: driveSchema,
    lathe: threadingSchema,
    worm: wormSchema,
    settled: settledSchema,
  })
  .readonly();
export type WormPart = z.infer<typeof wormPartSchema>;

export const wormDocument: KindDocument<WormPart> = {
  empty: ({ id, units }) => ({
    id,
    kind: 'worm',
    name: '',
    drive: emptyDrive(units),
    lathe: emptyThreading(units),
    worm: emptyWorm(units),
    settled: {},
  }),
  words: {
    called: 'The worm',
    all: 'every worm',
    came: (_part, { hasPartner }) => (hasPartner ? 'worm of a worm drive' : 'a worm'),
  },
  stations: ['drive', 'lathe', 'worm'],
  lessonsAt: { kind: 'worm', everything: 'worm' },
};
