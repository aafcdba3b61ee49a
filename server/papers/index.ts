export type { SheetPicture } from './sheetPdf.ts';
export { FILE_TYPES, writePaper, type PaperAsked } from './write.ts';
