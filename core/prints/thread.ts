import { line, point, together, type Drawing } from '../drafting/index.ts';
import type { DriveShape } from '../drive/index.ts';
import type { Point } from '../involute/index.ts';

/**
 * The thread in its axial section, from left to right about the origin, its outside upward from the pitch
 * line.
 * @param count of threads drawn
 * @returns mm
 */
export function threadLine(drive: DriveShape, count: number): readonly Point[] {
  const { worm, addendum } = drive;
  const [px, half] = [worm.axialPitch, worm.crest / 2];
  const base = px / 2 - worm.toolFlat / 2;
  const [top, bottom] = [addendum, addendum - worm.depth];
  return Array.from({ length: count }, (_, i) => i - (count - 1) / 2).flatMap((k) => [
    point(k * px - base, bottom),
    point(k * px - half, top),
    point(k * px + half, top),
    point(k * px + base, bottom),
  ]);
}

/**
 * A worm cut through its axis, life size: the thread above and, half a lead on, below. Five threads, or as
 * many as the length has.
 * @param length of the thread, mm; null draws five
 */
export function wormSection(drive: DriveShape, length: number | null): Drawing {
  const { worm, wormDiameter } = drive;
  const count = length === null ? 5 : Math.max(1, Math.floor(length / worm.axialPitch));
  const upper = threadLine(drive, count).map(({ x, y }) => point(x, y + wormDiameter / 2));
  // on the far side the thread has gone half a lead on
  const shift = (worm.lead / 2) % worm.axialPitch;
  const lower = threadLine(drive, count).map(({ x, y }) => point(x + shift, -y - wormDiameter / 2));
  const [left, right] = [
    Math.min(upper[0]!.x, lower[0]!.x) - 2,
    Math.max(upper.at(-1)!.x, lower.at(-1)!.x) + 2,
  ];
  return together(
    line('form', ...upper),
    line('form', ...lower),
    line('centre', point(left, wormDiameter / 2), point(right, wormDiameter / 2)),
    line('centre', point(left, -wormDiameter / 2), point(right, -wormDiameter / 2)),
    line('centre', point(left - 2, 0), point(right + 2, 0)),
  );
}

/** A rack’s teeth, life size, the pitch line on the x axis, the first space’s middle at 0. mm and radians */
export interface RackForm {
  readonly module: number;
  readonly pressureAngle: number;
  readonly addendum: number;
  readonly wholeDepth: number;
  /** Spaces to cut, ≥ 1. */
  readonly spaces: number;
}

/**
 * A rack with straight flanks: its spaces, with a tooth to either side.
 * Source: ISO 53, the basic rack: straight flanks, p/2 thick on the pitch line; corners drawn sharp
 */
export function rackPrint({ module, pressureAngle, addendum, wholeDepth, spaces }: RackForm): Drawing {
  const pitch = Math.PI * module;
  const lean = Math.tan(pressureAngle);
  const below = wholeDepth - addendum;
  const [top, floor] = [pitch / 4 + addendum * lean, Math.max(0, pitch / 4 - below * lean)];
  const points = Array.from({ length: spaces }, (_, k) => k * pitch).flatMap((at) => [
    point(at - top, addendum),
    point(at - floor, -below),
    point(at + floor, -below),
    point(at + top, addendum),
  ]);
  const [start, end] = [-pitch / 2, (spaces - 1) * pitch + pitch / 2];
  return together(
    line('form', point(start, addendum), ...points, point(end, addendum)),
    line('centre', point(start - 2, 0), point(end + 2, 0)),
  );
}
