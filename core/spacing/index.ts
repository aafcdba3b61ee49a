export { placeOnCircle } from './places.ts';
export { emptySpacing, spacingSchema, type SpacingInput } from './schema.ts';
export { planSpacing, type SpacingDetail, type SpacingFacts } from './station.ts';
