export { gearsFromStock, largestCount, type CountFromStock, type StockAnswer } from './blankOnHand.ts';
export { judgeRoom, planArrival, type ArrivalDetail, type ArrivalWork } from './station.ts';
export {
  arrivalSchema,
  emptyArrival,
  type Arrival,
  type ArrivalBy,
  type ShaftsInput,
  type StockInput,
  type TakenPair,
  type TakenSample,
} from './schema.ts';
export { findPairs, type PairForShafts, type ShaftsAsked } from './shafts.ts';
