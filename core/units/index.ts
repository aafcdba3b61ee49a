export { approx, exact, exactText, greatestCommon, MM_PER_INCH, type Exact } from './exact.ts';
export {
  angleText,
  bothUnitsText,
  capital,
  decimalText,
  degreesText,
  dmsText,
  lengthFigure,
  lengthText,
  otherSystem,
  pitchText,
  plural,
  roundedText,
  turnsText,
  type Finish,
} from './format.ts';
export {
  measure,
  measureSchema,
  unitSystemSchema,
  type Measure,
  type Unit,
  type UnitSystem,
} from './measure.ts';
export {
  knownLength,
  parseAngleDeg,
  parseCount,
  parseLength,
  parseOptionalLength,
  parsePitch,
  parsePositiveLength,
  parseRatio,
  pitchOf,
  type Pitch,
} from './parse.ts';
export { stepped } from './step.ts';
export { degreesOf, radiansOf } from './angle.ts';
