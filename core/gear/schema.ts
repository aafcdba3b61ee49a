import { z } from 'zod';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';
import { TOOTH_SYSTEM_IDS } from './toothSystems.ts';

/** What a helix angle may be fixed by. */
export const HELIX_SOURCES = ['angle', 'pitches', 'centre', 'lead', 'print'] as const;
export type HelixSource = (typeof HELIX_SOURCES)[number];

const handSchema = z.enum(['right', 'left']);

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
    /** Which plane the pitch above is of; in a spur gear both are one. */
    pitchPlane: z.enum(['normal', 'transverse']),
    /**
     * The pitch of the other plane, where the print gives both; it fixes the angle, or has to agree with it.
     */
    otherPitch: measureSchema,
    /**
     * What fixes the helix angle: typed; both pitches; a centre distance to the mate; the lead, measured by
     * turning; or a print rubbed off the tips, which shows the angle there.
     */
    helixFrom: z.enum(HELIX_SOURCES),
    /** Helix angle at the pitch cylinder, or at the tips for a print; empty or 0 for a spur gear. */
    helix: measureSchema,
    hand: handSchema,
    /** Travel along the face for one whole turn of the gear. */
    lead: measureSchema,
    /** Taken off the tooth along the pitch circle, for backlash; may be left empty. */
    thinning: measureSchema,
    /** The gear it runs with, where one is known. */
    mate: z
      .object({
        teeth: measureSchema,
        /** Real distance of the shafts. */
        centre: measureSchema,
        /** Backlash wanted; empty: what is usual. */
        backlash: measureSchema,
        shafts: z.enum(['parallel', 'crossed']),
        /** On crossed shafts: the mate’s own helix, or the angle of the shafts, from which it follows. */
        helix: measureSchema,
        hand: handSchema,
        shaftAngle: measureSchema,
      })
      .readonly(),
  })
  .readonly();
export type GearInput = z.infer<typeof gearSchema>;

type MateInput = GearInput['mate'];

/** What a gear says of its helix when there is none, in addition to the angle and hand. */
export const plainHelix = (
  units: UnitSystem,
): Pick<GearInput, 'pitchPlane' | 'otherPitch' | 'helixFrom' | 'lead'> => ({
  pitchPlane: 'normal',
  otherPitch: measure('', units === 'mm' ? 'module' : 'dp'),
  helixFrom: 'angle',
  lead: measure('', units),
});

/** Shafts side by side, as most are. */
export const parallelShafts = (): Pick<MateInput, 'shafts' | 'helix' | 'hand' | 'shaftAngle'> => ({
  shafts: 'parallel',
  helix: measure('', 'deg'),
  hand: 'right',
  shaftAngle: measure('', 'deg'),
});

/** What a spur gear of nominal teeth, with no mate known, leaves empty. */
export const plainTeeth = (
  units: UnitSystem,
): Pick<
  GearInput,
  'pitchPlane' | 'otherPitch' | 'helixFrom' | 'helix' | 'hand' | 'lead' | 'thinning' | 'mate'
> => ({
  ...plainHelix(units),
  helix: measure('', 'deg'),
  hand: 'right',
  thinning: measure('', units),
  mate: {
    teeth: measure('', 'count'),
    centre: measure('', units),
    backlash: measure('', units),
    ...parallelShafts(),
  },
});

/** A gear of which nothing is known but the usual angle and depth of its units. */
export const emptyGear = (units: UnitSystem): GearInput => ({
  pitch: measure('', units === 'mm' ? 'module' : 'dp'),
  teeth: measure('', 'count'),
  pressureAngle: measure('20', 'deg'),
  depth: {
    rule: units === 'mm' ? 'iso53-a' : 'form-2.157',
    stamped: measure('', units),
    addendum: measure('', units),
    wholeDepth: measure('', units),
    readFrom: '',
  },
  ...plainTeeth(units),
});
