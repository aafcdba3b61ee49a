import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

/* Reads a PDF back with a library that had no part in writing it; for the tests alone. */

type Matrix = readonly [number, number, number, number, number, number];
const ONE: Matrix = [1, 0, 0, 1, 0, 0];
const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

export interface ReadPage {
  /** mm */
  readonly wide: number;
  readonly tall: number;
  readonly text: string;
  /** How far to the right words reach, mm. */
  readonly right: number;
  /** Straight lines that were drawn, mm on the sheet. */
  readonly lines: readonly (readonly [x1: number, y1: number, x2: number, y2: number])[];
  readonly pictures: number;
}

/** @param bytes a PDF @returns its pages, and the names of the faces that are in it */
export async function readPdf(bytes: Uint8Array): Promise<readonly ReadPage[]> {
  const file = await getDocument({ data: new Uint8Array(bytes), verbosity: 0, isEvalSupported: false })
    .promise;
  const pages: ReadPage[] = [];
  for (let number = 1; number <= file.numPages; number += 1) {
    const page = await file.getPage(number);
    const { items } = await page.getTextContent();
    const text = items.map((item) => ('str' in item ? `${item.str}${item.hasEOL ? '\n' : ''}` : '')).join('');
    const ends = items.map((item) => ('str' in item ? Number(item.transform[4]) + item.width : 0));
    const right = (Math.max(...ends) * 25.4) / 72;
    const { fnArray, argsArray } = await page.getOperatorList();
    const lines: [number, number, number, number][] = [];
    const kept: Matrix[] = [];
    let now = ONE;
    let pictures = 0;
    const mm = (x: number, y: number): [number, number] => [
      ((now[0] * x + now[2] * y + now[4]) * 25.4) / 72,
      ((now[1] * x + now[3] * y + now[5]) * 25.4) / 72,
    ];
    for (const [i, does] of fnArray.entries()) {
      const args = argsArray[i] as unknown[];
      if (does === OPS.save) kept.push(now);
      else if (does === OPS.restore) now = kept.pop() ?? ONE;
      else if (does === OPS.transform) now = times(now, args as unknown as Matrix);
      else if (does === OPS.paintImageXObject) pictures += 1;
      else if (does === OPS.constructPath) {
        const [does_, at] = args as [number[], number[]];
        let [k, x, y] = [0, 0, 0];
        for (const op of does_) {
          if (op === OPS.moveTo) [x, y, k] = [at[k]!, at[k + 1]!, k + 2];
          else if (op === OPS.lineTo) {
            lines.push([...mm(x, y), ...mm(at[k]!, at[k + 1]!)]);
            [x, y, k] = [at[k]!, at[k + 1]!, k + 2];
          } else if (op === OPS.curveTo) [x, y, k] = [at[k + 4]!, at[k + 5]!, k + 6];
          else if (op === OPS.rectangle) k += 4;
        }
      }
    }
    const [, , wide, tall] = page.view as [number, number, number, number];
    pages.push({ wide: (wide * 25.4) / 72, tall: (tall * 25.4) / 72, text, right, lines, pictures });
  }
  await file.destroy();
  return pages;
}
