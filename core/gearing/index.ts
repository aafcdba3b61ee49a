export { tableOfGears, TWELVE_GEARS, type GearPair, type GearTable, type OwnedGear } from './gears.ts';
export { clearsStud, findTrains, trainRatio, type Train, type TrainSearch } from './trains.ts';
