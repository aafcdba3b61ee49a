import type * as Maker from 'makerjs';
import type { IModel, IPathMap } from 'makerjs';
import type { Template } from '../../core/toothform/index.ts';

/**
 * Width of a letter beside its height, in the plain face that drawing programs take: words are set about
 * their middle.
 */
const LETTER = 0.62;

/** Round the drawing, mm on paper; twice a letter where that is more. */
const MARGIN = 5;

/** Layers of the drawing, each with its own name in a file. */
const LAYER = { form: 'FORM', buttons: 'BUTTONS', words: 'WORDS' } as const;

/**
 * A template as a drawing library’s model: one for both kinds of file. The library is loaded when a file is
 * asked for.
 */
async function modelOf({
  outline,
  lines,
  circles,
  words,
}: Template): Promise<{ maker: typeof Maker; model: IModel }> {
  const loaded = await import('makerjs');
  const maker = (loaded as { default?: typeof Maker }).default ?? loaded;
  const paths: IPathMap = {};
  for (const [i, { x, y }] of outline.entries()) {
    const next = outline[(i + 1) % outline.length]!;
    if (Math.hypot(next.x - x, next.y - y) < 1e-9) continue;
    paths[`form${i}`] = { ...new maker.paths.Line([x, y], [next.x, next.y]), layer: LAYER.form };
  }
  for (const [i, { name, from, to }] of lines.entries())
    paths[`line${i}`] = {
      ...new maker.paths.Line([from.x, from.y], [to.x, to.y]),
      layer: name.toUpperCase().replace(/ /g, '_'),
    };
  for (const [i, { at, radius }] of circles.entries())
    paths[`button${i}`] = { ...new maker.paths.Circle([at.x, at.y], radius), layer: LAYER.buttons };
  const models: Record<string, IModel> = {};
  for (const [i, { at, height, text }] of words.entries())
    models[`word${i}`] = {
      layer: LAYER.words,
      caption: {
        text,
        anchor: new maker.paths.Line([at.x, at.y], [at.x + height * LETTER * text.length, at.y]),
      },
    };
  return { maker, model: { units: maker.unitType.Millimeter, paths, models } };
}

/** A template as a DXF file, millimetres on paper. */
export async function templateDxf(template: Template): Promise<string> {
  const { maker, model } = await modelOf(template);
  const fontSize = template.words[0]?.height ?? 3;
  return maker.exporter.toDXF(model, { units: maker.unitType.Millimeter, fontSize });
}

/** A template as an SVG file, its width and height in millimetres so that it prints at its scale. */
export async function templateSvg(template: Template): Promise<string> {
  const { maker, model } = await modelOf(template);
  const drawn = maker.exporter.toSVG(model, {
    units: maker.unitType.Millimeter,
    useSvgPathOnly: false,
    viewBox: true,
    stroke: '#222',
    strokeWidth: '0.25',
    fontSize: `${template.words[0]?.height ?? 3}`,
  });
  // words begin where their line begins, so that those under one another stand flush
  const halves = template.words.map(({ height, text }) => (LETTER * height * text.length) / 2);
  const margin = Math.max(MARGIN, 2 * (template.words[0]?.height ?? 0));
  let next = 0;
  return drawn
    .replace(
      /<svg width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)"/,
      (_, ...sizes: string[]) => {
        // room for the last line: a word reaches below the line it is set on
        const [width, height, wide, tall] = sizes.slice(0, 4).map((size) => Number(size) + 2 * margin);
        return `<svg width="${width}mm" height="${height}mm" viewBox="${-margin} ${-margin} ${wide} ${tall}"`;
      },
    )
    .replaceAll('text-anchor="middle"', 'text-anchor="start"')
    .replace('<g id="captions">', '<g id="captions" font-family="sans-serif" style="fill:#222;stroke:none">')
    .replace(
      /(<text [^>]*? x=")([-\d.]+)"/g,
      (_, before: string, middle: string) => `${before}${Number(middle) - (halves[next++] ?? 0)}"`,
    );
}
