/** Names of what can be measured on a sample; also the field that holds it. */
export const READINGS = [
  'teeth',
  'survivors',
  'tip',
  'depth',
  'root',
  'span',
  'basePitch',
  'mateCentre',
  'gauge',
  'helixAngle',
  'lead',
] as const;
export type ReadingName = (typeof READINGS)[number];

/** What was read off a sample, in figures. Lengths mm, angles radians. Null: not measured. */
export interface Readings {
  /** Counts it may have; one count when it was counted. */
  readonly teeth: { readonly least: number; readonly most: number };
  /** What the survivors of a broken gear say of the count. */
  readonly survivors: { readonly teeth: number; readonly give: number } | null;
  readonly tip: { readonly mm: number; readonly acrossOdd: boolean } | null;
  readonly depth: number | null;
  readonly root: number | null;
  readonly span: { readonly k: number; readonly mm: number } | null;
  /** Difference of the spans over k and k + 1 teeth. */
  readonly basePitch: number | null;
  readonly mateCentre: { readonly teeth: number; readonly mm: number } | null;
  readonly gauge: { readonly fits: number | null; readonly not: readonly number[] } | null;
  readonly helix: 'none' | 'seen' | 'not-looked';
  /** Rubbed off the tips, where the teeth lean more than on the pitch cylinder. */
  readonly helixAngle: number | null;
  /** Travel along the face for one whole turn. */
  readonly lead: number | null;
  /** What the tips may have lost, on the diameter. */
  readonly wear: number;
  /** ± of the measuring tool. */
  readonly give: number;
}

/** The same readings as if one had not been taken. */
export function without(readings: Readings, name: ReadingName): Readings {
  if (name === 'teeth') return { ...readings, teeth: ANY_COUNT };
  return { ...readings, [name]: null };
}

/** Counts looked through when a gear could not be counted. */
export const ANY_COUNT = { least: 5, most: 400 } as const;

/** Which readings were taken. */
export function taken(readings: Readings): readonly ReadingName[] {
  return READINGS.filter((name) =>
    name === 'teeth' ? readings.teeth.least === readings.teeth.most : readings[name] !== null,
  );
}
