import type { Point } from '../involute/index.ts';
import { boxOf, type Drawing, type LineKind, type Shape, type Vertex, type Word } from './drawing.ts';

/** Lines on paper, mm, and how they are broken. Grey-safe: kinds differ by width and dash, not by colour. */
const PEN: Readonly<
  Record<LineKind, { readonly width: number; readonly dash?: string; readonly grey?: true }>
> = {
  outline: { width: 0.4 },
  form: { width: 0.25 },
  thin: { width: 0.18, grey: true },
  centre: { width: 0.18, dash: '5 1 1 1' },
  hidden: { width: 0.2, dash: '1.6 1' },
  dimension: { width: 0.18 },
  check: { width: 0.25 },
};
const INK = '#111';
const SOFT = '#777';
const FILL = { black: INK, grey: '#e4e4e4' } as const;

/** A capital is so much of the size a face is set in. */
const CAPITAL = 0.7;

export interface SvgSet {
  /** White round the drawing, mm. */
  readonly margin?: number;
  /** A face for signs that the main one lacks, with the signs that need it; left out where one does all. */
  readonly faces?: { readonly main: string; readonly runs: (text: string) => readonly FaceRun[] };
}

/** A stretch of words in one face. */
export interface FaceRun {
  readonly text: string;
  readonly face: string;
}

const MARKUP: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const safe = (text: string): string => text.replace(/[&<>"]/g, (sign) => MARKUP[sign]!);

/** A tenth of a micrometre: finer than anything reads. */
const f = (value: number): string => String(Math.round(value * 10_000) / 10_000 + 0);

/** What an arc of a path is in SVG, whose y runs down: radius, and which way round. */
function arcTo(from: Vertex, to: Point): string {
  const bulge = from.bulge!;
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  const radius = (chord * (1 + bulge ** 2)) / (4 * Math.abs(bulge));
  const large = Math.abs(bulge) > 1 ? 1 : 0;
  return `A${f(radius)} ${f(radius)} 0 ${large} ${bulge > 0 ? 0 : 1} ${f(to.x)} ${f(-to.y)}`;
}

function pathOf(corners: readonly Vertex[], isClosed: boolean): string {
  const [first, ...rest] = corners;
  if (!first) return '';
  let path = `M${f(first.x)} ${f(-first.y)}`;
  let before = first;
  for (const corner of isClosed ? [...rest, first] : rest) {
    path += before.bulge ? arcTo(before, corner) : `L${f(corner.x)} ${f(-corner.y)}`;
    before = corner;
  }
  return isClosed ? `${path}Z` : path;
}

function shapeSvg(shape: Shape): string {
  const { width, dash, grey } = PEN[shape.line];
  const fill = shape.fill ? FILL[shape.fill] : 'none';
  const look = `fill="${fill}" stroke="${grey ? SOFT : INK}" stroke-width="${width}"${dash ? ` stroke-dasharray="${dash}"` : ''}`;
  return shape.kind === 'circle'
    ? `<circle cx="${f(shape.at.x)}" cy="${f(-shape.at.y)}" r="${f(shape.radius)}" ${look}/>`
    : `<path d="${pathOf(shape.corners, shape.closed)}" ${look}/>`;
}

function wordSvg({ at, height, text, anchor, bold }: Word, faces: SvgSet['faces']): string {
  const place = `x="${f(at.x)}" y="${f(-at.y)}" font-size="${f(height / CAPITAL)}" text-anchor="${anchor}"`;
  const runs = faces ? faces.runs(text) : [{ text, face: 'sans-serif' }];
  const weight = bold ? ' font-weight="bold"' : '';
  const [only] = runs;
  if (runs.length === 1 && only)
    return `<text ${place}${weight} font-family="${only.face}" fill="${INK}">${safe(only.text)}</text>`;
  const parts = runs.map((run) => `<tspan font-family="${run.face}">${safe(run.text)}</tspan>`).join('');
  return `<text ${place}${weight} font-family="${faces?.main ?? 'sans-serif'}" fill="${INK}">${parts}</text>`;
}

/**
 * A drawing as SVG, its width and height in millimetres, so that it prints to size.
 * @param drawing mm on paper
 */
export function svgOf(drawing: Drawing, { margin = 2, faces }: SvgSet = {}): string {
  const { left, right, bottom, top } = boxOf(drawing);
  const [width, height] = [right - left + 2 * margin, top - bottom + 2 * margin];
  const box = `${f(left - margin)} ${f(-top - margin)} ${f(width)} ${f(height)}`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${f(width)}mm" height="${f(height)}mm" viewBox="${box}">`,
    ...drawing.shapes.map(shapeSvg),
    ...drawing.words.map((each) => wordSvg(each, faces)),
    '</svg>',
    '',
  ].join('\n');
}
