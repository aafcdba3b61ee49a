export { bracketRefuses, ownsTrain, type Bracket } from './bracket.ts';
export { tableOfGears, TWELVE_GEARS, type GearPair, type GearTable, type OwnedGear } from './gears.ts';
export { countTrains, findNearTrains, findNearTrainsOfSix, trainsBetween } from './nearTrains.ts';
export { layShafts, type TrainLaid, type TrainShaft } from './shafts.ts';
export { longTrainSchema, trainSchema } from './schema.ts';
export {
  clearsStud,
  compareTrains,
  findTrains,
  gearsIn,
  meshesOf,
  trainText,
  trainRatio,
  type Meshing,
  type Train,
  type TrainSearch,
} from './trains.ts';
