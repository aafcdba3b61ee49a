import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';
import { readFileSync } from 'node:fs';
import type { FaceRun } from '../../core/drafting/index.ts';

const require = createRequire(import.meta.url);
const file = (name: string): string => require.resolve(`@fontsource/${name}`);

const ATKINSON = 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next';
const DEJAVU = 'dejavu-sans/files/dejavu-sans';

/** Faces on paper in the order they are asked for a sign: the shop’s, its further letters, one for signs. */
const FACES = [
  { face: 'Sheet', normal: `${ATKINSON}-latin-400-normal.woff`, bold: `${ATKINSON}-latin-700-normal.woff` },
  {
    face: 'Letters',
    normal: `${ATKINSON}-latin-ext-400-normal.woff`,
    bold: `${ATKINSON}-latin-ext-700-normal.woff`,
  },
  { face: 'Signs', normal: `${DEJAVU}-latin-400-normal.woff`, bold: `${DEJAVU}-latin-700-normal.woff` },
] as const;

export const MAIN_FACE = FACES[0].face;
/** Stands for a sign that no face has. */
const UNKNOWN = '□';

/** Where each face lies, as a PDF is told. */
export const faceFiles = (): Readonly<Record<string, { normal: string; bold: string }>> =>
  Object.fromEntries(
    FACES.map(({ face, normal, bold }) => [face, { normal: file(normal), bold: file(bold) }]),
  );

let known: readonly { readonly face: string; readonly has: (sign: string) => boolean }[] | null = null;

function faces() {
  known ??= FACES.map(({ face, normal }) => {
    const font = create(readFileSync(file(normal))) as Font;
    const signs = new Set(font.characterSet);
    return { face, has: (sign: string) => signs.has(sign.codePointAt(0)!) };
  });
  return known;
}

/**
 * Words parted by the face that has their signs. A sign that none has is shown as a box, and line breaks stay
 * with the stretch they are in.
 */
export function faceRuns(text: string): readonly FaceRun[] {
  const runs: { text: string; face: string }[] = [];
  for (const sign of text.normalize('NFC')) {
    const blank = sign === '\n' || sign === ' ';
    const found = blank ? undefined : faces().find(({ has }) => has(sign));
    const face = blank ? (runs.at(-1)?.face ?? MAIN_FACE) : (found?.face ?? FACES[2].face);
    const shown = blank || found ? sign : UNKNOWN;
    const last = runs.at(-1);
    if (last?.face === face) last.text += shown;
    else runs.push({ text: shown, face });
  }
  return runs;
}

/** Is there a sign in it that no face has? */
export const lacksSigns = (text: string): boolean =>
  faceRuns(text).some(({ text: shown }) => shown.includes(UNKNOWN)) && !text.includes(UNKNOWN);
