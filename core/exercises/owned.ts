import { TWELVE_GEARS } from '../gearing/index.ts';

/** The school’s change gears, as a question names them. */
export const SCHOOL_GEARS = TWELVE_GEARS.flatMap(({ teeth, count }) => Array<number>(count).fill(teeth)).join(
  ' ',
);

/** Which of these gears there are not, in a sentence; null where all can be put on at once. */
export function lackingGear(sizes: readonly number[]): string | null {
  const ownedOf = (size: number): number => TWELVE_GEARS.find(({ teeth }) => teeth === size)?.count ?? 0;
  const lacking = sizes.find((size) => sizes.filter((one) => one === size).length > ownedOf(size));
  if (lacking === undefined) return null;
  const owned = ownedOf(lacking);
  return owned > 0 ? `There is only ${owned} of ${lacking} teeth.` : `There is no wheel of ${lacking} teeth.`;
}
