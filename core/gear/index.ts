export { depthAsStamped, depthByRule, depthsOfAllSchools, type ToothDepth } from './depth.ts';
export { comparePitch, isStandard, questionPitch, standardPitches } from './pitchJudgement.ts';
export { readGear, type GearReadings } from './readings.ts';
export {
  emptyGear,
  gearSchema,
  HELIX_SOURCES,
  plainTeeth,
  type GearInput,
  type HelixSource,
} from './schema.ts';
export { spurSizes, type SpurSizes, type ToothVariation } from './spurSizes.ts';
export { planGear, type CrossedDetail, type GearDetail, type MeshDetail } from './station.ts';
export { TOOTH_SYSTEMS, toothSystem, type ToothSystem, type ToothSystemId } from './toothSystems.ts';
