export { readPdf, type ReadPage } from './readPdf.ts';
