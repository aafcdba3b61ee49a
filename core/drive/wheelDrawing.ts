import type { GearDrawing } from '../involute/index.ts';
import type { DriveShape } from './detail.ts';

/** The wheel cut through the middle of its face, where it is an involute gear. mm, radians */
export const wheelDrawing = (drive: DriveShape): GearDrawing => {
  const { teeth, wheelDiameter, addendum, worm, proportions, axialModule } = drive;
  return {
    teeth,
    tipDiameter: wheelDiameter + 2 * addendum,
    pitchDiameter: wheelDiameter,
    baseDiameter: wheelDiameter * Math.cos(proportions.pressureAngle),
    rootDiameter: wheelDiameter - 2 * (worm.depth - addendum),
    pressureAngle: proportions.pressureAngle,
    toothThickness: (Math.PI * axialModule) / 2,
  };
};
