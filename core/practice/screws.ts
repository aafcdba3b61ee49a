import type { PracticeBench } from './bench.ts';

/* Dials stand on screws, and screws have slack: turned back, what they move follows a little later. */

/**
 * How much farther on a slide stands than its dial says, after the dial went by so much: turned on the slack
 * is taken up, turned back it opens.
 * @param over before it, mm, 0 … slack @param by mm @param slack mm
 */
export const overAfter = (over: number, by: number, slack: number): number =>
  by >= 0 ? Math.max(0, over - by) : Math.min(slack, over - by);

/** Of a cross slide that is in use, mm. Common practice. */
const CROSS = 0.2;

/**
 * Slack of what sets the depth, and of what goes beside the middle: a knee hangs on its screw and has none.
 * Against an upright spindle the cross slide brings the work in; with a readout nobody goes by the dial.
 */
export function slacksOf({ run: { mount } }: Pick<PracticeBench, 'run'>): {
  readonly depth: number;
  readonly beside: number;
} {
  if (mount?.readout) return { depth: 0, beside: 0 };
  return mount?.axis === 'vertical' ? { depth: CROSS, beside: 0 } : { depth: 0, beside: CROSS };
}
