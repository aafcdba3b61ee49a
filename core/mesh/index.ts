export {
  centreForBacklash,
  deeperForThinning,
  meshAt,
  thinningFromDeeper,
  type MeshingGear,
  type MeshReport,
  type Pair,
} from './pair.ts';
export {
  crossedForCentre,
  crossedPair,
  mateOnCrossedShafts,
  type CrossedPair,
  type CrossedReport,
} from './crossed.ts';
