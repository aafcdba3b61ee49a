export { blankSchema, emptyBlank, type BlankInput } from './schema.ts';
export { planBlank, type BlankDetail, type BlankFacts } from './station.ts';
