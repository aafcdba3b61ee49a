export { type PartSheet, type Sheet, type SheetBlock, type SheetBox, type SheetRow } from './blocks.ts';
export { latheWorkOf, type LatheWork } from './drawings.ts';
export { plainTex } from './plainTex.ts';
export { routeSheet, type SheetAsked, type SheetSet } from './route.ts';
