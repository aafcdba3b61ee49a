export { type PartSheet, type Sheet, type SheetBlock, type SheetBox, type SheetRow } from './blocks.ts';
export { latheWorkOf, type LatheWork } from './drawings.ts';
export { plainTex } from './plainTex.ts';
export type { SheetAsked, SheetSet } from './asked.ts';
export { routeSheet } from './route.ts';
