export { cutterFor, rangeText, type CutterAnswer } from './cutterFor.ts';
export { CUTTER_RANGES, HALF_CUTTERS, type CutterRange } from './ranges.ts';
export { planCutter, type CutterDetail } from './station.ts';
