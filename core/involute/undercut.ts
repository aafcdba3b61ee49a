/**
 * The count below which a rack, or a hob, undercuts a gear: 2·(ha/m)/sin²α.
 * @param addendum of the rack below the pitch line, in modules @param pressureAngle radians
 * @returns unrounded: 17.1 at 20°, 31.9 at 14½° for a full-depth tooth
 * Source: Machinery’s Handbook, undercut of involute teeth; ISO 21771
 */
export const undercutBelow = (addendum: number, pressureAngle: number): number =>
  (2 * addendum) / Math.sin(pressureAngle) ** 2;

/**
 * By less than this a count falls short without harm: 17 teeth at 20° show only a trace, and are cut
 * everywhere. Common practice.
 */
const TRACE = 0.1;

/** Is a count undercut, and by more than a trace? @param limit as undercutBelow gives it, unrounded */
export const isUndercut = (teeth: number, limit: number): boolean => limit - teeth > TRACE;
