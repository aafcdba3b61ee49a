export type { SheetPicture } from './sheetPdf.ts';
export { writePaper, type PaperAsked } from './write.ts';
