import { circle, cross, line, point, together, word, type Drawing } from '../drafting/index.ts';
import type { MadePlate } from '../dividing/index.ts';
import type { Point } from '../involute/index.ts';

/** Clockwise from the top, as holes are counted. */
const clock = (radius: number, turn: number): Point =>
  point(radius * Math.sin(2 * Math.PI * turn), radius * Math.cos(2 * Math.PI * turn));

export interface PlateShown {
  /** Holes of every circle on this side. */
  readonly circles: readonly number[];
  /** The circle in use, and the spaces of one move besides its whole turns. */
  readonly circle: number;
  readonly spaces: number;
  /** Holes where the pin stands at the start, and lands after that. */
  readonly landings: readonly number[];
  /** A ring on the spindle has no sector arms. */
  readonly arms: boolean;
}

/**
 * An index plate as seen from the crank, so many mm across: its circles, the arms over one move, the start
 * and the first landing holes numbered. Circles stand evenly from hub to rim; holes at their true angles.
 */
export function platePrint(
  { circles, circle: used, spaces, landings, arms }: PlateShown,
  across: number,
): Drawing {
  const rim = across / 2;
  const sorted = [...new Set([...circles, used])].sort((a, b) => a - b);
  const radiusOf = (holes: number) =>
    sorted.length === 1 ? rim * 0.8 : rim * (0.42 + (0.48 * sorted.indexOf(holes)) / (sorted.length - 1));
  const holesOf = (holes: number): Drawing => {
    const radius = radiusOf(holes);
    const isUsed = holes === used;
    const size = Math.max(0.12, Math.min(isUsed ? 0.75 : 0.3, (Math.PI * radius) / holes / 2.6));
    return together(
      ...Array.from({ length: holes }, (_, k) =>
        circle(isUsed ? 'form' : 'thin', clock(radius, k / holes), size),
      ),
    );
  };
  const radius = radiusOf(used);
  // the arms lie against the pin, outside the holes they span
  const clear = 0.9 / (2 * Math.PI * radius);
  const arm = (turn: number) => line('outline', clock(rim * 0.12, turn), clock(rim * 0.97, turn));
  const shown = [...new Map(landings.map((hole, i) => [hole, i] as const).reverse())].sort(
    (a, b) => a[1] - b[1],
  );
  return together(
    circle('outline', point(0, 0), rim),
    circle('outline', point(0, 0), rim * 0.12),
    ...sorted.map(holesOf),
    ...(arms && spaces > 0 ? [arm(-clear), arm(spaces / used + clear)] : []),
    ...shown.map(([hole, i]) =>
      together(
        circle('form', clock(radius, hole / used), 1.1, i === 0 ? 'black' : 'grey'),
        line('thin', clock(radius + 1.1, hole / used), clock(rim + 1, hole / used)),
        word(String(hole), withinPoint(clock(rim + 3.5, hole / used)), { height: 2.5, bold: true }),
      ),
    ),
  );
}

/** Words stand on their line: their middle is half a letter higher. */
const withinPoint = ({ x, y }: Point): Point => point(x, y - 1.1);

/** The bar printed beside what is to size, mm. */
const PLATE_CHECK = 100;

/**
 * A made plate or ring at life size: every hole with its crossed middle, the circle they stand on, and a line
 * of 100 mm to measure the print by. mm
 */
export function madePlatePrint(plate: MadePlate, numbered: boolean): Drawing {
  const { pitchCircle, holeSize, drilling } = plate;
  const rim = pitchCircle / 2 + holeSize;
  const reach = holeSize / 2 + 1;
  return together(
    circle('thin', point(0, 0), pitchCircle / 2),
    cross(point(0, 0), Math.min(8, pitchCircle / 6)),
    ...drilling.map(({ x, y }) =>
      together(
        circle('form', point(x, y), holeSize / 2),
        line('thin', point(x - reach, y), point(x + reach, y)),
        line('thin', point(x, y - reach), point(x, y + reach)),
      ),
    ),
    ...(numbered
      ? drilling
          .filter(({ hole }) => hole === 0 || hole % 10 === 0)
          .map(({ hole, x, y }) => {
            const out = (pitchCircle / 2 + holeSize / 2 + 4) / (pitchCircle / 2);
            return word(String(hole), point(x * out, y * out - 1), { height: 2 });
          })
      : []),
    checkLine(point(-PLATE_CHECK / 2, -rim - 10)),
  );
}

function checkLine(from: Point): Drawing {
  const end = point(from.x + PLATE_CHECK, from.y);
  const tick = (at: Point) => line('check', point(at.x, at.y - 2), point(at.x, at.y + 2));
  return together(
    line('check', from, end),
    tick(from),
    tick(end),
    word(
      `${PLATE_CHECK} mm: measure this line before the print is trusted`,
      point(from.x + PLATE_CHECK / 2, from.y - 5),
    ),
  );
}
