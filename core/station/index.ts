export {
  answerToSettle,
  settledByStationSchema,
  stateOf,
  whatMoved,
  type Settled,
  type SettledByStation,
} from './settled.ts';
export {
  STATION_IDS,
  STATIONS,
  type Caution,
  type Moved,
  type StationId,
  type StationState,
  type StationWork,
  type Value,
  type Working,
} from './station.ts';
export { angleValue, lengthValue, textValue } from './values.ts';
