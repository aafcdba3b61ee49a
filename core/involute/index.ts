export { involute, toothHalfAngle } from './involute.ts';
export { gearOutline, toothOutline, type GearDrawing, type Point } from './toothOutline.ts';
export { isUndercut, undercutBelow } from './undercut.ts';
