import type { MadePlate } from '../dividing/index.ts';
import { decimalText } from '../units/index.ts';
import { coordinate, programText, remark, type ProgramSet } from './words.ts';

export interface DrillingSet extends ProgramSet {
  /** Below the top of the plate, mm, > 0: through it, with the drill’s point. */
  readonly deep: number;
  /** mm a minute, > 0 */
  readonly feed: number;
  /** Turns a minute, > 0. */
  readonly rpm: number;
  /** A drilling cycle, or each move by itself for a control without cycles. */
  readonly by: 'cycle' | 'moves';
}

/** Above the plate where the feed begins, mm. Common practice. */
const NEAR = 1;

/**
 * A program that drills a made plate, hole by hole in the order of drilling: zero in the middle of the plate
 * and on its top, X to the right, Y away.
 * @returns text; the spindle starts, nothing moves across below the safe height
 * Source: ISO 6983-1 (words G00 G01 G17 G20/G21 G40 G80 G81 G90 G94 G98, M03 M05 M30); G20, G21 and G98 are
 * common practice
 */
export function drillingProgram(plate: MadePlate, set: DrillingSet): string {
  const { units, safe, deep, feed, rpm, by } = set;
  // never above where it goes across
  const near = Math.min(NEAR, safe);
  const c = (mm: number) => coordinate(mm, units);
  const rate = decimalText(units === 'mm' ? feed : feed / 25.4, units === 'mm' ? 1 : 2);
  const at = (x: number, y: number) => `X${c(x)} Y${c(y)}`;
  const [first, ...others] = plate.drilling;
  const cycle = first
    ? [
        `G98 G81 ${at(first.x, first.y)} Z${c(-deep)} R${c(near)} F${rate}`,
        ...others.map(({ x, y }) => at(x, y)),
        'G80',
      ]
    : [];
  const moves = plate.drilling.flatMap(({ x, y }) => [
    `G0 ${at(x, y)}`,
    `G0 Z${c(near)}`,
    `G1 Z${c(-deep)} F${rate}`,
    `G0 Z${c(safe)}`,
  ]);
  return programText(
    [
      remark(
        `${plate.holes} holes of ${decimalText(plate.holeSize, 3)} mm on ${decimalText(plate.pitchCircle, 3)} mm`,
      ),
      remark('Zero: middle of the plate, Z0 on its top, X right, Y away'),
      remark('Prove it in air first, a hand on the stop'),
      remark('Clamps lower than the safe height, guards shut'),
      remark("The maker's manual and the shop's rules come first"),
      `${units === 'mm' ? 'G21' : 'G20'} G90 G17 G40 G80 G94`,
      `G0 Z${c(safe)}`,
      `S${decimalText(rpm, 0)} M3`,
      ...(by === 'cycle' ? cycle : moves),
      `G0 Z${c(safe)}`,
      'M5',
      'M30',
    ],
    set,
  );
}
