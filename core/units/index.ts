export { approx, exact, exactText, MM_PER_INCH, type Exact } from './exact.ts';
export {
  decimalText,
  degreesText,
  dmsText,
  lengthFigure,
  lengthText,
  pitchText,
  plural,
  roundedText,
  turnsText,
  type Finish,
} from './format.ts';
export {
  measure,
  measureSchema,
  unitSchema,
  unitSystemSchema,
  type Measure,
  type Unit,
  type UnitSystem,
} from './measure.ts';
export {
  parseAngleDeg,
  parseCount,
  parseLength,
  parsePitch,
  parsePositiveLength,
  pitchOf,
  type Pitch,
} from './parse.ts';
