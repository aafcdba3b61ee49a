export {
  documentOf,
  kindSchema,
  partSchema,
  wordsOf,
  type Kind,
  type Part,
  type PartOf,
} from './documents.ts';
export { idSchema } from './fields.ts';
export { placeOf, type PlaceIn } from './place.ts';
export {
  isDrive,
  isFormCut,
  isGear,
  isIndexed,
  isRim,
  isSpaced,
  isThreaded,
  type DrivePart,
  type FormCutPart,
  type GearPart,
  type IndexedPart,
  type RimPart,
  type SpacedPart,
  type ThreadedPart,
} from './traits.ts';
export type { DividePart } from './divide/document.ts';
export type { SpurPart } from './spur/document.ts';
export type { WheelPart } from './wheel/document.ts';
export type { WormPart } from './worm/document.ts';
