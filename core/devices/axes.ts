/* Without a schema, for pages that only show them. */

/** The letters by which a motion controller names its axes, in the order in which it tells where they are. */
export const AXIS_LETTERS = ['X', 'Y', 'Z', 'A', 'B', 'C'] as const;
export type AxisLetter = (typeof AXIS_LETTERS)[number];

/** What an axis of a readout moves along. */
export const AXIS_USES = ['travel', 'depth', 'cross'] as const;
export type AxisUse = (typeof AXIS_USES)[number];

/** Of serial lines. */
export const BAUDS = [2400, 4800, 9600, 19_200, 38_400, 57_600, 115_200] as const;
