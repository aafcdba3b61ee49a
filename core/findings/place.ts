type Ends =
  | string
  | number
  | boolean
  | null
  | undefined
  | readonly unknown[]
  /** A measure as typed is one field. */
  | { readonly typed: string; readonly unit: string };

/**
 * Where something stands below an object of a document, dotted: `mate.teeth` in a gear. Of several: in any of
 * them.
 */
export type FieldIn<T> = T extends Ends
  ? never
  : { [Key in keyof T & string]: Key | `${Key}.${FieldIn<T[Key]>}` }[keyof T & string];

/**
 * The place of a field, for an issue. It has to be one of the document’s own, so that no question is asked
 * where no field can show it.
 * @param path where the object itself stands
 */
export const fieldAt = <Of>(path: string, field: FieldIn<Of>): string => `${path}.${field}`;
