import type { FieldIn, Issue } from '../../core/findings/index.ts';

type Issues = readonly Issue[];

/** Issues at the fields of one object of a document. */
export type FieldIssues<Of> = (field: FieldIn<Of>) => Issues;

/** What stands below a place: `teeth` of `gear.teeth`, for `gear`. */
type Below<Place, Root extends string> = Place extends `${Root}.${infer Field}` ? Field : never;

/** Issues at the fields below one place of a part. */
export function issuesBelow<Place extends string, Root extends string>(
  issuesAt: (place: Place) => Issues,
  root: Root,
): (field: Below<Place, Root>) => Issues {
  return (field) => issuesAt(`${root}.${field}` as string as Place);
}

interface Bound<Value> {
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly issues: Issues;
}

/**
 * Binds fields of one object to the document: `{...bind('teeth')}` gives a field its value, what to do when
 * it changes, and the issues that stand there.
 * @param values what stands now @param set writes a change
 * @param issuesAt issues at each of its fields
 */
export function bindTo<Values extends object>(
  values: Values,
  set: (change: Partial<Values>) => void,
  issuesAt: (field: keyof Values & string) => Issues,
): <Field extends keyof Values & string>(field: Field) => Bound<Values[Field]> {
  return (field) => ({
    value: values[field],
    onChange: (value) => set({ [field]: value } as unknown as Partial<Values>),
    issues: issuesAt(field),
  });
}
