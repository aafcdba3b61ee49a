import type { Point } from '../involute/index.ts';

/** What a line of a drawing is: how thick it is drawn, and the layer it lies on in a file. */
export type LineKind = 'outline' | 'thin' | 'centre' | 'hidden' | 'dimension' | 'check' | 'form';

/** A corner of a path; the way to the next is straight, or an arc by its bulge. */
export interface Vertex extends Point {
  /** Tangent of a quarter of the arc's angle; more than 0 turns counter-clockwise. */
  readonly bulge?: number;
}

/** mm, y upward. */
export type Shape =
  | {
      readonly kind: 'path';
      readonly line: LineKind;
      readonly corners: readonly Vertex[];
      readonly closed: boolean;
      /** Of closed paths: black, or the grey of what is cut through or solid. */
      readonly fill?: 'black' | 'grey';
    }
  | {
      readonly kind: 'circle';
      readonly line: LineKind;
      readonly at: Point;
      readonly radius: number;
      readonly fill?: 'black' | 'grey';
    };

export interface Word {
  readonly at: Point;
  /** Of a capital, mm. */
  readonly height: number;
  readonly text: string;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly bold?: boolean;
}

/** A drawing as lines and words that any drawing program takes. mm, y upward. */
export interface Drawing {
  readonly shapes: readonly Shape[];
  readonly words: readonly Word[];
}

export const point = (x: number, y: number): Point => ({ x, y });

/** Several drawings on one sheet, the later over the earlier. */
export const together = (...drawings: readonly Drawing[]): Drawing => ({
  shapes: drawings.flatMap(({ shapes }) => shapes),
  words: drawings.flatMap(({ words }) => words),
});

const of = (...shapes: readonly Shape[]): Drawing => ({ shapes, words: [] });

/** An open line through points. */
export const line = (kind: LineKind, ...corners: readonly Vertex[]): Drawing =>
  of({ kind: 'path', line: kind, corners, closed: false });

/** A closed line through points. */
export const closed = (kind: LineKind, corners: readonly Vertex[], fill?: 'black' | 'grey'): Drawing =>
  of({ kind: 'path', line: kind, corners, closed: true, ...(fill ? { fill } : {}) });

export const circle = (kind: LineKind, at: Point, radius: number, fill?: 'black' | 'grey'): Drawing =>
  of({ kind: 'circle', line: kind, at, radius, ...(fill ? { fill } : {}) });

/** @param from, to corners that lie opposite */
export const rectangle = (kind: LineKind, from: Point, to: Point, fill?: 'black' | 'grey'): Drawing =>
  closed(kind, [from, point(to.x, from.y), to, point(from.x, to.y)], fill);

export const word = (
  text: string,
  at: Point,
  set: { readonly height?: number; readonly anchor?: Word['anchor']; readonly bold?: boolean } = {},
): Drawing => ({
  shapes: [],
  words: [{ text, at, height: 2.5, anchor: 'middle', ...set }],
});

/** Crossed centre lines that reach so far from the middle. */
export const cross = (at: Point, reach: number): Drawing =>
  together(
    line('centre', point(at.x - reach, at.y), point(at.x + reach, at.y)),
    line('centre', point(at.x, at.y - reach), point(at.x, at.y + reach)),
  );

const movedPoint = <P extends Point>(of_: P, scale: number, by: Point): P => ({
  ...of_,
  x: of_.x * scale + by.x,
  y: of_.y * scale + by.y,
});

/** The same at a scale and moved; words keep their height. */
export function placed({ shapes, words }: Drawing, scale: number, by: Point = point(0, 0)): Drawing {
  return {
    shapes: shapes.map((shape) =>
      shape.kind === 'path'
        ? { ...shape, corners: shape.corners.map((corner) => movedPoint(corner, scale, by)) }
        : { ...shape, at: movedPoint(shape.at, scale, by), radius: shape.radius * scale },
    ),
    words: words.map((each) => ({ ...each, at: movedPoint(each.at, scale, by) })),
  };
}

/** Turned about the origin, radians counter-clockwise; words stay upright. */
export function turned({ shapes, words }: Drawing, angle: number): Drawing {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const turn = <P extends Point>(each: P): P => ({
    ...each,
    x: each.x * c - each.y * s,
    y: each.x * s + each.y * c,
  });
  return {
    shapes: shapes.map((shape) =>
      shape.kind === 'path'
        ? { ...shape, corners: shape.corners.map(turn) }
        : { ...shape, at: turn(shape.at) },
    ),
    words: words.map((each) => ({ ...each, at: turn(each.at) })),
  };
}

export interface Box {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** Width of a letter beside the height of a capital, about, in a plain face. */
const LETTER = 0.75;

const boxOfWord = ({ at, height, text, anchor }: Word): readonly Point[] => {
  const wide = height * LETTER * text.length;
  const left = at.x - (anchor === 'start' ? 0 : anchor === 'middle' ? wide / 2 : wide);
  return [point(left, at.y - height * 0.4), point(left + wide, at.y + height)];
};

/** How far an arc goes out beyond its chord is within its circle: the box is never too small. */
function boxOfPath(corners: readonly Vertex[], isClosed: boolean): readonly Point[] {
  return corners.flatMap((corner, i) => {
    const next = corners[i + 1] ?? (isClosed ? corners[0] : undefined);
    if (!corner.bulge || !next) return [corner];
    const rise = (Math.abs(corner.bulge) * Math.hypot(next.x - corner.x, next.y - corner.y)) / 2;
    return [
      corner,
      ...[corner, next].flatMap(({ x, y }) => [point(x - rise, y - rise), point(x + rise, y + rise)]),
    ];
  });
}

/** What a drawing takes up, words and all. @returns mm; a point at 0 of an empty one */
export function boxOf({ shapes, words }: Drawing): Box {
  const points = [
    ...shapes.flatMap((shape) =>
      shape.kind === 'path'
        ? boxOfPath(shape.corners, shape.closed)
        : [
            point(shape.at.x - shape.radius, shape.at.y - shape.radius),
            point(shape.at.x + shape.radius, shape.at.y + shape.radius),
          ],
    ),
    ...words.flatMap(boxOfWord),
  ];
  if (points.length === 0) return { left: 0, right: 0, bottom: 0, top: 0 };
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  // by a loop: a whole gear has more points than a call takes arguments
  for (const { x, y } of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  }
  return { left, right, bottom, top };
}
