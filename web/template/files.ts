import { svgOf } from '../../core/drafting/index.ts';
import { dxfOf } from '../../core/dxf/index.ts';
import { templatePrint } from '../../core/prints/index.ts';
import type { Template } from '../../core/toothform/index.ts';

/** Round the drawing, mm on paper. */
const MARGIN = 5;

/** A template as a DXF file, millimetres on paper. */
export const templateDxf = (template: Template): string => dxfOf(templatePrint(template));

/** A template as an SVG file, its width and height in millimetres so that it prints at its scale. */
export const templateSvg = (template: Template): string => svgOf(templatePrint(template), { margin: MARGIN });
