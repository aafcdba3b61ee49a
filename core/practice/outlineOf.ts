import { around, type Section } from './work.ts';

/** A point of an outline: how far from the axis, mm, and in which of the directions that are kept. */
export interface OutlinePoint {
  readonly radius: number;
  readonly place: number;
}

/**
 * The outline of round work from one direction to another, as a pen goes along it.
 *
 *      skin ___        ___      where a wall overhangs it goes out along the wall,
 *              |      /         and on over the corner of the land
 *              | slot |
 *
 * @param from @param to whole directions, from ≤ to ≤ from + all of them @param every of how many one is
 * taken
 */
export function outlineOf(section: Section, from: number, to: number, every = 1): readonly OutlinePoint[] {
  const { metal, overhang } = section;
  const many = metal.length;
  const points: OutlinePoint[] = [];
  const isUnder = (place: number): boolean => {
    const i = around(place, many);
    return overhang !== null && metal[i]! < overhang.from[i]! && overhang.from[i]! < overhang.outside[i]!;
  };
  for (let place = from; place <= to; place += every) {
    if (!isUnder(place)) {
      points.push({ radius: metal[around(place, many)]!, place });
      continue;
    }
    const first = place;
    while (place + every <= to && isUnder(place + every)) place += every;
    points.push(...underWall(section, { first, last: place, every }));
  }
  return points;
}

interface Corner {
  readonly first: number;
  readonly last: number;
  readonly every: number;
}

/** The corner of one wall: floor, wall and skin, in the order that the land asks. */
function underWall({ metal, overhang }: Section, { first, last, every }: Corner): readonly OutlinePoint[] {
  const many = metal.length;
  const along = (of: Float64Array): OutlinePoint[] => {
    const points: OutlinePoint[] = [];
    for (let place = first; place <= last; place += every)
      points.push({ radius: of[around(place, many)]!, place });
    return points;
  };
  const { from, outside } = overhang!;
  // the wall leans out of the floor: it is lowest where the land is
  const landAfter = from[around(last, many)]! < from[around(first, many)]!;
  return landAfter
    ? [...along(metal), ...along(from).reverse(), ...along(outside)]
    : [...along(outside), ...along(from).reverse(), ...along(metal)];
}
