import { z } from 'zod';
import { STATION_IDS } from '../station/index.ts';

/** What teeth can be measured with. */
export const MEASURING_TOOLS = [
  'caliper',
  'depth-gauge',
  'gear-caliper',
  'disk-micrometer',
  'pins',
  'indicator',
] as const;
export type MeasuringTool = (typeof MEASURING_TOOLS)[number];

/** What a lesson is about: one piece of equipment, every part of a kind, or everything. */
export const LESSON_ABOUT = [
  'all',
  'part',
  'head',
  'mill',
  'cutter',
  'mandrel',
  'material',
  'lathe',
] as const;

/** What was learnt at the machine, to be said again where it matters. */
export const lessonSchema = z
  .object({
    id: z.string().min(1).max(64),
    text: z.string().trim().min(1).max(400),
    about: z.object({ kind: z.enum(LESSON_ABOUT), id: z.string().max(64) }).readonly(),
    /** Where on the card it is said. */
    station: z.enum(STATION_IDS),
    /** Where it was learnt, in words: a job and a day. May be empty. */
    from: z.string().max(200),
  })
  .readonly();
export type Lesson = z.infer<typeof lessonSchema>;
