/** What a drawing looks like by style sheet, and has to carry with it in a file of its own. */
const CARRIED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
  'visibility',
  'display',
] as const;

const SVG = 'http://www.w3.org/2000/svg';

/**
 * A drawing as a file of its own: its looks written into it, on the ground it stands on.
 * @param drawing as it is on the page @param ground colour behind it
 * @returns the text of an SVG file
 */
export function drawingText(drawing: SVGSVGElement, ground: string): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const shown = [drawing, ...drawing.querySelectorAll<SVGElement>('*')];
  const copied = [copy, ...copy.querySelectorAll<SVGElement>('*')];
  for (const [i, element] of shown.entries()) {
    const looks = getComputedStyle(element);
    const own = copied[i]!;
    for (const name of CARRIED) {
      const value = looks.getPropertyValue(name);
      if (value) own.setAttribute(name, value);
    }
    own.removeAttribute('class');
    own.removeAttribute('style');
  }
  const [x = 0, y = 0, width = 0, height = 0] = (drawing.getAttribute('viewBox') ?? '')
    .split(/[\s,]+/)
    .map(Number);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const sheet = document.createElementNS(SVG, 'rect');
  for (const [name, value] of Object.entries({ x, y, width, height, fill: ground }))
    sheet.setAttribute(name, String(value));
  copy.insertBefore(sheet, copy.firstChild);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}

/** Points of the picture for each unit of the drawing: sharp on paper too. */
const FINENESS = 3;

/**
 * A drawing as a picture. @param text of its SVG file @returns a PNG, three points to a unit
 * @throws where the browser cannot draw it
 */
export async function pictureOf(text: string): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.naturalWidth * FINENESS;
  canvas.height = image.naturalHeight * FINENESS;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!picture) throw new Error('This browser made no picture of the drawing.');
  return picture;
}
