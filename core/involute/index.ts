export { involute, toothHalfAngle } from './involute.ts';
export type { GearDrawing, Point } from './drawing.ts';
export { isUndercut, undercutBelow } from './undercut.ts';
