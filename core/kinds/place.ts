import type { FieldIn } from '../findings/index.ts';
import type { Part } from './documents.ts';

/**
 * Where something stands in a part’s document, dotted: `gear.mate.teeth`. Of several kinds: in any of them.
 */
export type PlaceIn<P extends Part> = P extends Part ? FieldIn<Omit<P, 'id' | 'kind' | 'settled'>> : never;

/** A field’s place in the whole job, as issues name it. */
export const placeOf = <P extends Part>(partId: P['id'], field: PlaceIn<P>): string =>
  `parts.${partId}.${field}`;
