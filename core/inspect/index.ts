export { chordalTooth, type Chordal } from './chordal.ts';
export { angleOfInvolute, overPins, usualPin } from './pins.ts';
export { spanOver, transversePressureAngle, usualSpan, type MeasuredGear } from './span.ts';
