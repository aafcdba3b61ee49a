import { AXIS_LETTERS, type AxisLetter } from './axes.ts';
import type { MotorDevice } from './schema.ts';

/* Lines of a motion controller: words of ISO 6983, `ok`, `error:n`, and what it answers to `?`. */

/** Stops at once, and keeps its count. */
export const HOLD = '!';
/** Forgets the rest of a move that was stopped. */
export const FORGET = '\u0018';
/** Asks where it is. */
export const ASK = '?';

/** Places behind the point of what is sent. */
export const SENT_DECIMALS = 4;

/** A figure as it is sent, no more exact than the line carries it. */
export const asSent = (count: number): number => Number(count.toFixed(SENT_DECIMALS));

/** To a place of its own count, absolute: `G90 G1 A6.7925 F720`. */
export const moveLine = ({ letter, speed }: Pick<MotorDevice, 'letter' | 'speed'>, count: number): string =>
  `G90 G1 ${letter}${count.toFixed(SENT_DECIMALS)} F${Number(speed.toFixed(1))}`;

/** Where a controller says it is. */
export interface MotorStatus {
  readonly what: 'status';
  readonly doing: 'still' | 'going' | 'held' | 'alarm';
  /** Of its own count. */
  readonly at: number;
  /** What its count was at the last pulse of its index; null without one. */
  readonly pulse: number | null;
}
export type MotorLine =
  | MotorStatus
  | { readonly what: 'ok' }
  /** It did not take what was sent. */
  | { readonly what: 'error'; readonly code: string }
  /** It says that it does not know where it is. */
  | { readonly what: 'alarm' }
  /** It began anew: its count is no longer what it was. */
  | { readonly what: 'began' };

const DOING: Readonly<Record<string, MotorStatus['doing']>> = {
  Idle: 'still',
  Run: 'going',
  Jog: 'going',
  Hold: 'held',
  Alarm: 'alarm',
};

const NUMBER = String.raw`-?\d{1,9}(?:\.\d{1,6})?`;

/** @returns null for what is no line of a controller */
export function readMotorLine(letter: AxisLetter, line: string): MotorLine | null {
  if (line === 'ok') return { what: 'ok' };
  const error = /^error:\s?(\w{1,20})$/.exec(line);
  if (error) return { what: 'error', code: error[1]! };
  if (/^ALARM:\d{1,3}$/.test(line)) return { what: 'alarm' };
  if (/^ready\b.{0,60}$/i.test(line)) return { what: 'began' };
  const status = new RegExp(
    `^<(Idle|Run|Jog|Hold(?::\\d)?|Alarm)\\|MPos:(${NUMBER}(?:,${NUMBER}){0,5})((?:\\|[^|<>]{1,60})*)>$`,
  ).exec(line);
  if (!status) return null;
  const at = status[2]!.split(',').map(Number)[AXIS_LETTERS.indexOf(letter)];
  if (at === undefined) return null;
  const pulse = new RegExp(`\\|Ix:(${NUMBER})`).exec(status[3]!);
  const [named] = status[1]!.split(':');
  return { what: 'status', doing: DOING[named!]!, at, pulse: pulse ? Number(pulse[1]) : null };
}
