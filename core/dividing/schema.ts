import { z } from 'zod';
import { trainSchema } from '../gearing/index.ts';
import { measure, measureSchema, type UnitSystem } from '../units/index.ts';

const exactSchema = z.string().regex(/^\d{1,30}(\/[1-9]\d{0,29})?$/);

/** What every choice carries: the part of a turn that one move was chosen for, exact text. */
const forMove = { advance: exactSchema };

const circle = z.int().min(1).max(2000);
const spaces = z.int().min(0).max(2000);
/** Where a circle is. */
const onPlate = {
  plateId: z.string().max(40),
  plateName: z.string().max(80),
  side: z.union([z.literal(0), z.literal(1)]),
  circle,
};
/** The crank's move: whole turns, then spaces on a circle of a plate. */
const crankMove = { ...onPlate, turns: z.int().min(0).max(1_000_000), spaces };
/** Does the choice come out exactly? One that does not was taken with its error in sight. */
const isExact = { exact: z.boolean() };

const simpleChoiceSchema = z
  .object({ method: z.literal('simple'), ...forMove, ...isExact, ...crankMove })
  .readonly();

const differentialChoiceSchema = z
  .object({
    method: z.literal('differential'),
    ...forMove,
    ...isExact,
    ...crankMove,
    /** The near count that the crank is moved for. */
    near: z.int().min(1).max(100_000),
    /** Gears from the spindle to the plate shaft. */
    train: trainSchema,
    idlers: z.int().min(0).max(3),
  })
  .readonly();

const compoundChoiceSchema = z
  .object({
    method: z.literal('compound'),
    ...forMove,
    ...isExact,
    ...crankMove,
    /**
     * The back pin's move on another circle of the same plate, plate and crank turned together; < 0 against
     * the clock.
     */
    back: z.object({ circle, spaces: z.int().min(-2000).max(2000) }).readonly(),
  })
  .readonly();

/** Each space into the hole nearest to where it should be, counted from the start so that nothing adds up. */
const nearestHoleChoiceSchema = z
  .object({ method: z.literal('nearest-hole'), ...forMove, ...onPlate })
  .readonly();

/**
 * Worm out, the spindle pinned in a ring of its own; or the work pinned in a ring between spindle and work,
 * the worm left in.
 */
const directChoiceSchema = z
  .object({
    method: z.literal('direct'),
    ...forMove,
    ringId: z.string().max(40),
    ringName: z.string().max(80),
    holes: z.int().min(2).max(2000),
    spaces: z.int().min(1).max(2000),
    onWork: z.literal(true).optional(),
  })
  .readonly();

const handwheelChoiceSchema = z
  .object({
    method: z.literal('handwheel'),
    ...forMove,
    marks: z.int().min(1).max(5000),
    vernier: z.int().min(1).max(100),
    reads: z.enum(['angle', 'numbers']),
  })
  .readonly();

const stepperChoiceSchema = z
  .object({
    method: z.literal('stepper'),
    ...forMove,
    driveId: z.string().max(40),
    driveName: z.string().max(80),
    /** Steps for one turn of the work, exact text. */
    stepsPerTurn: exactSchema,
  })
  .readonly();

/**
 * A rack or scale: the table's screw turned to readings reckoned from the first space. Here `advance` is in
 * millimetres.
 */
const tableChoiceSchema = z
  .object({
    method: z.literal('table'),
    ...forMove,
    millId: z.string().max(40),
    millName: z.string().max(80),
    /** mm of travel for one turn of the screw, exact text. */
    lead: exactSchema,
    marks: z.int().min(1).max(5000),
  })
  .readonly();

/**
 * A way of dividing that the person chose, by its content, so that a better-ranked one never slips in its
 * place.
 */
export const dividingChoiceSchema = z.discriminatedUnion('method', [
  simpleChoiceSchema,
  differentialChoiceSchema,
  compoundChoiceSchema,
  nearestHoleChoiceSchema,
  directChoiceSchema,
  handwheelChoiceSchema,
  stepperChoiceSchema,
  tableChoiceSchema,
]);
export type DividingChoice = z.infer<typeof dividingChoiceSchema>;
export type ChoiceOf<Method extends DividingChoice['method']> = Extract<DividingChoice, { method: Method }>;
/** The choices that move the crank the same every time. */
export type CrankChoice = ChoiceOf<'simple' | 'differential' | 'compound'>;

/** A plate or ring to be drilled, as typed. */
const madeSchema = z
  .object({
    use: z.enum(['ring', 'plate']),
    /** Diameter of the circle of holes. */
    pitchCircle: measureSchema,
    holeSize: measureSchema,
    startAngle: measureSchema,
    /** How far a hole may be off along its circle. */
    holeError: measureSchema,
  })
  .readonly();
export type MadeInput = z.infer<typeof madeSchema>;

export const dividingSchema = z
  .object({
    headId: z.string().max(40).nullable(),
    /** The mill whose table is moved, for a rack or a scale. */
    millId: z.string().max(40).nullable(),
    choice: dividingChoiceSchema.nullable(),
    /** Block order: every how many-th space is cut next. */
    stride: measureSchema,
    made: madeSchema,
  })
  .readonly();
export type DividingInput = z.infer<typeof dividingSchema>;

/** A ring or plate to be made, before anything is said of it. */
export const emptyMadePlate = (units: UnitSystem): MadeInput => ({
  use: 'ring',
  pitchCircle: measure(units === 'mm' ? '100' : '4', units),
  holeSize: measure(units === 'mm' ? '3' : '1/8', units),
  startAngle: measure('0', 'deg'),
  holeError: measure(units === 'mm' ? '0.02' : '.001', units),
});

/** Space after space on a head, in the way that is found. */
export const emptyDividing = (units: UnitSystem, headId: string | null): DividingInput => ({
  headId,
  millId: null,
  choice: null,
  stride: measure('1', 'count'),
  made: emptyMadePlate(units),
});

const onPin = { turns: z.int().min(0), spaces, hole: z.int().min(0) };

/** How a space is come to, and where everything then stands. Holes count from the start hole. */
export const landingSchema = z.discriminatedUnion('on', [
  z.object({ on: z.literal('plate'), ...onPin }).readonly(),
  z.object({ on: z.literal('ring'), spaces, hole: z.int().min(0) }).readonly(),
  z
    .object({
      on: z.literal('two-circles'),
      ...onPin,
      back: z.int(),
      backHole: z.int().min(0),
    })
    .readonly(),
  /** Read from the start: whole turns of the wheel and a mark on it, exact text. */
  z.object({ on: z.literal('dial'), turns: z.int().min(0), mark: exactSchema }).readonly(),
  /** Counted from the start, and from the last space. */
  z.object({ on: z.literal('steps'), steps: z.int().min(0), by: z.int().min(0) }).readonly(),
]);
export type Landing = z.infer<typeof landingSchema>;
