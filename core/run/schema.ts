import { z } from 'zod';
import { dividedSchema } from '../cut/index.ts';
import { dividingChoiceSchema, landingSchema } from '../dividing/index.ts';
import { idSchema } from '../kinds/index.ts';
import { headSchema, millSchema } from '../shop/index.ts';
import { unitSystemSchema } from '../units/index.ts';

export const RUN_FORMAT = 'vuelta-run';
export const RUN_VERSION = 10;

const roundSchema = z
  .object({
    name: z.enum(['scratch', 'one', 'rough', 'finish', 'deeper']),
    depthMm: z.number().positive().nullable(),
  })
  .readonly();

/**
 * One cut to make: in which round, its place in the round, which space of the gear, and how it is come to.
 */
const cutSchema = z
  .object({
    round: z.int().min(1).max(3),
    /** 1…N, in the order of cutting. */
    index: z.int().min(1),
    /** 1…N, as marked on the blank. */
    space: z.int().min(1),
    /** How it is come to from the cut before it, and where everything then stands. */
    landing: landingSchema,
  })
  .readonly();
export type Cut = z.infer<typeof cutSchema>;

/** How a helical gear is geared to the table, as it was when the run began. */
const helixSchema = z
  .object({
    hand: z.enum(['right', 'left']),
    drive: z.enum(['worm', 'spindle']),
    gears: z.string().max(400),
    idlers: z.int().min(0).max(3),
    lead: z.number().positive(),
    /** What is laid along the helix. */
    by: z.enum(['table', 'head']),
    setting: z.string().max(200),
  })
  .readonly();

/**
 * Where the table is clear to index, mm from the first touch at full depth, the way it is fed; or how far to
 * come out.
 */
const safeAlong = z
  .object({
    way: z.literal('along'),
    approach: z.number().positive(),
    through: z.number().positive(),
    clearAfter: z.number().positive(),
    indexAt: z.enum(['entry', 'exit']),
    /**
     * What the table is set to read where the cutter first touches in the run's first cut that takes metal:
     * it may touch later there than at full depth. Null where nobody is asked: on runs of before, or without
     * a cutter's diameter.
     */
    firstTouch: z.number().min(0).nullable(),
  })
  .readonly();
const safeSink = z.object({ way: z.literal('sink'), depth: z.number().positive() }).readonly();
const safeSchema = z.discriminatedUnion('way', [safeAlong, safeSink]);

/** How cutter and work stand to each other, and by which screw the cutter goes in. */
export const mountSchema = z
  .object({
    /** The spindle: an arbor across the table, or upright; null where the set-up names no mill. */
    axis: z.enum(['horizontal', 'vertical']).nullable(),
    /** Where the cutter stands against the work, seen from in front of the table. */
    place: z.enum(['above', 'behind', 'front']),
    /** The way the table moves while it cuts. */
    feed: z.enum(['left', 'right']),
    /** Between cutter and work at the touch, mm; 0 where the cutter itself touches. */
    paper: z.number().min(0),
    /** Of the screw that sets the depth; null where it is not known. */
    dial: z
      .object({ lead: z.number().positive(), marks: z.int().min(1) })
      .readonly()
      .nullable(),
    readout: z.boolean(),
  })
  .readonly();
export type Mount = z.infer<typeof mountSchema>;

/** What the machine is run at while it cuts. */
const runningSchema = z
  .object({
    /** Turns a minute, and mm a minute; null where not known. */
    rpm: z.number().positive().nullable(),
    feed: z.number().positive().nullable(),
    /** Of the screw that moves the work past the cutter. */
    dial: z
      .object({ lead: z.number().positive(), marks: z.int().min(1) })
      .readonly()
      .nullable(),
  })
  .readonly();

/** One thing to do on the head before the first cut. */
const preparationSchema = z
  .object({ key: z.string().max(40), what: z.string().max(400), why: z.string().max(200).optional() })
  .readonly();

/** What a run is cut in. */
export const pieceSchema = z
  .object({
    /** The work itself, or a proof in scrap first. */
    kind: z.enum(['work', 'proof']),
    /** In the owner's words: `blank 2`, `brass offcut`. May be empty. */
    name: z.string().trim().max(80),
  })
  .readonly();
export type Piece = z.infer<typeof pieceSchema>;

/** A run as it was frozen at its start: later changes to job or shop do not touch it. */
export const runSchema = z
  .object({
    format: z.literal(RUN_FORMAT),
    version: z.literal(RUN_VERSION),
    id: idSchema,
    jobId: idSchema,
    partId: idSchema,
    jobRevision: z.int().min(1),
    jobName: z.string(),
    /** The gear in a few words: `58 teeth, m 1.25, 20°`. */
    gear: z.string(),
    units: unitSystemSchema,
    divisions: z.int().min(1),
    /** What each of them is. */
    divides: dividedSchema,
    /** Do the spaces go once round, so that a last move closes on the first? */
    full: z.boolean(),
    startSpace: z.int().min(1),
    /** What divides: a head, or the table of a mill. */
    head: headSchema.nullable(),
    mill: millSchema.nullable(),
    move: dividingChoiceSchema,
    /** The closing move; null on a part of a turn. */
    closing: landingSchema.nullable(),
    rounds: z.array(roundSchema).min(1).max(3).readonly(),
    /** Of a helical gear: how it turns while the table travels; null for straight teeth. */
    helix: helixSchema.nullable(),
    /**
     * Laid over without a lead, as for the gash of a worm wheel; null where it stands straight, and on runs
     * of before it was kept.
     */
    laid: helixSchema.unwrap().pick({ by: true, setting: true }).readonly().nullable(),
    /** Where the depth is touched; null on runs of before it was kept. */
    touchOn: z.enum(['outside', 'corners', 'throat', 'top']).nullable(),
    piece: pieceSchema,
    /** The run this one goes on with under another plan, after so many cuts of it. */
    continues: z
      .object({ runId: idSchema, done: z.int().min(1) })
      .readonly()
      .nullable(),
    /** The run whose gear measured thick and is sunk by so much more, mm, once round. */
    deepens: z
      .object({
        runId: idSchema,
        by: z.number().positive(),
        /** Has nothing been loosened since it closed, or was the gear off and has to be found again? */
        register: z.enum(['kept', 'found']),
      })
      .readonly()
      .nullable(),
    /** Null on runs of before it was kept. */
    mount: mountSchema.nullable(),
    /** What was to be changed on the head when the run began, in the order of the hands. */
    preparation: z.array(preparationSchema).max(20).readonly(),
    safe: safeSchema.nullable(),
    /** What the machine is run at, and the dial of what travels; null where not known, or not kept yet. */
    running: runningSchema.nullable().default(null),
    /** By the set-up; null where it did not say. */
    minutesPerCut: z.number().positive().nullable(),
    /** Outside of the work, mm; null where it has none. */
    outside: z.number().positive().nullable(),
    /** Bore of the work, mm; null where it has none, or it is not known. */
    bore: z.number().positive().nullable(),
    /** How it is to run with its mate, mm; left out where none is known, and on runs of before. */
    mesh: z
      .object({
        mateTeeth: z.int().min(1),
        centre: z.number().positive(),
        backlash: z.number().nullable(),
        wanted: z.number(),
        perDepth: z.number().positive(),
        centreForWanted: z.number().positive(),
      })
      .readonly()
      .optional(),
    /** Has the card a station where its teeth are measured? */
    measured: z.boolean(),
    /** The card as it stood: every station with its answer. */
    card: z
      .array(z.object({ number: z.int(), title: z.string().max(40), answer: z.string().max(300) }).readonly())
      .max(20)
      .readonly(),
    cuts: z.array(cutSchema).min(1).readonly(),
  })
  .readonly();
export type Run = z.infer<typeof runSchema>;

/** More than ever come to one run. */
const MOST_SCREENS = 2000;

const eventBase = {
  /** Made by the page; storing it twice stores it once. */
  id: idSchema,
  runId: idSchema,
  /** The screen it was made on. */
  device: idSchema,
  /** Counts this screen's events, from 1. */
  deviceSeq: z.int().min(1),
  /**
   * The last event of each other screen that this one had seen. Order follows from this, never from clocks.
   */
  lastSeen: z
    .record(idSchema, z.int().min(1))
    .refine((seen) => Object.keys(seen).length <= MOST_SCREENS, `at most ${MOST_SCREENS} screens`)
    .readonly(),
  /** ISO 8601, shown to people only. */
  clientTime: z.iso.datetime({ offset: true }),
};
const place = { round: z.int().min(1), index: z.int().min(1) };
const ids = z.array(idSchema).min(1).max(2000).readonly();

export const runEventSchema = z.discriminatedUnion('kind', [
  /** A cut is made. */
  z.object({ ...eventBase, kind: z.literal('done'), ...place }).readonly(),
  /** A whole turn of the move towards a cut is made. */
  z.object({ ...eventBase, kind: z.literal('turn'), ...place, turn: z.int().min(1) }).readonly(),
  /**
   * One of the things to do towards a cut is done; of the closing move where it says so. Names the prompt by
   * its key.
   */
  z
    .object({
      ...eventBase,
      kind: z.literal('heeded'),
      ...place,
      prompt: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/),
      closing: z.literal(true).optional(),
    })
    .readonly(),
  /** The run is ended before it closed: given up, its piece scrapped, or begun again from the first space. */
  z
    .object({
      ...eventBase,
      kind: z.literal('ended'),
      how: z.enum(['given-up', 'scrapped', 'again']),
      reason: z.string().trim().max(400),
    })
    .readonly(),
  /**
   * Of before prompts had names: a stage of the return stroke before a helical cut (drawn clear, run back,
   * indexed).
   */
  z.object({ ...eventBase, kind: z.literal('stroke'), ...place, stage: z.int().min(1).max(3) }).readonly(),
  /** Of before prompts had names: a step before a cut, for those who want each one asked. */
  z.object({ ...eventBase, kind: z.literal('step'), ...place, step: z.int().min(1).max(5) }).readonly(),
  /** Asked for the landing hole, the person said this one. */
  z
    .object({
      ...eventBase,
      kind: z.literal('landing'),
      ...place,
      said: z.int().min(0).max(5000),
      right: z.boolean(),
    })
    .readonly(),
  /** All the way round with a scratch: did the last mark fall on the first? */
  z.object({ ...eventBase, kind: z.literal('tried'), fits: z.boolean() }).readonly(),
  /** The check half-way: what was read across the spaces, mm; null when it was passed over. */
  z
    .object({
      ...eventBase,
      kind: z.literal('checked'),
      ...place,
      read: z.array(z.number().positive()).max(2).readonly().nullable(),
      /** The tool whose button wrote it; left out where a hand did. */
      by: z.string().max(80).optional(),
    })
    .readonly(),
  /** What was measured on the piece of this run, and what it said of the teeth then. mm */
  z
    .object({
      ...eventBase,
      kind: z.literal('measured'),
      readings: z
        .array(
          z
            .object({
              name: z.string().max(60),
              read: z.number().min(0),
              should: z.number().nullable(),
              /** The tool whose button wrote it; left out where a hand did. */
              by: z.string().max(80).optional(),
            })
            .readonly(),
        )
        .min(1)
        .max(12)
        .readonly(),
      verdict: z.string().max(200),
    })
    .readonly(),
  /**
   * Every one of the named events (done, turn, heeded, stroke, step, landing, tried, checked, measured,
   * closed, ended) is taken back.
   */
  z.object({ ...eventBase, kind: z.literal('take-back'), ids }).readonly(),
  z
    .object({
      ...eventBase,
      kind: z.literal('note'),
      ...place,
      text: z.string().trim().min(1).max(2000),
      /** The blank was taken off or moved and set again at this place. */
      reset: z.literal(true).optional(),
    })
    .readonly(),
  /** A motor was sent to the place of a cut by the schedule, and this came of it. Counts nothing. */
  z
    .object({
      ...eventBase,
      kind: z.literal('sent'),
      ...place,
      closing: z.literal(true).optional(),
      /** Where it was sent, in steps from the 0 of the round. */
      steps: z.int().min(0),
      /** Where it came to rest, of the same; null where nobody knows. */
      rest: z.number().nullable(),
      how: z.enum(['there', 'stopped', 'doubt']),
      /** The motor. */
      by: z.string().max(60),
    })
    .readonly(),
  z.object({ ...eventBase, kind: z.literal('pause') }).readonly(),
  /** Ends the pauses it names; with what the interruption was, where someone said. */
  z
    .object({ ...eventBase, kind: z.literal('resume'), ids, reason: z.string().trim().max(200).optional() })
    .readonly(),
  /** The closing move was made: did the cutter drop into the first space? */
  z.object({ ...eventBase, kind: z.literal('closed'), fits: z.boolean() }).readonly(),
  /**
   * The person has looked at counts made on two screens at once and says they are right as they stand now.
   */
  z.object({ ...eventBase, kind: z.literal('agreed'), ids }).readonly(),
]);
export type RunEvent = z.infer<typeof runEventSchema>;
/** What a screen adds of its own; id, run, device, sequence and time are put round it. */
export type RunAct = RunEvent extends infer E
  ? E extends RunEvent
    ? Omit<E, keyof typeof eventBase>
    : never
  : never;
