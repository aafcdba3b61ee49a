import { z } from 'zod';
import { measureSchema } from '../units/index.ts';
import { lessonSchema, MEASURING_TOOLS } from './lessonSchema.ts';
import { latheSchema, mandrelSchema, materialSchema, millSchema } from './machineSchema.ts';
import { idSchema, nameSchema } from './named.ts';

/** Limits on what a plate can be. The finest circles drilled by hand or bought run to a few hundred holes. */
export const LEAST_HOLES = 2;
export const MOST_HOLES = 2000;

const holesSchema = z.int().min(LEAST_HOLES).max(MOST_HOLES);

const plateSideSchema = z.object({ circles: z.array(holesSchema).min(1).max(60).readonly() }).readonly();

/** An index plate. A two-sided plate has two sides and has to be turned over to use the other one. */
export const plateSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    sides: z.array(plateSideSchema).min(1).max(2).readonly(),
    /** Drilled in this shop, not come with the head: its holes carry the errors they were drilled with. */
    made: z.boolean(),
  })
  .readonly();
export type Plate = z.infer<typeof plateSchema>;

/**
 * A ring of holes on the spindle itself, for direct indexing with the worm out; or, on the work, between
 * spindle and work, where it indexes with the worm still driving.
 */
export const ringSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    holes: holesSchema,
    made: z.boolean(),
    onWork: z.literal(true).optional(),
  })
  .readonly();
export type Ring = z.infer<typeof ringSchema>;

/** Exact ratio as text `"n"` or `"n/d"`: turns of the crank for one turn of the spindle. */
const ratioSchema = z.string().regex(/^[1-9]\d{0,5}(\/[1-9]\d{0,5})?$/);

/** A set of change gears: how many of each tooth count. */
export const gearSetSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    /** Bore and pitch of the wheels, as the owner writes them; empty when not noted. */
    bore: z.string().max(40),
    pitch: z.string().max(40),
    gears: z
      .array(z.object({ teeth: z.int().min(2).max(1000), count: z.int().min(1).max(99) }).readonly())
      .max(200)
      .readonly(),
  })
  .readonly();
export type GearSet = z.infer<typeof gearSetSchema>;

/** A graduated handwheel on the crank shaft. */
export const handwheelSchema = z
  .object({
    /** Marks on one turn of the wheel. */
    marks: z.int().min(1).max(5000),
    /** Parts of a mark that its vernier reads; 1 without a vernier. */
    vernier: z.int().min(1).max(100),
    /** Are the marks numbered as an angle of the table, or simply counted? */
    reads: z.enum(['angle', 'numbers']),
  })
  .readonly();
export type Handwheel = z.infer<typeof handwheelSchema>;

/**
 * How a head stands now, as last left: what a new way of dividing does not have to change. Null: not known.
 */
export const standingSchema = z
  .object({
    worm: z.enum(['in', 'out']).nullable(),
    /** Plate lock pin. */
    lock: z.enum(['in', 'out']).nullable(),
    ringId: idSchema.nullable(),
    /** Circle the crank is set to, and holes between the arms. */
    circle: holesSchema.nullable(),
    arms: z.int().min(1).max(MOST_HOLES).nullable(),
    /** The train between spindle and plate in words; empty text for none. */
    gears: z.string().max(80).nullable(),
  })
  .readonly();
export type Standing = z.infer<typeof standingSchema>;

export const headSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    kind: z.enum(['head', 'rotary']),
    ratio: ratioSchema,
    /** From the table to the spindle's middle; may be left empty. */
    centreHeight: measureSchema,
    plates: z.array(plateSchema).max(60).readonly(),
    rings: z.array(ringSchema).max(40).readonly(),
    /** The plate that stands on the head now; null when bare. */
    mounted: z
      .object({ plateId: idSchema, side: z.union([z.literal(0), z.literal(1)]) })
      .readonly()
      .nullable(),
    standing: standingSchema,
    handwheel: handwheelSchema.nullable(),
    /** Can the plate be set free, its lock pin drawn? A differential train has to turn it. */
    plateLock: z.boolean(),
    /**
     * A universal head: the change gears that go between spindle and plate shaft. Null when it cannot be
     * geared.
     */
    differential: z
      .object({
        gearSetId: idSchema,
        /** Has the bracket a stud for two gears side by side? */
        stud: z.boolean(),
        /** Idlers the bracket has room for. */
        idlers: z.int().min(0).max(3),
      })
      .readonly()
      .nullable(),
  })
  .superRefine((head, context) => {
    const tell = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    const plate = twiceIn(head.plates);
    if (plate !== null) tell('plates', `Two plates are called ${plate}. Give each its own letter.`);
    const ring = twiceIn(head.rings);
    if (ring !== null) tell('rings', `Two rings are called ${ring}. Give each its own name.`);
  })
  .readonly();
export type Head = z.infer<typeof headSchema>;

/** A stepper motor that turns a head. */
export const stepperSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    headId: idSchema,
    /** Does it turn the crank shaft, or the spindle itself past the worm? */
    on: z.enum(['crank', 'spindle']),
    /** Whole steps of the motor in one turn. */
    stepsPerTurn: z.int().min(4).max(10_000),
    microsteps: z.int().min(1).max(1024),
    /** Turns of the motor for one turn of what it drives; "1" for a direct coupling. */
    belt: ratioSchema,
  })
  .readonly();
export type Stepper = z.infer<typeof stepperSchema>;

/** Numbers of form cutters: 1 to 8, with the halves of the fifteen-cutter set. */
export const CUTTER_NUMBERS = [
  '1',
  '1½',
  '2',
  '2½',
  '3',
  '3½',
  '4',
  '4½',
  '5',
  '5½',
  '6',
  '6½',
  '7',
  '7½',
  '8',
] as const;
export type CutterNumber = (typeof CUTTER_NUMBERS)[number];

/** A form (disk) cutter. What is not known of it is left empty. */
export const cutterSchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    pitch: measureSchema,
    /** The number stamped on it; null when only its range is. */
    number: z.enum(CUTTER_NUMBERS).nullable(),
    /** Whose numbers they are: the two schools run opposite ways, and it follows the maker, not the pitch. */
    school: z.enum(['inch', 'metric', 'unknown']),
    /** The range engraved on it; `to` null: up to a rack. It beats the number. */
    range: z
      .object({ from: z.int().min(4).max(1000), to: z.int().min(4).max(10_000).nullable() })
      .readonly()
      .nullable(),
    angle: measureSchema,
    diameter: measureSchema,
    bore: measureSchema,
    width: measureSchema,
    /** The whole depth stamped on it ("D+f"). */
    stamped: measureSchema,
    /** How many teeth it cuts with. */
    teeth: z.int().min(1).max(200).nullable(),
    material: z.string().max(40),
  })
  .readonly();
export type FormCutter = z.infer<typeof cutterSchema>;

/** A name or an id that two of these share; null when all differ. */
export function twiceIn(things: readonly { readonly id: string; readonly name: string }[]): string | null {
  const seen = (key: 'id' | 'name') =>
    things.find((thing, i) => things.findIndex((other) => other[key] === thing[key]) !== i)?.[key];
  return seen('name') ?? seen('id') ?? null;
}

/** The lists of which no two things may have one name. */
const NAMED = [
  'heads',
  'gearSets',
  'steppers',
  'mills',
  'cutters',
  'lathes',
  'materials',
  'mandrels',
] as const;

/** The shop's equipment that a plan may draw on. */
export const equipmentSchema = z
  .object({
    heads: z.array(headSchema).max(40).readonly(),
    gearSets: z.array(gearSetSchema).max(40).readonly(),
    steppers: z.array(stepperSchema).max(40).readonly(),
    mills: z.array(millSchema).max(40).readonly(),
    cutters: z.array(cutterSchema).max(600).readonly(),
    lathes: z.array(latheSchema).max(40).readonly(),
    materials: z.array(materialSchema).max(100).readonly(),
    mandrels: z.array(mandrelSchema).max(200).readonly(),
    lessons: z.array(lessonSchema).max(500).readonly(),
    tools: z.array(z.enum(MEASURING_TOOLS)).max(20).readonly(),
  })
  .superRefine((equipment, context) => {
    const tell = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    for (const [i, head] of equipment.heads.entries()) {
      const wanted = head.differential?.gearSetId;
      if (wanted === undefined || equipment.gearSets.some(({ id }) => id === wanted)) continue;
      tell(
        ['heads', i, 'differential'],
        `${head.name} is geared with a set of change gears that is not listed.`,
      );
    }
    for (const [i, stepper] of equipment.steppers.entries()) {
      if (!equipment.heads.some(({ id }) => id === stepper.headId))
        tell(['steppers', i, 'headId'], `${stepper.name} turns a head that is not listed.`);
    }
    for (const [i, lathe] of equipment.lathes.entries()) {
      if (lathe.gearSetId === null || equipment.gearSets.some(({ id }) => id === lathe.gearSetId)) continue;
      tell(
        ['lathes', i, 'gearSetId'],
        `${lathe.name} is geared with a set of change gears that is not listed.`,
      );
    }
    for (const kind of NAMED) {
      const twice = twiceIn(equipment[kind]);
      if (twice !== null) tell([kind], `Two entries are called ${twice}. Give each its own name.`);
    }
  })
  .readonly();
export type Equipment = z.infer<typeof equipmentSchema>;

export const NO_EQUIPMENT: Equipment = {
  heads: [],
  gearSets: [],
  steppers: [],
  mills: [],
  cutters: [],
  lathes: [],
  materials: [],
  mandrels: [],
  lessons: [],
  tools: MEASURING_TOOLS,
};
