import { z } from 'zod';

const gear = z.int().min(2).max(1000);
const meshingSchema = z.object({ driver: gear, driven: gear }).readonly();
const ofFour = { driver: gear, driven: gear, second: meshingSchema.nullable() };

/** A train of two or four gears, as a document keeps it. */
export const trainSchema = z.object(ofFour).readonly();

/** A train that may also have a second stud. */
export const longTrainSchema = z.object({ ...ofFour, third: meshingSchema.nullable().optional() }).readonly();
