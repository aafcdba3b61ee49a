export { cutSchema, emptyCut, type CutInput } from './schema.ts';
export { planCut, type CutAsked, type CutDetail, type CutFacts, type Round, type Spaces } from './station.ts';
