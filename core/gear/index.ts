export { depthAsStamped, depthByRule, depthsOfAllSchools, type ToothDepth } from './depth.ts';
export {
  comparePitch,
  isStandard,
  nearestStandard,
  questionPitch,
  standardPitches,
} from './pitchJudgement.ts';
export { readGear, type GearReadings } from './readings.ts';
export { MOST_HELIX_DEG } from './helix.ts';
export {
  emptyGear,
  gearSchema,
  HELIX_SOURCES,
  parallelShafts,
  plainHelix,
  plainTeeth,
  type GearInput,
  type HelixSource,
} from './schema.ts';
export { spurSizes, type SpurSizes, type ToothVariation } from './spurSizes.ts';
export { planGear, type CrossedDetail, type GearDetail, type MeshDetail } from './station.ts';
export {
  TOOTH_SYSTEM_IDS,
  TOOTH_SYSTEMS,
  toothSystem,
  type ToothSystem,
  type ToothSystemId,
} from './toothSystems.ts';
