import pdfmake from 'pdfmake';
import Papa from 'papaparse';
import {
  contentOf,
  formatOf,
  type FileAsked,
  type FileContent,
  type FileFormat,
  type FileName,
} from '../../core/files/index.ts';
import { FORMULA } from '../../core/files/index.ts';
import { svgOf, type Drawing } from '../../core/drafting/index.ts';
import { plan } from '../../core/plan/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { Refused } from '../problems.ts';
import { dxfOf } from '../../core/dxf/index.ts';
import { faceFiles } from './faces.ts';
import { drawingDefinition, sheetDefinition, type SheetPicture } from './sheetPdf.ts';

/** What is to be made, as plain data that goes between threads. */
export interface PaperAsked extends Omit<FileAsked, 'planned' | 'shop'> {
  readonly equipment: Equipment;
  readonly name: FileName;
  readonly pictures: readonly SheetPicture[];
}

type Definition = Parameters<typeof pdfmake.createPdf>[0];

async function pdfOf(definition: Definition): Promise<Buffer> {
  const faces = faceFiles();
  const own = new Set(Object.values(faces).flatMap(({ normal, bold }) => [normal, bold]));
  // nothing is fetched, and no file is read but the faces
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => own.has(path));
  pdfmake.setFonts(faces);
  return pdfmake.createPdf(definition).getBuffer();
}

/** A cell that a spreadsheet would take for a formula stands as words. */
const csvOf = (rows: readonly (readonly string[])[]): string =>
  `\uFEFF${Papa.unparse(rows as string[][], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;

/** What a drawing program measures by is in the file itself. */
const drawingFile = (drawing: Drawing, format: 'svg' | 'dxf'): string =>
  format === 'svg' ? svgOf(drawing, { margin: 5 }) : dxfOf(drawing);

async function written(content: FileContent, format: FileFormat, asked: PaperAsked): Promise<Uint8Array> {
  const text = (made: string) => new TextEncoder().encode(made);
  switch (content.as) {
    case 'sheet':
      return pdfOf(sheetDefinition(content.sheet, asked.set, asked.pictures));
    case 'drawing':
      return format === 'pdf'
        ? pdfOf(drawingDefinition(content.title, content.drawing, asked.set))
        : text(drawingFile(content.drawing, format === 'svg' ? 'svg' : 'dxf'));
    case 'table':
      return text(csvOf(content.rows));
    case 'program':
      return text(content.text);
  }
}

/**
 * A file of a job, in its format.
 * @throws Refused 422 with file-waits, where no part of the job has it
 */
export async function writePaper(asked: PaperAsked): Promise<Uint8Array> {
  const { job, equipment: shop } = asked;
  const content = contentOf(asked.name, { ...asked, shop, planned: plan(job, shop) });
  if (!content.ok) throw new Refused(422, content.issues);
  return written(content.value, formatOf(asked.name), asked);
}
