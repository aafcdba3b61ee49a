import type { Point } from '../involute/index.ts';
import { closed, line, point, together, word, type Drawing } from './drawing.ts';

/** Of an arrow on paper, mm. */
const ARROW = { long: 2.4, half: 0.45 } as const;
/** Between an outline and the thin line that leads away from it, and beyond the arrows. */
const GAP = 1;
const LETTER = 2.5;

/** An arrow's head whose tip is at a point and which points that way; a unit vector. */
export function arrow(tip: Point, way: Point): Drawing {
  const back = point(tip.x - way.x * ARROW.long, tip.y - way.y * ARROW.long);
  const across = point(-way.y * ARROW.half, way.x * ARROW.half);
  const corners = [
    tip,
    point(back.x + across.x, back.y + across.y),
    point(back.x - across.x, back.y - across.y),
  ];
  return closed('dimension', corners, 'black');
}

interface Dimensioned {
  /** Where it is measured from and to, mm on paper. */
  readonly from: number;
  readonly to: number;
  /** Where the line stands, and from where its thin lines lead. */
  readonly at: number;
  readonly outlineAt: number;
  readonly text: string;
  /** What stands under it, smaller: a tolerance. */
  readonly under?: string;
}

/** Arrows between, or from without where there is no room for two between. */
const arrowsOf = (from: Point, to: Point, way: Point, room: number): Drawing => {
  const inside = room > 3 * ARROW.long;
  const back = point(-way.x, -way.y);
  return together(arrow(from, inside ? back : way), arrow(to, inside ? way : back));
};

/**
 * A dimension that lies along: between two x.
 *
 *     |<-- 28.0 -->|
 */
export function dimensionAcross({ from, to, at, outlineAt, text, under }: Dimensioned): Drawing {
  const room = to - from;
  const inside = room > 3 * ARROW.long;
  const reach = inside ? 0 : 2 * ARROW.long;
  const away = Math.sign(at - outlineAt) || 1;
  const lead = (x: number) => line('dimension', point(x, outlineAt + away * GAP), point(x, at + away * GAP));
  return together(
    lead(from),
    lead(to),
    line('dimension', point(from - reach, at), point(to + reach, at)),
    arrowsOf(point(from, at), point(to, at), point(1, 0), room),
    word(text, point((from + to) / 2, at + 1), { height: LETTER }),
    ...(under ? [word(under, point((from + to) / 2, at - 3), { height: LETTER * 0.8 })] : []),
  );
}

/** A dimension that stands up: between two y, its words beside it, away from the outline. */
export function dimensionUp({ from, to, at, outlineAt, text, under }: Dimensioned): Drawing {
  const room = to - from;
  const inside = room > 3 * ARROW.long;
  const reach = inside ? 0 : 2 * ARROW.long;
  const away = Math.sign(at - outlineAt) || 1;
  const lead = (y: number) => line('dimension', point(outlineAt + away * GAP, y), point(at + away * GAP, y));
  const anchor = away > 0 ? 'start' : 'end';
  const beside = at + away * 1.5;
  const middle = (from + to) / 2;
  return together(
    lead(from),
    lead(to),
    line('dimension', point(at, from - reach), point(at, to + reach)),
    arrowsOf(point(at, from), point(at, to), point(0, 1), room),
    word(text, point(beside, middle - (under ? 0 : LETTER / 2)), { height: LETTER, anchor }),
    ...(under ? [word(under, point(beside, middle - 3.6), { height: LETTER * 0.8, anchor })] : []),
  );
}
