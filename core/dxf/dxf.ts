import {
  DxfWriter,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
} from '@tarikjabiri/dxf';
import type { Drawing, LineKind, Shape, Word } from '../drafting/index.ts';

/** Layers by what a line is. Broken ones are told by their layer, so that no line type has to be known. */
const LAYER: Readonly<Record<LineKind, string>> = {
  outline: 'OUTLINE',
  form: 'FORM',
  thin: 'THIN',
  centre: 'CENTRE',
  hidden: 'HIDDEN',
  dimension: 'DIMENSION',
  check: 'CHECK',
};
const WORDS = 'WORDS';
const BLACK = 7;
const ALIGN = {
  start: TextHorizontalAlignment.Left,
  middle: TextHorizontalAlignment.Center,
  end: TextHorizontalAlignment.Right,
} as const;

function addShape(writer: DxfWriter, shape: Shape): void {
  const layerName = LAYER[shape.line];
  if (shape.kind === 'circle') {
    writer.addCircle(point3d(shape.at.x, shape.at.y), shape.radius, { layerName });
    return;
  }
  writer.addLWPolyline(
    shape.corners.map(({ x, y, bulge }) => ({ point: point2d(x, y), ...(bulge ? { bulge } : {}) })),
    { layerName, ...(shape.closed ? { flags: 1 } : {}) },
  );
}

function addWord(writer: DxfWriter, { at, height, text, anchor }: Word): void {
  const place = point3d(at.x, at.y);
  writer.addText(place, height, text, {
    layerName: WORDS,
    horizontalAlignment: ALIGN[anchor],
    ...(anchor === 'start'
      ? {}
      : { verticalAlignment: TextVerticalAlignment.BaseLine, secondAlignmentPoint: place }),
  });
}

/** A drawing as DXF: polylines with arcs, circles and words, millimetres, a layer for each kind of line. */
export function dxfOf({ shapes, words }: Drawing): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  writer.setVariable('$LASTSAVEDBY', { 1: 'Vuelta' });
  for (const name of [...Object.values(LAYER), WORDS]) writer.addLayer(name, BLACK, 'Continuous');
  for (const shape of shapes) addShape(writer, shape);
  for (const each of words) addWord(writer, each);
  return writer.stringify();
}
