export { depthAsStamped, depthByRule, depthsOfAllSchools, type ToothDepth } from './depth.ts';
export { involute, toothHalfAngle } from './involute.ts';
export { comparePitch, isStandard, nearestStandard, questionPitch } from './pitchJudgement.ts';
export { readGear, type GearReadings } from './readings.ts';
export { gearSchema, type GearInput } from './schema.ts';
export { spurSizes, undercutLimit, type SpurSizes } from './spurSizes.ts';
export { planGear, type GearDetail } from './station.ts';
export { gearOutline, toothOutline, type GearDrawing, type Point } from './toothOutline.ts';
export {
  TOOTH_SYSTEM_IDS,
  TOOTH_SYSTEMS,
  toothSystem,
  type ToothSystem,
  type ToothSystemId,
} from './toothSystems.ts';
