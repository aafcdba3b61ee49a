import type { Part } from './documents.ts';

/*
 * What can be asked of a part whatever its kind: which of its fields there are says what can be done with it.
 */

/** The parts that have a field of this name. */
type Having<Field extends string> = Extract<Part, { readonly [Key in Field]: unknown }>;

/** With spaces that are cut on the mill. */
export type IndexedPart = Having<'dividing'>;
/** Cut by a form cutter. */
export type FormCutPart = Having<'cutter'>;
/** A gear of its own, with a mate, an inspection, a way it arrived. */
export type GearPart = Having<'gear'>;
/** Either half of a worm drive. */
export type DrivePart = Having<'drive'>;
/** Threaded on a lathe. */
export type ThreadedPart = Having<'lathe'>;
/** Divided by what is asked for in so many words. */
export type SpacedPart = Having<'spacing'>;
/** A rim that a worm runs in. */
export type RimPart = Having<'rim'>;

export const isIndexed = (part: Part): part is IndexedPart => 'dividing' in part;
export const isFormCut = (part: Part): part is FormCutPart => 'cutter' in part;
export const isGear = (part: Part): part is GearPart => 'gear' in part;
export const isDrive = (part: Part): part is DrivePart => 'drive' in part;
export const isThreaded = (part: Part): part is ThreadedPart => 'lathe' in part;
export const isSpaced = (part: Part): part is SpacedPart => 'spacing' in part;
export const isRim = (part: Part): part is RimPart => 'rim' in part;
