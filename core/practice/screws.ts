import { SCREW_SLACK } from '../trouble/index.ts';
import { exact } from '../units/index.ts';
import type { PracticeBench, TableBench } from './bench.ts';

/* Dials stand on screws, and screws have slack: turned back, what they move follows a little later. */

/**
 * How much farther on a slide stands than its dial says, after the dial went by so much: turned on the slack
 * is taken up, turned back it opens.
 * @param over before it, mm, 0 … slack @param by mm @param slack mm
 */
export const overAfter = (over: number, by: number, slack: number): number =>
  by >= 0 ? Math.max(0, over - by) : Math.min(slack, over - by);

/** A reading of the table’s dial as the plan gives it, whole turns and a mark: mm from its 0. */
export const dialReads = (
  { lead, marks }: TableBench['screw'],
  { turns, mark }: { readonly turns: number; readonly mark: string },
): number => exact(mark).div(marks).add(turns).valueOf() * lead;

/**
 * Slack of what sets the depth, and of what goes beside the middle: a knee hangs on its screw and has none.
 * Against an upright spindle the cross slide brings the work in; with a readout nobody goes by the dial.
 */
export function slacksOf({ run: { mount } }: Pick<PracticeBench, 'run'>): {
  readonly depth: number;
  readonly beside: number;
} {
  if (mount?.readout) return { depth: 0, beside: 0 };
  return mount?.axis === 'vertical' ? { depth: SCREW_SLACK, beside: 0 } : { depth: 0, beside: SCREW_SLACK };
}
