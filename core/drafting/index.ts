export { arrow, dimensionAcross, dimensionUp } from './dimension.ts';
export {
  boxOf,
  circle,
  closed,
  cross,
  line,
  placed,
  point,
  rectangle,
  together,
  turned,
  word,
  type Box,
  type Drawing,
  type LineKind,
  type Shape,
  type Vertex,
  type Word,
} from './drawing.ts';
export { scaleFor, scaleText } from './scale.ts';
export { svgOf, type FaceRun, type SvgSet } from './svg.ts';
