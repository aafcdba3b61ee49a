/** Scales of works drawings. Source: ISO 5455 */
const SCALES = [50, 20, 10, 5, 2, 1, 1 / 2, 1 / 5, 1 / 10, 1 / 20, 1 / 50] as const;

/** `1 : 2`, `5 : 1`. @param scale mm on paper for one of life */
export const scaleText = (scale: number): string =>
  scale >= 1 ? `${scale} : 1` : `1 : ${Math.round(1 / scale)}`;

/**
 * The largest scale of the standard at which this goes into that room.
 * @param wide, tall life size, mm, > 0
 * @param room mm on paper
 * Source: ISO 5455
 */
export function scaleFor(
  { wide, tall }: { readonly wide: number; readonly tall: number },
  room: { readonly wide: number; readonly tall: number },
): number {
  const fits = SCALES.find((scale) => wide * scale <= room.wide && tall * scale <= room.tall);
  return fits ?? SCALES.at(-1)!;
}
