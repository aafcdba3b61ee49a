import { z } from 'zod';
import type { KindDocument, KindWords } from './definition.ts';
import { divideDocument, dividePartSchema } from './divide/document.ts';
import { spurDocument, spurPartSchema } from './spur/document.ts';
import { wheelDocument, wheelPartSchema } from './wheel/document.ts';
import { wormDocument, wormPartSchema } from './worm/document.ts';

/** Every kind of part that a job may have. */
export const partSchema = z.discriminatedUnion('kind', [
  spurPartSchema,
  dividePartSchema,
  wormPartSchema,
  wheelPartSchema,
]);
export type Part = z.infer<typeof partSchema>;
export type Kind = Part['kind'];
export type PartOf<K extends Kind> = Extract<Part, { readonly kind: K }>;

const DOCUMENTS: { readonly [K in Kind]: KindDocument<PartOf<K>> } = {
  spur: spurDocument,
  divide: divideDocument,
  worm: wormDocument,
  wheel: wheelDocument,
};

/** The name of a kind. */
export const kindSchema = z.enum(Object.keys(DOCUMENTS) as [Kind, ...Kind[]]);

/** The document face of a kind: what is laid, what it is called, its stations. */
export const documentOf = <K extends Kind>(kind: K): (typeof DOCUMENTS)[K] => DOCUMENTS[kind];

/** What a part is called. */
export const wordsOf = ({ kind }: Pick<Part, 'kind'>): KindWords<Part> =>
  // a part and the words of its own kind: the compiler sees the union of both
  DOCUMENTS[kind].words as KindWords<Part>;
