import type { PartPlan } from '../plan/index.ts';

/*
 * Everything a station tells, each thing by a name of its own, so that two states of a card can be laid
 * beside each other: what is no longer told, what is told otherwise, and what is new. A thing that is null,
 * or an empty list, is not told.
 */

const named = (one: unknown): string | null => {
  if (typeof one !== 'object' || one === null) return null;
  const { key, by, id, code, name } = one as Readonly<Record<string, unknown>>;
  return [key, by, id, code, name].find((word) => typeof word === 'string') ?? null;
};

/** One name deep, and two where a list has names or a thing is a record of figures. */
function tellAll(into: Map<string, string>, name: string, what: unknown): void {
  if (what === null || what === undefined || (Array.isArray(what) && what.length === 0)) return;
  if (Array.isArray(what) && what.every((one) => named(one) !== null))
    for (const one of what) into.set(`${name} ${named(one)}`, JSON.stringify(one));
  else into.set(name, JSON.stringify(what));
}

/** @param id one station @returns what it tells, by name */
export function told(part: PartPlan, id: PartPlan['stations'][number]['id']): ReadonlyMap<string, string> {
  const { answer, values, working, cautions, issues, detail } = part.stations.find((one) => one.id === id)!;
  const all = new Map<string, string>([['answer', answer]]);
  tellAll(all, 'value', values);
  tellAll(all, 'line', working);
  tellAll(all, 'caution', cautions);
  for (const issue of issues) all.set(`${issue.severity} ${issue.code}`, JSON.stringify(issue));
  for (const [key, what] of Object.entries(detail as object)) tellAll(all, key, what);
  return all;
}

/** What is told no more, otherwise, and anew; each in the order of the alphabet. */
export function difference(before: ReadonlyMap<string, string>, after: ReadonlyMap<string, string>) {
  const names = [...new Set([...before.keys(), ...after.keys()])].sort();
  return {
    gone: names.filter((name) => before.has(name) && !after.has(name)),
    other: names.filter(
      (name) => before.has(name) && after.has(name) && before.get(name) !== after.get(name),
    ),
    anew: names.filter((name) => !before.has(name) && after.has(name)),
  };
}

/** A field as it is before anything is typed into it, or chosen. */
export const notTyped = <Given>(given: Given): Given =>
  (typeof given === 'object' && given !== null ? { ...given, typed: '' } : null) as Given;

/** What a test reasons of a difference; nothing where nothing is said. */
export interface Told {
  readonly gone?: readonly string[];
  readonly other?: readonly string[];
  readonly anew?: readonly string[];
}
export const inOrder = ({ gone = [], other = [], anew = [] }: Told) => ({
  gone: [...gone].sort(),
  other: [...other].sort(),
  anew: [...anew].sort(),
});
