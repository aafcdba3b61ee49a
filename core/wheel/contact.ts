import type { DriveShape } from '../drive/index.ts';
import { spaceSide, type ToothForm } from '../toothform/index.ts';
import type { GashSchool } from './schema.ts';

/**
 * One place on a flank of the wheel, and how far it stays from the worm while the two roll past one another.
 */
export interface FlankSpot {
  /** Across the face from its middle, mm. */
  readonly across: number;
  /** Above the root, mm. */
  readonly height: number;
  /**
   * Along the normal, more than in the middle plane, µm; less than 0 where it touches before the middle; null
   * where the worm does not come.
   */
  readonly gap: number | null;
}

/** How a flank of the wheel bears on its worm. */
export interface Contact {
  readonly spots: readonly FlankSpot[];
  /** Part of the spots the worm comes to that lie within the film of the middle, 0 to 1. */
  readonly share: number;
  /** Of the band about the middle in which some spot lies within the film, mm. */
  readonly width: number;
  /** From one column of spots to the next: no width is known closer than to this, mm. */
  readonly grain: number;
  /** How far a spot beside the middle touches before it, µm; 0 where none does. */
  readonly digs: number;
  /** Width about the middle in which none touches first by more than the film, mm. */
  readonly clear: number;
}

/** What marking blue shows as touching, µm. Common practice. */
export const MARKING_FILM = 10;

const ACROSS = 25;
const UP = 11;
/**
 * Steps of the roll, and how many pitches it goes to either side: a corner meets the worm well before the
 * middle does.
 */
const ROLL = 84;
const ROLL_PITCHES = 1.75;

/** Half the width of a form cutter at a height above its tip: that of the space it is made for. */
function halfWidth(form: ToothForm): (height: number) => number {
  const side = spaceSide(form, 'trochoid', 80);
  const floor = side[0]!.y;
  return (height) => {
    if (height <= 0) return 0;
    for (let i = 1; i < side.length; i += 1) {
      const [low, high] = [side[i - 1]!, side[i]!];
      if (high.y - floor < height || high.y === low.y) continue;
      const part = (height - (low.y - floor)) / (high.y - low.y);
      return low.x + (high.x - low.x) * part;
    }
    const [before, last] = [side.at(-2)!, side.at(-1)!];
    return last.x + ((last.x - before.x) / (last.y - before.y)) * (height - (last.y - floor));
  };
}

/**
 * Columns across the face are taken from the middle outwards, as far as each holds. @returns where they end,
 * mm from the middle
 */
function reachFrom(
  columns: readonly (readonly FlankSpot[])[],
  holds: (spots: readonly FlankSpot[]) => boolean,
): readonly [number, number] {
  const middle = (columns.length - 1) / 2;
  let [low, high] = [middle, middle];
  while (low > 0 && holds(columns[low - 1]!)) low -= 1;
  while (high < columns.length - 1 && holds(columns[high + 1]!)) high += 1;
  return [columns[low]![0]!.across, columns[high]![0]!.across];
}

function summed(spots: readonly FlankSpot[]): Contact {
  const places = [...new Set(spots.map(({ across }) => across))].sort((a, b) => a - b);
  const columns = places.map((place) => spots.filter(({ across }) => across === place));
  const reached = spots.filter(({ gap }) => gap !== null);
  const near = (gap: number | null) => gap !== null && Math.abs(gap) <= MARKING_FILM;
  const [low, high] = reachFrom(columns, (column) => column.some(({ gap }) => near(gap)));
  const free = reachFrom(columns, (column) =>
    column.every(({ gap }) => gap === null || gap >= -MARKING_FILM),
  );
  return {
    spots,
    share: reached.filter(({ gap }) => near(gap)).length / Math.max(1, reached.length),
    width: high - low,
    grain: (places.at(-1)! - places[0]!) / Math.max(1, places.length - 1),
    digs: Math.max(0, ...reached.map(({ gap }) => -gap!)),
    clear: 2 * Math.min(Math.abs(free[0]), free[1]),
  };
}

export interface GashToJudge {
  readonly school: Exclude<GashSchool, 'hob'>;
  readonly rim: 'throat' | 'plain';
  readonly faceWidth: number;
  /** Over the cutter’s outside, mm. */
  readonly cutterDiameter: number;
  /** The count its form is exact for. */
  readonly madeFor: number;
  /** Between gash and thread as the machine’s scale leaves it, radians; 0 for a true setting. */
  readonly setOff?: number;
}

/**
 * How a flank bears that a disk cutter leaves in the wheel, against a worm of straight axial flanks.
 * The space is the cutter’s own body, sunk in the middle or drawn straight across at the lead angle; each
 * spot of its flank is rolled past the worm and its least distance kept. Both flanks are alike, turned end
 * for end. Lengths mm, angles radians. x along the worm’s axis, y along the wheel’s, z from the worm’s axis
 * to the wheel’s. Source: by geometry; checked in the middle plane against the involute, and across the face
 * against the curvatures of worm and cutter
 */
export function contactOf(drive: DriveShape, gash: GashToJudge): Contact {
  const { worm, wormDiameter, wheelDiameter, proportions, addendum } = drive;
  const [r1, r2] = [wormDiameter / 2, wheelDiameter / 2];
  const a = r1 + r2;
  const dedendum = worm.depth - addendum;
  const lean = Math.tan(proportions.pressureAngle);
  const perRadian = worm.lead / (2 * Math.PI);
  const set = worm.leadAngle + (gash.setOff ?? 0);
  const [sin, cos] = [Math.sin(set), Math.cos(set)];
  const width = halfWidth({
    teeth: gash.madeFor,
    module: worm.normalModule,
    pressureAngle: proportions.pressureAngle,
    addendum,
    wholeDepth: worm.depth,
    thinning: 0,
  });
  const root = r1 + dedendum;
  const radius = gash.cutterDiameter / 2;
  const heightOf = (x: number, y: number, z: number) =>
    gash.school === 'traverse' ? root - z : radius - Math.hypot(x * sin + y * cos, z - (root - radius));
  const flankAt = (y: number, z: number): number | null => {
    let x = y * Math.tan(set);
    for (let i = 0; i < 6; i += 1) {
      const height = heightOf(x, y, z);
      if (height < 0) return null;
      x = (width(height) + y * sin) / cos;
    }
    return x;
  };
  const outside = worm.outside / 2;
  const gapAt = ({
    x,
    y,
    z,
    roll,
  }: {
    readonly x: number;
    readonly y: number;
    readonly z: number;
    readonly roll: number;
  }): number => {
    const [c, s] = [Math.cos(roll), Math.sin(roll)];
    const [there, deep] = [x * c - (z - a) * s, a + x * s + (z - a) * c];
    const out = Math.hypot(y, deep);
    if (out > outside) return Infinity;
    return there - r2 * roll - (worm.axialPitch / 4 - (out - r1) * lean + perRadian * Math.atan2(y, deep));
  };
  const step = (2 * Math.PI * 2 * ROLL_PITCHES) / drive.teeth / ROLL;
  const throat = r1 - addendum;
  const spots: { across: number; height: number; gap: number | null }[] = [];
  for (let i = 0; i < ACROSS; i += 1) {
    const y = gash.faceWidth * (i / (ACROSS - 1) - 0.5);
    const inside = throat ** 2 - y ** 2;
    const top = gash.rim === 'throat' ? (inside > 0 ? Math.sqrt(inside) : null) : throat;
    for (let k = 0; k < UP && top !== null; k += 1) {
      const z = top + (root - top) * (k / UP);
      const x = flankAt(y, z);
      let gap = Infinity;
      let at = 0;
      if (x !== null)
        for (let n = -ROLL / 2; n <= ROLL / 2; n += 1) {
          const found = gapAt({ x, y, z, roll: n * step });
          if (found < gap) [gap, at] = [found, n];
        }
      if (x !== null && gap < Infinity) {
        // between two steps the gap runs as a parabola
        const [before, after] = [
          gapAt({ x, y, z, roll: (at - 1) * step }),
          gapAt({ x, y, z, roll: (at + 1) * step }),
        ];
        const bend = before - 2 * gap + after;
        if (bend > 0 && bend < Infinity) gap -= (before - after) ** 2 / (8 * bend);
      }
      spots.push({ across: y, height: root - z, gap: gap < Infinity ? gap : null });
    }
  }
  const middle = Math.min(
    ...spots.filter(({ across }) => Math.abs(across) < 1e-9).map(({ gap }) => gap ?? Infinity),
  );
  const normal = Math.cos(proportions.pressureAngle) * Math.cos(worm.leadAngle) * 1000;
  return summed(
    spots.map((spot) => ({ ...spot, gap: spot.gap === null ? null : (spot.gap - middle) * normal })),
  );
}
