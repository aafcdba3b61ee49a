export { chordalTooth, type Chordal } from './chordal.ts';
export { expectedOf, runoutSays, type AsCut, type Expected, type RunoutSays } from './expect.ts';
export { angleOfInvolute, overPins, usualPin } from './pins.ts';
export { CHECKS, inspectSchema, emptyInspection, type CheckId, type InspectInput } from './schema.ts';
export { eccentricOf, goodFor, LEAST_READINGS, type Eccentric } from './eccentric.ts';
export { recordOf, type MeasuredRecord } from './record.ts';
export { readRound, roundTextSchema, type RoundText } from './round.ts';
export {
  jawsOn,
  spanOver,
  spanToMeasure,
  transversePressureAngle,
  usualSpan,
  type MeasuredGear,
} from './span.ts';
export type { Check, InspectDetail, InspectFacts, InspectGround } from './detail.ts';
export { planInspect, TOOL_OF } from './station.ts';
