export { placeOnCircle } from './places.ts';
export { spacingSchema, type SpacingInput } from './schema.ts';
export { planSpacing, type SpacingDetail, type SpacingFacts } from './station.ts';
