export { contactOf, MARKING_FILM, type Contact, type FlankSpot, type GashToJudge } from './contact.ts';
export { hobOf, infeedOf, type HobData, type Infeed } from './gash.ts';
export { planRim, rimShape, usualFaces, type RimDetail, type RimFacts } from './rim.ts';
export {
  gashSchema,
  emptyGash,
  emptyRim,
  rimSchema,
  type GashInput,
  type GashSchool,
  type RimInput,
} from './schema.ts';
export type { SchoolAnswer, WheelCutter, WheelDetail, WheelFacts } from './detail.ts';
export { planWheel } from './station.ts';
