export { cutSchema, emptyCut, type CutInput } from './schema.ts';
export { dividedName, dividedSchema, wordsOfDivided, type Divided } from './divided.ts';
export { planCut, type CutAsked, type CutDetail, type CutFacts, type Round, type Spaces } from './station.ts';
